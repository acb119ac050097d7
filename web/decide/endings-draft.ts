/** What a person has chosen to become of each body, before it is frozen. */
import {
  type Body,
  type BodyEnding,
  type Find,
  isAmongFood,
  isStricter,
  type Trimming,
  trimmingFault,
} from "@jittery-cap/core";
import type { ShownAnswer } from "../standing/shown-answer.ts";

export interface Drafted {
  readonly ending?: BodyEnding["ending"];
  readonly reason?: string;
  readonly off?: readonly Trimming[];
}
export type Draft = Readonly<Record<string, Drafted>>;

/** A draft as it would be sent, or undefined where no ending is chosen yet. */
export function toldOf(body: string, { ending, reason, off }: Drafted = {}): BodyEnding | undefined {
  const why = reason?.trim();
  return ending === undefined
    ? undefined
    : {
        body,
        ending,
        ...(why === undefined || why === "" ? {} : { reason: why }),
        ...(off === undefined || off.length === 0 || !isAmongFood(ending) ? {} : { off: [...off] }),
      };
}

/** Whether the answer would permit more for a body than what is chosen: then a reason is asked. */
export const asksReason = (answer: ShownAnswer, told: BodyEnding | undefined): boolean =>
  told !== undefined && isStricter(answer, told.body, told.ending);

/** Whether a body's draft lacks nothing. */
export function isReady(answer: ShownAnswer, body: Body, draft: Draft): boolean {
  const told = toldOf(body.id, draft[body.id]);
  if (told === undefined || trimmingFault(body, told) !== undefined) return false;
  return !asksReason(answer, told) || told.reason !== undefined;
}

/** The endings as they would be frozen. */
export const endingsOf = (find: Find, draft: Draft): BodyEnding[] =>
  find.bodies.flatMap((body) => toldOf(body.id, draft[body.id]) ?? []);
