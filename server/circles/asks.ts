/** Finds that wait for somebody's eyes: the record goes to the circle as a packet, without an answer, and what is said comes back. */
import type { OpinionLook } from "@jittery-cap/core";
import type { Person } from "@jittery-cap/core/documents";
import type { SaidBy } from "@jittery-cap/core/people";
import { Op, type Sequelize } from "sequelize";
import type { Models } from "../database/models.ts";
import type { AskRow } from "../database/rows.ts";
import { Problem } from "../http/problem.ts";
import type { Packets } from "../packets/packets.ts";
import type { Circles, Membership } from "./circles.ts";

/** What was answered is told for so long, days. */
const TOLD_DAYS = 14;
const DAY_MS = 24 * 60 * 60 * 1000;
/** Questions that are told at once. What waits comes before what was answered, however much that is. */
const MOST_WAITING = 500;
const MOST_ANSWERED = 100;

/** An ask as somebody in the circle sees it. */
export interface SeenAsk {
  readonly id: string;
  readonly circle: string;
  readonly circleName: string;
  readonly find?: string;
  readonly by: string;
  readonly note: string;
  readonly askedAt: string;
  readonly takenBy?: string;
  readonly takenByMe: boolean;
  readonly answeredAt?: string;
  readonly token?: string;
}

const noAsk = (id: string) => new Problem(404, `Nobody asks ${id}.`);

export class Asks {
  private readonly database: Sequelize;
  private readonly models: Models;
  private readonly circles: Circles;
  private readonly packets: Packets;

  constructor(database: Sequelize, models: Models, circles: Circles, packets: Packets) {
    this.database = database;
    this.models = models;
    this.circles = circles;
    this.packets = packets;
  }

  /** Asks; the same request again asks once. @throws 404 where the find is not theirs, or they are not in the circle */
  async ask(person: Person, findId: string, told: { id: string; circle: string; note: string }): Promise<SeenAsk> {
    await this.circles.membership(person.id, told.circle);
    const there = await this.models.asks.findByPk(told.id);
    if (there === null) {
      const packet = await this.packets.make(person, findId, told.id);
      if (packet === undefined) throw new Problem(404, `There is no find ${findId}.`);
      await this.models.asks.findOrCreate({
        where: { id: told.id },
        defaults: {
          id: told.id,
          findId,
          ownerId: person.id,
          circleId: told.circle,
          packetId: told.id,
          note: told.note,
          askedAt: new Date(),
        },
      });
    } else if (there.ownerId !== person.id || there.findId !== findId)
      throw new Problem(409, "id: another question has this id");
    return this.seen(person.id, told.id);
  }

  /** What waits in a person's circles, longest first, and what was answered lately behind it. */
  async list(person: string): Promise<SeenAsk[]> {
    const circleId = (await this.circles.memberships(person)).map((one) => one.circle);
    if (circleId.length === 0) return [];
    const waiting = await this.models.asks.findAll({
      where: { circleId, answeredAt: null },
      order: [["askedAt", "ASC"]],
      limit: MOST_WAITING,
    });
    const answered = await this.models.asks.findAll({
      where: { circleId, answeredAt: { [Op.gt]: new Date(Date.now() - TOLD_DAYS * DAY_MS) } },
      order: [["answeredAt", "DESC"]],
      limit: MOST_ANSWERED,
    });
    return this.told(person, [...waiting, ...answered]);
  }

  /** Says who looks. @throws 409 where somebody does already */
  async take(person: string, id: string, takes: boolean): Promise<SeenAsk> {
    await this.database.transaction(async (transaction) => {
      const row = await this.models.asks.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
      if (row === null) throw noAsk(id);
      await this.circles.membership(person, row.circleId).catch(() => {
        throw noAsk(id);
      });
      if (row.ownerId === person) throw new Problem(409, "take: nobody is their own second pair of eyes");
      if ((row.answeredAt ?? null) !== null) throw new Problem(409, "take: it is answered already");
      const taker = row.takenBy ?? null;
      if (takes && taker !== null && taker !== person) throw new Problem(409, "take: somebody looks at it already");
      if (!takes && taker !== person) return;
      await row.update({ takenBy: takes ? person : null, takenAt: takes ? new Date() : null }, { transaction });
    });
    return this.seen(person, id);
  }

