/** What has to hold before a document is made, besides its form: what a client says of an answer is never stored as truth. */
import {
  type AnswerSummary,
  DEFAULT_RULES,
  type Decision,
  endingFaults,
  experienceMissing,
  type Fault,
  type Find,
  isAmongFood,
  isSeenForLearner,
  rulesOf,
} from "@jittery-cap/core";
import type { Write } from "@jittery-cap/core/api";
import type { Opinion, Person, Picture } from "@jittery-cap/core/documents";
import { z } from "zod";
import type { Circles } from "../circles/circles.ts";
import type { Judging } from "../judging/judging.ts";
import { contentAs } from "./document.ts";
import type { Documents } from "./documents.ts";

/** What may come of asking whether something may be made. */
export type Admitted =
  | { readonly kind: "admitted"; readonly content: unknown }
  | { readonly kind: "refused"; readonly faults: readonly Fault[] }
  | { readonly kind: "missing"; readonly what: string };

const refused = (path: string, message: string): Admitted => ({ kind: "refused", faults: [{ path, message }] });

/** As much of a whole answer as it takes to say who has met what. */
const toldAnswerSchema = z.object({
  dangers: z.array(
    z.object({
      aside: z.literal(true).optional(),
      points: z.array(z.object({ body: z.string(), character: z.string(), hard: z.boolean() })),
    }),
  ),
  bodies: z.array(z.object({ body: z.string(), kept: z.boolean() })),
});

export class Admission {
  private readonly documents: Documents;
  private readonly judging: Judging;
  private readonly circles: Circles;

  constructor(documents: Documents, judging: Judging, circles: Circles) {
    this.circles = circles;
    this.documents = documents;
    this.judging = judging;
  }

  /** Whether something may be made under an id, and what is then kept of it. What is there already is only compared. */
  async of(person: Person, id: string, write: Write): Promise<Admitted> {
    if (write.create === undefined || (await this.documents.read(person, id)) !== undefined)
      return { kind: "admitted", content: write.create };
    switch (write.kind) {
      case "find":
        return write.create.id === id
          ? { kind: "admitted", content: write.create }
          : refused("create.id", `is not the id of the address, ${id}`);
      case "settings":
        return id === person.id
          ? { kind: "admitted", content: write.create }
          : refused("id", "settings are kept under the id of the person whose they are");
      case "picture":
        return refused("kind", "a picture is sent as a file, to /api/pictures");
      case "opinion":
        return this.opinion(person, write.create);
      // what of them may be cooked or kept is worked out whenever it is shown, and never taken from a writer
      case "meal":
      case "batch":
      case "tasting":
      // what belongs to which outing or place is worked out from times and positions: nothing has to be there before
      case "outing":
      case "track":
      case "place":
      case "reminder":
      // what was tried is the learner's own word: nothing is permitted by it
      case "sitting":
        return { kind: "admitted", content: write.create };
      case "decision":
        return this.decision(person, write.create);
    }
  }

  /** A picture is of a find that is there. */
  async picture(person: Person, picture: Picture): Promise<Admitted> {
    return (await this.documents.open(person, picture.about, "find")) === undefined
      ? { kind: "missing", what: `There is no find ${picture.about}.` }
      : { kind: "admitted", content: picture };
  }

  /** The owner notes books; what other people saw comes by the link of a packet and from nowhere else. */
  private async opinion(person: Person, opinion: Opinion): Promise<Admitted> {
    if (opinion.kind !== "book") return refused("create.kind", "what somebody saw comes by the link of a packet");
    if (opinion.by !== undefined)
      return refused("create.by", "under which standing somebody spoke the server knows itself");
    if (opinion.looks.length > 0) return refused("create.looks", "a book looks at nothing");
    return (await this.documents.open(person, opinion.about, "find")) === undefined
      ? { kind: "missing", what: `There is no find ${opinion.about}.` }
      : { kind: "admitted", content: opinion };
  }

  /**
   * A decision is of a find that is there, and of a record that this server judges again: its own answer is kept. Where the
   * device judged by the same sheets, an ending that they do not permit is refused; where it had others, perhaps without a
   * network for days, what was done in the wood is kept and what is not cleared is taken back by how it stands.
   */
  private async decision(person: Person, decision: Decision): Promise<Admitted> {
    const { find, endings, edition } = decision;
    if ((await this.documents.open(person, find.id, "find")) === undefined)
      return { kind: "missing", what: `There is no find ${find.id}.` };
    const [answer] = await this.judging.summaries([find]);
    if (answer === undefined) throw new Error("the judge gave no answer");
    const faults = endingFaults(find, endings, answer);
    if (edition === this.judging.edition && faults.length > 0)
      return { kind: "refused", faults: faults.map((one) => ({ ...one, path: `create.${one.path}` })) };
    const isFood = endings.some((one) => isAmongFood(one.ending));
    const missing = isFood ? await this.experienceMissing(person, find) : undefined;
    if (missing !== undefined) return { kind: "refused", faults: [missing] };
    if (isFood && !(await this.isSeenForLearner(person, find, answer)))
      return refused(
        "create.endings",
        "whoever learns has one who knows look at it in the hand before any of it is food",
      );
    return {
      kind: "admitted",
      content: { ...decision, rules: { ...rulesOf(find) }, edition: this.judging.edition, answer },
    };
  }

  /** A rule that rests on experience holds only where the owner's own finds show it, whoever wrote it into the record. */
  private async experienceMissing(person: Person, find: Find): Promise<Fault | undefined> {
    const { smallBrown } = rulesOf(find);
    if (smallBrown === DEFAULT_RULES.smallBrown) return undefined;
    const finds = await this.everyFind(person);
    const why = experienceMissing("smallBrown", smallBrown, finds);
    return why === undefined ? undefined : { path: "create.find.rules.smallBrown", message: why };
  }

  /** Of a learner's find, whether one who knows has seen it in the hand; of everybody else's, that nobody has to. */
  private async isSeenForLearner(person: Person, find: Find, answer: AnswerSummary): Promise<boolean> {
    const learnsIn = (await this.circles.memberships(person.id)).filter((one) => one.role === "learner");
    if (learnsIn.length === 0) return true;
    const rows = await this.documents.about(person, find.id, "opinion");
    const said = rows.flatMap((row) => contentAs(row, "opinion") ?? []);
    const [whole] = await this.judging.answers([find]);
    if (whole === undefined) return false;
    return isSeenForLearner(
      find,
      { ...toldAnswerSchema.parse(whole), restsOn: answer.restsOn },
      said,
      learnsIn.map((one) => one.circle),
    );
  }

  private async everyFind(person: Person): Promise<Find[]> {
    const finds: Find[] = [];
    let after: { id: string; listedAt: Date } | undefined;
    for (;;) {
      const { rows, more } = await this.documents.page(person, "find", { archived: false, after, limit: 200 });
      finds.push(...rows.flatMap((row) => contentAs(row, "find") ?? []));
      after = rows.at(-1);
      if (!more) return finds;
    }
  }
}
