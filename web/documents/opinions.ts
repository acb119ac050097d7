/** What somebody else or a book said of a find. */
import type { Find, OpinionKind, OpinionLook } from "@jittery-cap/core";
import type { SaidBy } from "@jittery-cap/core/people";
import { uuidv7 } from "uuidv7";
import { keptAbout, makeDocument } from "./documents.ts";

export interface ShownOpinion {
  readonly id: string;
  readonly kind: OpinionKind;
  readonly name: string;
  readonly agrees?: boolean | undefined;
  readonly looks: readonly OpinionLook[];
  readonly by?: SaidBy | undefined;
}

/** What was said of a find, oldest first. */
export async function opinionsOf(findId: string): Promise<readonly ShownOpinion[]> {
  return (await keptAbout("opinion", findId)).map(({ id, content }) => ({ id, ...content }));
}

/** Notes a book. */
export async function noteBook(findId: string, title: string, agrees: boolean): Promise<void> {
  await makeDocument("opinion", uuidv7(), {
    about: findId,
    kind: "book",
    name: title,
    agrees,
    looks: [],
    saidAt: new Date().toISOString(),
  });
}

/** The looks of a record as somebody's. */
export const looksIn = (find: Find): readonly OpinionLook[] =>
  find.bodies.flatMap((body) => (body.seen ?? []).map((entry) => ({ body: body.id, entry })));
