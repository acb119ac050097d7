/** Circles as they are kept: who is in them and as what. Whoever is not in one is not told that it exists. */
import type { Role } from "@jittery-cap/core/people";
import { QueryTypes, type Sequelize, type Transaction, UniqueConstraintError } from "sequelize";
import { z } from "zod";
import type { Models } from "../database/models.ts";
import type { CircleMemberRow } from "../database/rows.ts";
import { Problem } from "../http/problem.ts";
import { hashOfCode, newToken } from "../people/people.ts";

/** A link leads somewhere for so long, days. */
const DAYS_OPEN = 14;
const DAY_MS = 24 * 60 * 60 * 1000;

const genera = z.array(z.string()).catch([]);

/** A circle as somebody in it sees it. */
export interface SeenCircle {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly members: { id: string; name: string; role: Role; trusted: string[]; joinedAt: string }[];
}

/** What somebody is in a circle. */
export interface Membership {
  readonly circle: string;
  readonly role: Role;
  readonly trusted: string[];
}

const noCircle = (id: string) => new Problem(404, `There is no circle ${id}.`);
const ownersOnly = () => new Problem(403, "Only an owner of the circle does that.");

export class Circles {
  private readonly database: Sequelize;
  private readonly models: Models;

  constructor(database: Sequelize, models: Models) {
    this.database = database;
    this.models = models;
  }

  /** What a person is, and where. */
  async memberships(person: string): Promise<Membership[]> {
    const rows = await this.models.circleMembers.findAll({ where: { personId: person }, raw: true });
    return rows.map(membershipOf);
  }

  /** @throws 404 where the person is not in it */
  async membership(person: string, circle: string): Promise<Membership> {
    const row = await this.models.circleMembers.findOne({ where: { personId: person, circleId: circle }, raw: true });
    if (row === null) throw noCircle(circle);
    return membershipOf(row);
  }

  async list(person: string): Promise<SeenCircle[]> {
    const mine = await this.memberships(person);
    return Promise.all(mine.map(({ circle }) => this.seen(person, circle)));
  }

  /** @throws 404 where the person is not in it */
  async seen(person: string, id: string): Promise<SeenCircle> {
    const { role } = await this.membership(person, id);
    const circle = await this.models.circles.findByPk(id, { raw: true });
    if (circle === null) throw noCircle(id);
    const rows = await this.database.query<{
      id: string;
      name: string;
      role: Role;
      trusted: unknown;
      joinedAt: Date;
    }>(
      `SELECT p.id, p.name, m.role, m.trusted, m.joined_at AS joinedAt FROM circle_members m
       JOIN people p ON p.id = m.person_id WHERE m.circle_id = :id ORDER BY p.name, p.id`,
      { type: QueryTypes.SELECT, replacements: { id } },
    );
    return {
      id,
      name: circle.name,
      role,
      members: rows.map((row) => ({
        ...row,
        trusted: trustedOf(row.trusted),
        joinedAt: new Date(row.joinedAt).toISOString(),
      })),
    };
  }

  /** Makes a circle; the same request again is the same circle. @throws 409 where the id is another's */
  async make(person: string, id: string, name: string): Promise<SeenCircle> {
    try {
      await this.database.transaction(async (transaction) => {
        await this.models.circles.create({ id, name, madeBy: person, madeAt: new Date() }, { transaction });
        await this.put(person, id, "owner", [], transaction);
      });
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
      const there = await this.models.circles.findOne({ where: { id, madeBy: person, name } });
      if (there === null) throw new Problem(409, "id: a circle has this id already");
    }
    return this.seen(person, id);
  }

  /** @throws 404 where the person is not in it, 403 where they are no owner of it */
  async asOwner(person: string, circle: string): Promise<void> {
    if ((await this.membership(person, circle)).role !== "owner") throw ownersOnly();
  }

  async invite(
    person: string,
    circle: string,
    told: { readonly id: string; readonly role: Role; readonly trusted: readonly string[] },
  ): Promise<{ token: string; openUntil: string }> {
    await this.asOwner(person, circle);
    if ((await this.models.circleInvitations.findByPk(told.id)) !== null)
      throw new Problem(409, "id: an invitation has this id already; its link is told once");
    const token = newToken();
    const madeAt = new Date();
    await this.models.circleInvitations.create({
      ...told,
      trusted: [...told.trusted],
      circleId: circle,
      fromId: person,
      hash: hashOfCode(token),
      madeAt,
    });
    return { token, openUntil: new Date(madeAt.getTime() + DAYS_OPEN * DAY_MS).toISOString() };
  }

  /** What one is invited to. @throws 404 where the link leads nowhere */
  async invitation(token: string): Promise<{ circle: string; from: string; role: Role }> {
    const row = await this.openInvitation(token);
    const [circle, from] = await Promise.all([
      this.models.circles.findByPk(row.circleId),
      this.models.people.findByPk(row.fromId),
    ]);
    return { circle: circle?.name ?? "", from: from?.name ?? "", role: row.role as Role };
  }

