/** Rounds that are taught: what the table shows and who answered what. A phone sees no more than the table shows. */
import { randomBytes } from "node:crypto";
import type { Person } from "@jittery-cap/core/documents";
import {
  type RoundAnswer,
  roundAnswerSchema,
  type SetItem,
  type Shown,
  setItemSchema,
  shownSchema,
  tallyOf,
} from "@jittery-cap/core/trainer";
import { createOnce } from "../database/collisions.ts";
import type { Models } from "../database/models.ts";
import type { RoundAnswerRow, RoundRow } from "../database/rows.ts";
import { openUntil } from "../packets/link.ts";

/** A round as its table has it. */
export interface TableRound {
  readonly id: string;
  readonly name: string;
  readonly token: string;
  readonly items: SetItem[];
  readonly shown?: Shown;
  readonly answers: RoundAnswer[];
  readonly madeAt: string;
  readonly openUntil: string;
}

/** A round as a phone sees it. */
export interface PhoneRound {
  readonly name: string;
  readonly finds: number;
  readonly shown?: Shown;
  readonly said: number;
  readonly tally?: { readonly leave: number; readonly hold: number; readonly basket: number };
  readonly own?: RoundAnswer;
}

/** What came of an answer. */
export type Heard =
  | { readonly kind: "heard" }
  | { readonly kind: "missing" }
  | { readonly kind: "late"; readonly why: string };

/** Phones at one table, at the most. */
const MOST_PHONES = 200;

export class Rounds {
  private readonly models: Models;
  private readonly changed: (token: string) => void;

  /** @param changed told the token of a round of which something was changed */
  constructor(models: Models, changed: (token: string) => void) {
    this.models = models;
    this.changed = changed;
  }

  /** Makes a round; the same request again is the same round. @returns undefined where the id is somebody else's */
  async make(person: Person, id: string, name: string, items: readonly SetItem[]): Promise<TableRound | undefined> {
    const token = randomBytes(16).toString("hex");
    const row = await createOnce(
      () => this.models.rounds.create({ id, ownerId: person.id, token, name, items, shown: null, madeAt: new Date() }),
      () => this.models.rounds.findByPk(id),
    );
    return row.ownerId === person.id ? this.tableRound(row) : undefined;
  }

  /** Those that can be joined, latest first. */
  async list(person: Person, now = new Date()): Promise<readonly RoundRow[]> {
    const rows = await this.models.rounds.findAll({ where: { ownerId: person.id }, order: [["madeAt", "DESC"]] });
    return rows.filter((row) => openUntil(row) > now);
  }

  /** A round as its table has it. */
  async read(person: Person, id: string): Promise<TableRound | undefined> {
    const row = await this.own(person, id);
    return row === undefined ? undefined : this.tableRound(row);
  }

  /** Shows something else. @returns whether there is such a round */
  async show(person: Person, id: string, shown: Shown): Promise<boolean> {
    const row = await this.own(person, id);
    if (row === undefined || openUntil(row) <= new Date()) return false;
    await row.update({ shown });
    this.changed(row.token);
    return true;
  }

  /** Ends a round. @returns whether there is such a round */
  async end(person: Person, id: string): Promise<boolean> {
    const row = await this.own(person, id);
    if (row === undefined) return false;
    if ((row.withdrawnAt ?? null) === null) await row.update({ withdrawnAt: new Date() });
    this.changed(row.token);
    return true;
  }

  /** What a phone sees, as long as the link leads anywhere. */
  async join(token: string, guest: string | undefined): Promise<PhoneRound | undefined> {
    const row = await this.open(token);
    if (row === undefined) return undefined;
    const shown = shownOf(row);
    const answers = shown === undefined ? [] : await this.answersOf(row.id, shown.at);
    const { said, ...tally } = tallyOf(answers);
    const own = answers.find((one) => one.guest === guest);
    return {
      name: row.name,
      finds: itemsOf(row).length,
      ...(shown === undefined ? {} : { shown }),
      said,
      // what the others said is covered as long as the find is
      ...(shown?.told === undefined ? {} : { tally }),
      ...(own === undefined ? {} : { own }),
    };
  }

  /** Hears an answer to the find that is shown. */
  async hear(token: string, answer: RoundAnswer): Promise<Heard> {
    const row = await this.open(token);
    if (row === undefined) return { kind: "missing" };
    const shown = shownOf(row);
    const known = await this.models.roundAnswers.findByPk(answer.id);
    // sent again, it was heard already
    if (known !== null) return known.roundId === row.id ? { kind: "heard" } : { kind: "missing" };
    if (shown === undefined || shown.at !== answer.at) return { kind: "late", why: "at: another find is shown now" };
    if (shown.told !== undefined) return { kind: "late", why: "at: it is uncovered already" };
    const { id, guest, name, at, ...said } = answer;
    const before = await this.models.roundAnswers.findOne({ where: { roundId: row.id, guest, at } });
    if (before === null && (await this.models.roundAnswers.count({ where: { roundId: row.id, at } })) >= MOST_PHONES)
      return { kind: "late", why: `guest: at most ${MOST_PHONES} phones at a table` };
    await this.models.roundAnswers.upsert({
      id: before?.id ?? id,
      roundId: row.id,
      guest,
      name,
      at,
      said,
      saidAt: new Date(),
    });
    this.changed(token);
    return { kind: "heard" };
  }

  /** Whether a link leads to a round. */
  async isOpen(token: string): Promise<boolean> {
    return (await this.open(token)) !== undefined;
  }

  private async own(person: Person, id: string): Promise<RoundRow | undefined> {
    return (await this.models.rounds.findOne({ where: { id, ownerId: person.id } })) ?? undefined;
  }

  private async open(token: string): Promise<RoundRow | undefined> {
    const row = await this.models.rounds.findOne({ where: { token } });
    return row === null || openUntil(row) <= new Date() ? undefined : row;
  }

  private async answersOf(roundId: string, at?: number): Promise<RoundAnswer[]> {
    const rows = await this.models.roundAnswers.findAll({
      where: { roundId, ...(at === undefined ? {} : { at }) },
      order: [
        ["at", "ASC"],
        ["saidAt", "ASC"],
        ["id", "ASC"],
      ],
    });
    return rows.flatMap(answerOf);
  }

  private async tableRound(row: RoundRow): Promise<TableRound> {
    const shown = shownOf(row);
    return {
      id: row.id,
      name: row.name,
      token: row.token,
      items: itemsOf(row),
      ...(shown === undefined ? {} : { shown }),
      answers: await this.answersOf(row.id),
      madeAt: row.madeAt.toISOString(),
      openUntil: openUntil(row).toISOString(),
    };
  }
}

/** What was kept is looked through again: another version of this program may have kept it. */
function shownOf({ shown }: RoundRow): Shown | undefined {
  const read = shownSchema.safeParse(shown);
  return read.success ? read.data : undefined;
}

const itemsOf = ({ items }: RoundRow): SetItem[] =>
  (Array.isArray(items) ? items : []).flatMap((one) => {
    const read = setItemSchema.safeParse(one);
    return read.success ? [read.data] : [];
  });

function answerOf({ id, guest, name, at, said }: RoundAnswerRow): RoundAnswer[] {
  const read = roundAnswerSchema.safeParse({ ...(said as object), id, guest, name, at });
  return read.success ? [read.data] : [];
}
