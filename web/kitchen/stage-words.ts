/** Where a tasting stands, in words. */
import { TASTING_STEPS, type TastingStage } from "@jittery-cap/core/kitchen";

const WHEN = { weekday: "short", day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" } as const;
export const whenWords = (moment: number): string => new Date(moment).toLocaleString([], WHEN);

/** Where it stands, in a sentence. */
export function stageWords(stage: TastingStage): string {
  switch (stage.kind) {
    case "keep-raw":
      return "Keep a raw one back in the cold first.";
    case "next":
      return `Next: ${TASTING_STEPS[stage.step]?.name ?? "nothing"}, cooked.`;
    case "wait":
      return stage.step >= TASTING_STEPS.length
        ? `Wait until ${whenWords(stage.from)}; then it is over.`
        : `Wait until ${whenWords(stage.from)}, then ${TASTING_STEPS[stage.step]?.name ?? "no more"}.`;
    case "clock":
      return "The clock stands before the last portion: set it right. Nothing is had until then.";
    case "ended":
      return stage.why === "felt" ? "Ended: something was felt." : "Given up.";
    case "done":
      return `Over on ${whenWords(stage.at)}, and nothing felt was told.`;
  }
}