  /** Joins; whoever is in the circle already stays what they are. */
  async join(person: string, token: string): Promise<SeenCircle> {
    const circle = await this.database.transaction(async (transaction) => {
      const row = await this.openInvitation(token, transaction);
      await this.put(person, row.circleId, row.role as Role, trustedOf(row.trusted), transaction);
      await row.update({ usedBy: person }, { transaction });
      return row.circleId;
    });
    return this.seen(person, circle);
  }

  /** Changes what somebody is. @throws 409 where no owner would be left */
  async setMember(
    by: string,
    circle: string,
    person: string,
    role: Role,
    trusted: readonly string[],
  ): Promise<SeenCircle> {
    await this.asOwner(by, circle);
    await this.database.transaction(async (transaction) => {
      const row = await this.locked(circle, person, transaction);
      if (role !== "owner") await this.keepAnOwner(circle, person, transaction);
      await row.update({ role, trusted: [...trusted] }, { transaction });
    });
    return this.seen(by, circle);
  }

  /** Somebody goes, or is taken out by an owner; what they shared with the circle is not shared with it any more. */
  async leave(by: string, circle: string, person: string): Promise<void> {
    if (by === person) await this.membership(by, circle);
    else await this.asOwner(by, circle);
    await this.database.transaction(async (transaction) => {
      const row = await this.locked(circle, person, transaction);
      const others = await this.models.circleMembers.count({ where: { circleId: circle }, transaction });
      if (others > 1) await this.keepAnOwner(circle, person, transaction);
      await this.models.shares.destroy({ where: { circleId: circle, ownerId: person }, transaction });
      await this.models.asks.destroy({ where: { circleId: circle, ownerId: person }, transaction });
      await this.models.asks.update(
        { takenBy: null, takenAt: null },
        { where: { circleId: circle, takenBy: person, answeredAt: null }, transaction },
      );
      await row.destroy({ transaction });
      if (others === 1) await this.models.circles.destroy({ where: { id: circle }, transaction });
    });
  }

  /** Takes somebody out of all circles, who goes for good. An owner's place goes to whoever is in the circle longest. */
  async leaveAll(person: string, transaction: Transaction): Promise<void> {
    const rows = await this.models.circleMembers.findAll({ where: { personId: person }, transaction });
    for (const row of rows) {
      const { circleId } = row;
      const others = await this.models.circleMembers.findAll({
        where: { circleId },
        order: [["joinedAt", "ASC"]],
        transaction,
      });
      const left = others.filter((one) => one.personId !== person);
      if (row.role === "owner" && !left.some((one) => one.role === "owner"))
        await left[0]?.update({ role: "owner" }, { transaction });
      await row.destroy({ transaction });
      if (left.length === 0) await this.models.circles.destroy({ where: { id: circleId }, transaction });
    }
    await this.models.shares.destroy({ where: { ownerId: person }, transaction });
    await this.models.asks.destroy({ where: { ownerId: person }, transaction });
  }

  private put(person: string, circleId: string, role: Role, trusted: string[], transaction: Transaction) {
    return this.models.circleMembers.findOrCreate({
      where: { circleId, personId: person },
      defaults: { circleId, personId: person, role, trusted, joinedAt: new Date() },
      transaction,
    });
  }

  private async openInvitation(token: string, transaction?: Transaction) {
    const row = await this.models.circleInvitations.findOne({
      where: { hash: hashOfCode(token) },
      ...(transaction === undefined ? {} : { transaction, lock: transaction.LOCK.UPDATE }),
    });
    const isOpen =
      row !== null && (row.usedBy ?? null) === null && row.madeAt.getTime() + DAYS_OPEN * DAY_MS > Date.now();
    if (!isOpen) throw new Problem(404, "There is no such invitation. It may be too old, or used.");
    return row;
  }

  private async locked(circleId: string, personId: string, transaction: Transaction): Promise<CircleMemberRow> {
    // all of the circle: two owners who step back at once leave one
    const rows = await this.models.circleMembers.findAll({
      where: { circleId },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    const row = rows.find((one) => one.personId === personId);
    if (row === undefined) throw new Problem(404, `There is no ${personId} in this circle.`);
    return row;
  }

  private async keepAnOwner(circleId: string, but: string, transaction: Transaction): Promise<void> {
    const owners = await this.models.circleMembers.findAll({ where: { circleId, role: "owner" }, transaction });
    if (owners.every((one) => one.personId === but))
      throw new Problem(409, "role: a circle keeps an owner; make somebody else one first");
  }
}

/** JSON of a query of one's own comes as text. */
const trustedOf = (value: unknown): string[] => {
  try {
    return genera.parse(typeof value === "string" ? JSON.parse(value) : value);
  } catch {
    return [];
  }
};

const membershipOf = (row: Pick<CircleMemberRow, "circleId" | "role" | "trusted">): Membership => ({
  circle: row.circleId,
  role: row.role as Role,
  trusted: trustedOf(row.trusted),
});
