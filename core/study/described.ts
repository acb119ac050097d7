/** Finds described by people who read no sheet, with what a careful person would do: how the judgement fares on them. */
import { z } from "zod";
import { type Answer, assess } from "../answer/answer.ts";
import { findSchema } from "../find/schema.ts";
import { definitionOf } from "../find/vocabulary.ts";
import { VERDICTS } from "../judge/verdict.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";

export const describedSchema = z.object({
  name: z.string().min(1),
  kind: z.string().min(1),
  /** The sheet of that kind, where the shelf had one when it was described. */
  sheet: z.string().nullable(),
  poisonous: z.boolean(),
  /** The verdicts that are right. */
  want: z.array(z.enum(VERDICTS)).min(1),
  /** An honest slip of the finder, in words. */
  slip: z.string().optional(),
  /** What is missing in a record that is deliberately incomplete. */
  why: z.string().optional(),
  /** How bad a kind without a sheet is. */
  harm: z.string().optional(),
  find: findSchema,
});
export type Described = z.infer<typeof describedSchema>;

export const GROUPS = ["complete", "incomplete", "dangers", "strangers"] as const;
/** complete: to be taken; incomplete: sought and lacking something; dangers: poisonous with a sheet; strangers: without. */
export type Group = (typeof GROUPS)[number];

/** What came of one described find. */
export interface Outcome {
  readonly described: Described;
  readonly group: Group;
  readonly answer: Answer;
  /** What is wrong with the answer, each in words; empty where it is as wanted. */
  readonly wrong: readonly string[];
}

/** The group that a described find counts in. */
export function groupOf({ poisonous, sheet, want }: Described): Group {
  if (poisonous) return sheet === null ? "strangers" : "dangers";
  return want.length === 1 && want[0] === "basket" ? "complete" : "incomplete";
}

/** Judges one described find and says where the answer differs from what was wanted. */
export function judgeDescribed(described: Described, knowledge: Knowledge): Outcome {
  const answer = assess(described.find, knowledge);
  const group = groupOf(described);
  const wrong: string[] = [];
  if (!described.want.includes(answer.verdict)) wrong.push(`${answer.verdict}, wanted ${described.want.join(" or ")}`);
  if (described.poisonous && described.slip === undefined) {
    const own = answer.dangers.find((danger) => danger.sheet === described.sheet);
    if (own?.status === "ruled-out") wrong.push(`the ${own.name} is ruled out on a find of its own`);
  }
  if (group === "complete")
    for (const { code } of answer.reasons)
      if (code === "unknown-kind" || code === "white-gills-with-ring-or-foot") wrong.push(`told as ${code}`);
  return { described, group, answer, wrong };
}

/** A described find with one thing taken for another: which, and for what. */
export interface Misreading {
  readonly misread: string;
  readonly described: Described;
}

/**
 * Every misreading of a find in which one idea is held throughout: one character shows one other state, or one more beside
 * what it shows where several can be there at once, on each body on which it was looked at. What could not be told stays
 * untold.
 */
export function* misreadingsOf(described: Described): Generator<Misreading> {
  const looked = new Set(
    described.find.bodies.flatMap(({ seen = [] }) =>
      seen.filter((entry) => entry.states !== undefined).map((entry) => entry.character),
    ),
  );
  for (const character of looked)
    for (const state of definitionOf(character).states) {
      const reading = (misread: string, read: (seen: readonly string[]) => string[]): Misreading => ({
        misread,
        described: { ...described, find: readAnew(described.find, character, read) },
      });
      yield reading(`${character}=${state}`, () => [state]);
      if (definitionOf(character).many)
        yield reading(`${character}+${state}`, (seen) => [...new Set([...seen, state])]);
    }
}

function readAnew(
  find: Described["find"],
  character: string,
  read: (seen: readonly string[]) => string[],
): Described["find"] {
  const bodies = find.bodies.map((body) => ({
    ...body,
    ...(body.seen === undefined
      ? {}
      : {
          seen: body.seen.map((entry) =>
            entry.character === character && entry.states !== undefined
              ? { ...entry, states: read(entry.states) }
              : entry,
          ),
        }),
  }));
  return { ...find, bodies };
}

/** One line: how many of each group are as they should be. */
export function closingLine(outcomes: readonly Outcome[]): string {
  const of = (group: Group) => outcomes.filter((one) => one.group === group);
  const share = (some: number, all: number) =>
    all === 0 ? "none" : `${some} of ${all} (${((100 * some) / all).toFixed(0)} %)`;
  const inBasket = (group: Group) => of(group).filter((one) => one.answer.verdict === "basket").length;
  const asWanted = of("incomplete").filter((one) => one.wrong.length === 0).length;
  const clearedOwn = outcomes.filter((one) => one.wrong.some((text) => text.includes("ruled out"))).length;
  return [
    `good, complete: ${share(inBasket("complete"), of("complete").length)} in the basket`,
    `good, incomplete: ${share(asWanted, of("incomplete").length)} as wanted`,
    `dangers in the basket: ${inBasket("dangers")} of ${of("dangers").length}, ruled out on their own kind: ${clearedOwn}`,
    `poisonous without a sheet in the basket: ${inBasket("strangers")} of ${of("strangers").length}`,
  ].join(" · ");
}
