/** Who is signed in where: a cookie that says nothing by itself, and a row in the database that all servers share. */
import { randomBytes } from "node:crypto";
import connectSessionSequelize from "connect-session-sequelize";
import type { Request, RequestHandler } from "express";
import session from "express-session";
import { Op, type Sequelize } from "sequelize";
import { createOnce } from "../database/collisions.ts";
import type { Models } from "../database/models.ts";

declare module "express-session" {
  interface SessionData {
    /** The person who signed in. */
    person: string;
    /** When the end of the session was last put off. */
    seenAt: number;
    /** When they signed in, by whatever way. */
    since: number;
    /** What a passkey was asked for. */
    challenge: string;
  }
}

const DAY_MS = 24 * 60 * 60 * 1000;
/** Somebody who was not here for so long signs in again, days: an autumn has weeks without an outing. */
const IDLE_DAYS = 30;
/** Nobody stays signed in for longer, days, however often they come. */
const LONGEST_DAYS = 180;
/** A secret as random as the sessions it signs, bytes. */
const SECRET_BYTES = 32;

/** How cookies are made. */
export interface CookieSettings {
  /** Whether the application is reached by https alone; then the cookie goes nowhere else. */
  readonly isSecure: boolean;
  /** The path below which the application is. */
  readonly path: string;
}

export class Sessions {
  private readonly models: Models;
  private readonly database: Sequelize;

  constructor(database: Sequelize, models: Models) {
    this.database = database;
    this.models = models;
  }

  /** A secret that every server of this database has alike, made when it is first asked for. */
  async secret(name: string, make = () => randomBytes(SECRET_BYTES).toString("hex")): Promise<string> {
    const there = await this.models.secrets.findByPk(name);
    if (there !== null) return there.value;
    const row = await createOnce(
      () => this.models.secrets.create({ name, value: make() }),
      () => this.models.secrets.findByPk(name),
    );
    return row.value;
  }

  /** Reads who asks. @param secret signs the cookie */
  middleware(secret: string, { isSecure, path }: CookieSettings): RequestHandler {
    const Store = connectSessionSequelize(session.Store);
    const store = new Store({
      db: this.database,
      table: "session",
      extendDefaultFields: (defaults, kept) => ({ ...defaults, personId: kept.person ?? null }),
    });
    // an end is put off once a day, below, and not with every request
    store.touch = (_sid, _data, done) => done?.(undefined);
    return session({
      // a name that a browser gives to no cookie of another path, or of a page without https
      name: isSecure && path === "/" ? "__Host-jittery-cap" : "jittery-cap",
      secret,
      store,
      resave: false,
      saveUninitialized: false,
      rolling: false,
      cookie: { httpOnly: true, sameSite: "strict", secure: isSecure, path, maxAge: IDLE_DAYS * DAY_MS },
    });
  }

  /** Whoever is signed in; undefined where nobody is, or for too long. */
  personOf(request: Request): string | undefined {
    const { person, since, seenAt } = request.session ?? {};
    if (person === undefined || since === undefined) return undefined;
    const now = Date.now();
    if (now - since > LONGEST_DAYS * DAY_MS) return undefined;
    if (now - (seenAt ?? 0) > DAY_MS) request.session.seenAt = now;
    return person;
  }

  /** Signs somebody in, under an id that nobody knew before. */
  async begin(request: Request, person: string): Promise<void> {
    await new Promise<void>((resolve, reject) =>
      request.session.regenerate((error: unknown) => (error ? reject(error) : resolve())),
    );
    const now = Date.now();
    Object.assign(request.session, { person, since: now, seenAt: now });
    await this.save(request);
  }

  /** Keeps what was put into the session before an answer is sent. */
  save(request: Request): Promise<void> {
    return new Promise((resolve, reject) =>
      request.session.save((error: unknown) => (error ? reject(error) : resolve())),
    );
  }

  /** Signs out here. */
  end(request: Request): Promise<void> {
    return new Promise((resolve, reject) =>
      request.session.destroy((error: unknown) => (error ? reject(error) : resolve())),
    );
  }

  /** Signs a person out everywhere, or everywhere but here. @param but the session that stays */
  async endAll(person: string, but?: string): Promise<void> {
    await this.models.sessions.destroy({
      where: { personId: person, ...(but === undefined ? {} : { sid: { [Op.ne]: but } }) },
    });
  }

  /** Where a person is signed in, counted. */
  count(person: string): Promise<number> {
    return this.models.sessions.count({ where: { personId: person, expires: { [Op.gt]: new Date() } } });
  }
}