  /** Keeps what somebody saw, under the standing that they have in the circle. */
  async answer(person: Person, id: string, said: { id: string; inHand: boolean; looks: OpinionLook[] }): Promise<void> {
    const row = await this.models.asks.findByPk(id);
    if (row === null) throw noAsk(id);
    const membership = await this.circles.membership(person.id, row.circleId).catch(() => {
      throw noAsk(id);
    });
    if (row.ownerId === person.id) throw new Problem(409, "(root): nobody is their own second pair of eyes");
    const taker = row.takenBy ?? null;
    if (taker !== null && taker !== person.id) throw new Problem(409, "(root): somebody else looks at it");
    const token = (await this.models.packets.findByPk(row.packetId))?.token ?? "";
    const me = await this.models.people.findByPk(person.id);
    const heard = await this.packets.hear(token, { ...said, name: me?.name ?? "" }, false, saidBy(person, membership));
    if (heard.kind === "missing") throw noAsk(id);
    if (heard.kind === "refused") throw Problem.ofFaults(heard.faults);
    await row.update({ answeredBy: person.id, answeredAt: new Date(), takenBy: person.id });
  }

  /** Asks no longer: the packet leads nowhere from then on. @throws 404 where it is not theirs */
  async withdraw(person: Person, id: string): Promise<void> {
    const row = await this.models.asks.findByPk(id);
    if (row === null || row.ownerId !== person.id) throw noAsk(id);
    await this.packets.withdraw(person, row.findId, row.packetId);
    await row.destroy();
  }

  private async seen(person: string, id: string): Promise<SeenAsk> {
    const row = await this.models.asks.findByPk(id);
    const [one] = row === null ? [] : await this.told(person, [row]);
    if (one === undefined) throw noAsk(id);
    return one;
  }

  private async told(person: string, rows: readonly AskRow[]): Promise<SeenAsk[]> {
    const ids = (of: (row: AskRow) => string | null | undefined) => [...new Set(rows.flatMap((row) => of(row) ?? []))];
    const [people, circles, packets] = await Promise.all([
      this.models.people.findAll({ where: { id: [...ids((row) => row.ownerId), ...ids((row) => row.takenBy)] } }),
      this.models.circles.findAll({ where: { id: ids((row) => row.circleId) } }),
      this.models.packets.findAll({ where: { id: ids((row) => row.packetId), withdrawnAt: null } }),
    ]);
    const name = new Map(people.map((one) => [one.id, one.name]));
    const circle = new Map(circles.map((one) => [one.id, one.name]));
    const token = new Map(packets.map((one) => [one.id, one.token]));
    return rows.map((row) => {
      const isMine = row.ownerId === person;
      const link = token.get(row.packetId);
      return {
        id: row.id,
        circle: row.circleId,
        circleName: circle.get(row.circleId) ?? "",
        ...(isMine ? { find: row.findId } : {}),
        by: name.get(row.ownerId) ?? "",
        note: row.note,
        askedAt: row.askedAt.toISOString(),
        ...((row.takenBy ?? null) === null ? {} : { takenBy: name.get(row.takenBy ?? "") ?? "" }),
        takenByMe: row.takenBy === person,
        ...((row.answeredAt ?? null) === null ? {} : { answeredAt: row.answeredAt?.toISOString() ?? "" }),
        ...(isMine || link === undefined ? {} : { token: link }),
      };
    });
  }
}

const saidBy = ({ id }: Person, { circle, role, trusted }: Membership): SaidBy => ({
  person: id,
  circle,
  role,
  trusted,
});
