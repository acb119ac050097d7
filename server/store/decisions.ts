/** Decisions as they are kept: written once, frozen, never changed. */
import {
  type Answer,
  type BodyEnding,
  bodyEndingSchema,
  DEFAULT_RULES,
  type Decision,
  decide,
  experienceMissing,
  type Fault,
  type Find,
  findSchema,
  isAmongFood,
  type Knowledge,
  type RulesInForce,
  rulesOf,
  type Standing,
  standingOf,
} from "@jittery-cap/core";
import { z } from "zod";
import { Judging } from "../judging.ts";
import { createOnce } from "./collisions.ts";
import type { FindStore, StoredFind } from "./finds.ts";
import type { DecisionRow, Models } from "./models.ts";

/** A decision with its id and time, the record as it is now, and how it stands by today's sheets for both records. */
export interface KeptDecision {
  readonly id: string;
  readonly decidedAt: string;
  readonly version: number;
  readonly find: Find;
  readonly rules: RulesInForce;
  readonly edition: string;
  readonly answer: Answer;
  readonly endings: readonly BodyEnding[];
  /** Left out where the find was put away. */
  readonly current?: Find;
  readonly today: Standing & { readonly edition: string };
}

/** What may come of deciding. */
export type Decided =
  | { readonly kind: "decided"; readonly decision: KeptDecision; readonly isNew: boolean }
  | { readonly kind: "missing" }
  | { readonly kind: "conflict"; readonly current: StoredFind }
  | { readonly kind: "refused"; readonly faults: readonly Fault[] };

// rules and answer were made here and frozen; what is read back is checked for its shape where it is used
const frozenSchema = z.object({
  find: findSchema,
  rules: z.custom<RulesInForce>((value) => typeof value === "object" && value !== null),
  edition: z.string(),
  answer: z.custom<Answer>((value) => typeof value === "object" && value !== null && "verdict" in value),
  endings: z.array(bodyEndingSchema),
});

const ID_TAKEN: Fault = { path: "id", message: "another decision has this id" };

/** The decisions of all owners; every question names its owner. */
export class DecisionStore {
  private readonly models: Models;
  private readonly finds: FindStore;
  private readonly knowledge: Knowledge;
  private readonly judging: Judging;

  constructor(models: Models, finds: FindStore, knowledge: Knowledge, judging = new Judging(knowledge)) {
    this.models = models;
    this.finds = finds;
    this.knowledge = knowledge;
    this.judging = judging;
  }

  /** Decides the find as the server holds it, with the server's own answer. The same request again decides nothing new. */
  async decide(
    ownerId: string,
    findId: string,
    id: string,
    version: number,
    endings: readonly BodyEnding[],
  ): Promise<Decided> {
    const there = await this.models.decisions.findByPk(id);
    if (there !== null)
      return there.ownerId === ownerId && there.findId === findId
        ? { kind: "decided", decision: await this.kept(there, await this.finds.read(ownerId, findId)), isNew: false }
        : { kind: "refused", faults: [ID_TAKEN] };
    const stored = await this.finds.read(ownerId, findId);
    if (stored === undefined) return { kind: "missing" };
    if (stored.version !== version) return { kind: "conflict", current: stored };
    const decided = decide(stored.find, endings, this.knowledge);
    if (!decided.ok) return { kind: "refused", faults: decided.faults };
    const isFood = endings.some((one) => isAmongFood(one.ending));
    const missing = isFood ? await this.experienceMissing(ownerId, stored.find) : undefined;
    if (missing !== undefined) return { kind: "refused", faults: [missing] };
    const frozen: Decision = decided.value;
    let isNew = true;
    const row = await createOnce(
      () => this.models.decisions.create({ id, ownerId, findId, version, frozen, decidedAt: new Date() }),
      () => {
        isNew = false;
        return this.models.decisions.findByPk(id);
      },
    );
    if (row.ownerId !== ownerId || row.findId !== findId) return { kind: "refused", faults: [ID_TAKEN] };
    return { kind: "decided", decision: await this.kept(row, stored), isNew };
  }

  /** A rule that rests on experience holds only where the owner's own finds show it, whoever wrote it into the record. */
  private async experienceMissing(ownerId: string, find: Find): Promise<Fault | undefined> {
    const { smallBrown } = rulesOf(find);
    if (smallBrown === DEFAULT_RULES.smallBrown) return undefined;
    const finds = (await this.finds.list(ownerId)).map((one) => one.find);
    const why = experienceMissing("smallBrown", smallBrown, finds);
    return why === undefined ? undefined : { path: "rules.smallBrown", message: why };
  }

  /** The decisions of a find, latest first. */
  async list(ownerId: string, findId: string): Promise<KeptDecision[]> {
    const rows = await this.models.decisions.findAll({
      where: { ownerId, findId },
      order: [
        ["decidedAt", "DESC"],
        ["id", "DESC"],
      ],
    });
    const now = await this.finds.read(ownerId, findId);
    return Promise.all(rows.map((row) => this.kept(row, now)));
  }

  /** The latest decision of every find that is not put away, with the record as it is now. */
  async latest(ownerId: string): Promise<KeptDecision[]> {
    const rows = await this.models.decisions.findAll({ where: { ownerId }, order: [["decidedAt", "DESC"]] });
    const current = new Map((await this.finds.list(ownerId)).map((stored) => [stored.find.id, stored]));
    const latest = rows.filter((row, index) => rows.findIndex((one) => one.findId === row.findId) === index);
    return Promise.all(
      latest.flatMap((row) => {
        const now = current.get(row.findId);
        return now === undefined ? [] : [this.kept(row, now)];
      }),
    );
  }

  /**
   * A decision as it stands: whatever happened to the record since, an undo, an edit from elsewhere, a second look, what
   * is cleared is what the answer then, today's to the frozen record and today's to the record as it is now all clear.
   * @param now the record as it is now; undefined where the find was put away: then nothing is cleared
   */
  private async kept(row: DecisionRow, now: StoredFind | undefined): Promise<KeptDecision> {
    const { find, rules, edition, answer, endings } = frozenSchema.parse(row.frozen);
    const frozen =
      edition === this.knowledge.edition ? [] : [await this.judging.standing(row.id, String(row.version), find)];
    const current = now === undefined ? [] : [await this.judging.ofFind(now)];
    const standing = standingOf(now === undefined ? [] : [answer, ...frozen, ...current]);
    return {
      id: row.id,
      decidedAt: row.decidedAt.toISOString(),
      version: row.version,
      find,
      ...(now === undefined ? {} : { current: now.find }),
      rules,
      edition,
      answer,
      endings,
      today: { edition: this.knowledge.edition, ...standing },
    };
  }
}
