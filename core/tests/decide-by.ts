/** Decides by a shelf of sheets, at a moment of no matter. */
import { summarise } from "../answer/summary.ts";
import type { BodyEnding } from "../decide/body-ending.ts";
import { decide } from "../decide/decision.ts";
import type { Find } from "../find/schema.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";

export const decideBy = (find: Find, endings: readonly BodyEnding[], knowledge: Knowledge) =>
  decide(find, endings, summarise(find, knowledge), knowledge.edition, "2026-09-14T10:20:00Z");
