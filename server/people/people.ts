/** People as they are kept: who they are, what they sign in with, and the ways in that need no other device. */
import { createHash, generateKeyPair, randomBytes, randomInt } from "node:crypto";
import { promisify } from "node:util";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import type { OwnPerson } from "@jittery-cap/core/people";
import { Op, type Sequelize, type Transaction, UniqueConstraintError } from "sequelize";
import { z } from "zod";
import type { Models } from "../database/models.ts";
import type { PersonRow } from "../database/rows.ts";
import { Problem } from "../http/problem.ts";
import { hashPassword, isPassword, tooEasy } from "./passwords.ts";
import type { Sessions } from "./sessions.ts";

/** What a new person brings. */
export interface NewPerson {
  readonly name: string;
  readonly signInName: string;
  readonly password: string;
}

/** Codes in one set: enough for some lost telephones. */
const CODES = 10;
/** Letters and digits that are not taken for each other when they are read from paper. */
const CODE_LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
/** 16 of 31 letters: some 79 bits, which nobody tries through. */
const CODE_LENGTH = 16;
const SEAL_BITS = 2048;

const jwkSchema = z.record(z.string(), z.unknown());
const makeKeys = promisify(generateKeyPair);

/** A random code, in groups of four as it is written down. */
export function newCode(length = CODE_LENGTH): string {
  const letters = Array.from({ length }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join("");
  return letters.replace(/(.{4})(?=.)/g, "$1-");
}

/** The hash under which a random code or token is kept: it is long and random, and needs no slow one. */
export const hashOfCode = (code: string): string =>
  createHash("sha256").update(code.toLowerCase().replace(/[\s-]/g, "")).digest("hex");

export const newToken = (): string => randomBytes(16).toString("hex");

const wrong = () => new Problem(401, "That name and that password do not belong together.");

export class People {
  private readonly database: Sequelize;
  private readonly models: Models;
  private readonly sessions: Sessions;

  constructor(database: Sequelize, models: Models, sessions: Sessions) {
    this.database = database;
    this.models = models;
    this.sessions = sessions;
  }

  /** A person. */
  async read(id: string): Promise<PersonRow | undefined> {
    return (await this.models.people.findByPk(id)) ?? undefined;
  }

  /** What somebody may be told of themselves. @throws 401 where there is no such person any more */
  async own(id: string): Promise<OwnPerson> {
    const person = await this.keyed(id);
    const [passkeys, codes, signedIn] = await Promise.all([
      this.models.passkeys.findAll({ where: { personId: id }, order: [["madeAt", "ASC"]] }),
      this.models.recoveryCodes.count({ where: { personId: id } }),
      this.sessions.count(id),
    ]);
    return {
      id,
      name: person.name,
      ...((person.signInName ?? null) === null ? {} : { signInName: person.signInName ?? "" }),
      isKeeper: person.isKeeper,
      isInvented: person.isInvented,
      hasPassword: (person.password ?? null) !== null,
      recoveryCodesLeft: codes,
      signedIn,
      passkeys: passkeys.map((one) => ({
        id: one.id,
        name: one.name,
        madeAt: one.madeAt.toISOString(),
        ...(one.lastUsedAt === null || one.lastUsedAt === undefined
          ? {}
          : { lastUsedAt: one.lastUsedAt.toISOString() }),
      })),
      sealKey: jwkSchema.parse(JSON.parse(person.sealPublic ?? "{}")),
    };
  }

  /** The key that opens what a person's devices have sealed. */
  async sealKey(id: string): Promise<Record<string, unknown>> {
    return jwkSchema.parse(JSON.parse((await this.keyed(id)).sealPrivate ?? "{}"));
  }

  /** Whether nobody has signed in here yet, but invented people. */
  async isNobodyYet(): Promise<boolean> {
    return (await this.models.people.count({ where: { signInName: { [Op.not]: null } } })) === 0;
  }

  /** Invented people, who may be taken where that is allowed at all. */
  invented(): Promise<PersonRow[]> {
    return this.models.people.findAll({ where: { isInvented: true }, order: [["id", "ASC"]] });
  }

  /** Puts somebody who does not exist, once. */
  async invent(id: string, name: string, about: string): Promise<void> {
    const there = await this.models.people.findByPk(id);
    // a person who has taken this id for themselves is nobody's invention any more
    if (there !== null && (there.signInName ?? null) !== null) return;
    const values = { name, about, isInvented: true };
    if (there === null) await this.models.people.create({ id, createdAt: new Date(), ...values });
    else if (!there.isInvented) await there.update(values);
  }

  /**
   * Makes the first person, who keeps this server. What was recorded here before there were people is theirs, unless it is the
   * demo's. @param id of a person who is new @throws 409 where there is somebody already
   */
  async first(told: NewPerson, id: string): Promise<string> {
    await this.refuseEasy(told);
    const password = await hashPassword(told.password);
    return this.database.transaction(async (transaction) => {
      // whoever comes second waits here, and finds somebody
      const before = await this.models.people.findByPk(LOCAL_PERSON, { transaction, lock: transaction.LOCK.UPDATE });
      const signed = await this.models.people.count({ where: { signInName: { [Op.not]: null } }, transaction });
      if (signed > 0) throw new Problem(409, "word: somebody was the first already; ask them for an invitation");
      const values = { name: told.name, signInName: told.signInName, password, isKeeper: true };
      if (before !== null && !before.isInvented) {
        await before.update(values, { transaction });
        return before.id;
      }
      await this.models.people.create({ id, createdAt: new Date(), ...values }, { transaction });
      return id;
    });
  }

  /** Makes a person. @throws 409 where the name or the id is somebody's */
  async make(told: NewPerson, id: string, transaction: Transaction): Promise<void> {
    const { name, signInName, password } = told;
    try {
      await this.models.people.create(
        { id, name, signInName, password: await hashPassword(password), createdAt: new Date() },
        { transaction },
      );
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
      throw new Problem(409, "signInName: somebody else signs in by this name here");
    }
  }

  /** @throws 400 where a password is guessed first */
  async refuseEasy({ name, signInName, password }: NewPerson): Promise<void> {
    const why = await tooEasy(password, [name, signInName]);
    if (why !== undefined) throw Problem.ofFaults([{ path: "password", message: why }]);
  }

  /** The person of a name and a password. @throws 401, the same whatever is wrong */
  async byPassword(signInName: string, password: string): Promise<string> {
    const person = await this.named(signInName);
    if (!(await isPassword(person?.password, password)) || person === undefined) throw wrong();
    return person.id;
  }

  /** @throws 401 where it is not this person's password */
  async confirm(id: string, password: string): Promise<PersonRow> {
    const person = await this.read(id);
    if (person === undefined || !(await isPassword(person.password, password)))
      throw Problem.ofFaults([{ path: "password", message: "is not your password" }]);
    return person;
  }

  /** Sets a password. */
  async setPassword(person: PersonRow, password: string): Promise<void> {
    await this.refuseEasy({ name: person.name, signInName: person.signInName ?? "", password });
    await person.update({ password: await hashPassword(password) });
  }

  /** What people are called, by their ids. */
  async names(ids: readonly string[]): Promise<Record<string, string>> {
    const rows = await this.models.people.findAll({
      where: { id: [...new Set(ids)] },
      attributes: ["id", "name"],
      raw: true,
    });
    return Object.fromEntries(rows.map((row) => [row.id, row.name]));
  }

  async rename(id: string, name: string): Promise<void> {
    await this.models.people.update({ name }, { where: { id } });
  }

  /** New codes in the place of all old ones. */
  async newCodes(id: string): Promise<string[]> {
    const codes = Array.from({ length: CODES }, () => newCode());
    await this.database.transaction(async (transaction) => {
      await this.models.recoveryCodes.destroy({ where: { personId: id }, transaction });
      await this.models.recoveryCodes.bulkCreate(
        codes.map((code) => ({ hash: hashOfCode(code), personId: id })),
        { transaction },
      );
    });
    return codes;
  }

  /** The person of a name and a code, which is used up. @throws 401, the same whatever is wrong */
  async byCode(signInName: string, code: string): Promise<PersonRow> {
    const person = await this.named(signInName);
    const used =
      person === undefined
        ? 0
        : await this.models.recoveryCodes.destroy({ where: { personId: person.id, hash: hashOfCode(code) } });
    if (person === undefined || used === 0)
      throw new Problem(401, "That name and that code do not belong together, or the code was used already.");
    return person;
  }

  private async named(signInName: string): Promise<PersonRow | undefined> {
    const name = signInName.trim().toLowerCase();
    return (await this.models.people.findOne({ where: { signInName: name } })) ?? undefined;
  }

  /** A person with keys to seal by, made when they are first asked for. */
  private async keyed(id: string): Promise<PersonRow> {
    const person = await this.read(id);
    if (person === undefined) throw new Problem(401, "There is no such person here any more.");
    if ((person.sealPublic ?? null) !== null) return person;
    const { publicKey, privateKey } = await makeKeys("rsa", { modulusLength: SEAL_BITS });
    await this.models.people.update(
      {
        sealPublic: JSON.stringify(publicKey.export({ format: "jwk" })),
        sealPrivate: JSON.stringify(privateKey.export({ format: "jwk" })),
      },
      // of two at once the first one's keys are kept
      { where: { id, sealPublic: null } },
    );
    return (await this.read(id)) ?? person;
  }
}
