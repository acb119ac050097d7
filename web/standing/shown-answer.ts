/**
 * An answer as the screens follow it, touch by touch: of each danger how far it is and how that is drawn. What speaks for and
 * against it in words is told at Decide, when somebody asks: it is nine tenths of an answer, and nobody reads it at every touch.
 */
import { type Answer, type DangerAnswer, inFull, type MaskUse } from "@jittery-cap/core";
import { type StrokeKind, strokesOf } from "./strokes.ts";

export interface ShownDanger
  extends Pick<DangerAnswer, "sheet" | "name" | "scientific" | "tier" | "mistakes" | "status" | "aside" | "body"> {
  readonly strokes: readonly StrokeKind[];
  /** What hides it today; of one that is ruled out nothing is told. */
  readonly masks: readonly MaskUse[];
}

export interface ShownAnswer extends Omit<Answer, "dangers" | "candidates"> {
  readonly dangers: readonly ShownDanger[];
  /** The kinds that it may be. */
  readonly candidates: Answer["candidates"];
}

/** What the screens need of an answer at every touch. */
export function shownAnswer(answer: Answer): ShownAnswer {
  return {
    ...answer,
    dangers: answer.dangers.map(shownDanger),
    candidates: inFull(answer.candidates.filter((one) => one.fits)),
  };
}

function shownDanger(danger: DangerAnswer): ShownDanger {
  const { sheet, name, scientific, tier, mistakes, status, aside, body, masks } = danger;
  return {
    sheet,
    name,
    scientific,
    tier,
    mistakes,
    status,
    ...(aside === undefined ? {} : { aside }),
    body,
    strokes: strokesOf(danger),
    masks: status === "ruled-out" ? [] : masks,
  };
}
