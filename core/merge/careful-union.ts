/** Two records of one find as one, judged: offered only where the answer is no more permissive than to either. */

import type { Find } from "../find/schema.ts";
import { judge } from "../judge/judge.ts";
import { rule, type Verdict } from "../judge/verdict.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import { putTogether } from "./put-together.ts";

const PERMITS: Readonly<Record<Verdict, number>> = { leave: 0, hold: 1, basket: 2 };

/**
 * The record of both, or undefined where no such record is as strict as the stricter of the two; then one of them has to
 * be taken. One-sided looks are unsure; where that would lose what refuses the find, they stay as they were told.
 */
export function carefulUnion(mine: Find, theirs: Find, knowledge: Knowledge): Find | undefined {
  const permits = (find: Find) => PERMITS[rule(judge(find, knowledge)).verdict];
  const most = Math.min(permits(mine), permits(theirs));
  return [putTogether(mine, theirs, "unsure"), putTogether(mine, theirs, "as-told")].find(
    (both) => permits(both) <= most,
  );
}
