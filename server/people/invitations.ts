/** Links by which one person may join. Only a hash of the link is kept: whoever reads the database joins nowhere. */
import type { Sequelize } from "sequelize";
import type { Models } from "../database/models.ts";
import type { InvitationRow } from "../database/rows.ts";
import { Problem } from "../http/problem.ts";
import { hashOfCode, type NewPerson, newToken, type People } from "./people.ts";

/** A link leads somewhere for so long, days: long enough for a letter. */
const DAYS_OPEN = 14;
const DAY_MS = 24 * 60 * 60 * 1000;

/** An invitation as whoever made it sees it. */
export interface Invitation {
  readonly id: string;
  readonly token?: string;
  readonly madeAt: string;
  readonly openUntil: string;
  readonly usedBy?: string;
  readonly note: string;
}

const endOf = ({ madeAt, withdrawnAt, usedBy }: InvitationRow): Date => {
  const old = new Date(madeAt.getTime() + DAYS_OPEN * DAY_MS);
  if ((usedBy ?? null) !== null) return madeAt;
  return withdrawnAt !== null && withdrawnAt !== undefined && withdrawnAt < old ? withdrawnAt : old;
};

const noSuch = () => new Problem(404, "There is no such invitation. It may be too old, used, or taken back.");

export class Invitations {
  private readonly database: Sequelize;
  private readonly models: Models;
  private readonly people: People;

  constructor(database: Sequelize, models: Models, people: People) {
    this.database = database;
    this.models = models;
    this.people = people;
  }

  /** Makes one; its token is told this once. @throws 403 where the person does not keep this server, 409 where the id is taken */
  async make(from: string, id: string, note: string): Promise<Invitation> {
    const person = await this.people.read(from);
    if (person?.isKeeper !== true) throw new Problem(403, "Only whoever keeps this server invites people to it.");
    if ((await this.models.invitations.findByPk(id)) !== null)
      throw new Problem(409, "id: an invitation has this id already; its link is told once");
    const token = newToken();
    const row = await this.models.invitations.create({
      id,
      fromId: from,
      hash: hashOfCode(token),
      note,
      madeAt: new Date(),
    });
    return { ...(await this.told(row)), token };
  }

  async list(from: string): Promise<Invitation[]> {
    const rows = await this.models.invitations.findAll({ where: { fromId: from }, order: [["madeAt", "DESC"]] });
    return Promise.all(rows.map((row) => this.told(row)));
  }

  async withdraw(from: string, id: string): Promise<void> {
    const row = await this.models.invitations.findOne({ where: { fromId: from, id } });
    if (row === null) throw new Problem(404, `There is no invitation ${id} of yours.`);
    if ((row.withdrawnAt ?? null) === null) await row.update({ withdrawnAt: new Date() });
  }

  /** Who invites by a token. @throws 404 where it leads nowhere */
  async open(token: string): Promise<{ from: string; openUntil: string }> {
    const row = await this.models.invitations.findOne({ where: { hash: hashOfCode(token) } });
    if (row === null || endOf(row) <= new Date()) throw noSuch();
    const from = await this.people.read(row.fromId);
    if (from === undefined) throw noSuch();
    return { from: from.name, openUntil: endOf(row).toISOString() };
  }

  /** Joins; the invitation is used up by it, or nothing happens. Sent again by the same person it is answered alike. */
  async use(token: string, id: string, told: NewPerson): Promise<void> {
    await this.people.refuseEasy(told);
    await this.database.transaction(async (transaction) => {
      const row = await this.models.invitations.findOne({
        where: { hash: hashOfCode(token) },
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      if (row === null || endOf(row) <= new Date()) throw noSuch();
      await this.people.make(told, id, transaction);
      await row.update({ usedBy: id }, { transaction });
    });
  }

  private async told(row: InvitationRow): Promise<Invitation> {
    const by = (row.usedBy ?? null) === null ? undefined : await this.people.read(row.usedBy ?? "");
    return {
      id: row.id,
      madeAt: row.madeAt.toISOString(),
      openUntil: endOf(row).toISOString(),
      ...(by === undefined ? {} : { usedBy: by.name }),
      note: row.note,
    };
  }
}
