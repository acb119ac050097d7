/** A danger's distance as strokes: thick for hard evidence, thin for soft, broken for masked. */
import type { DangerAnswer } from "@jittery-cap/core";

export type StrokeKind = "hard" | "soft" | "masked";

const MOST_MASKED = 2;

/**
 * One stroke a family that speaks against it, two where what it never shows was seen twice: as many as mistakes. Then one
 * broken stroke for each thing that a mask keeps from speaking.
 */
export function strokesOf(danger: DangerAnswer): StrokeKind[] {
  const families = [...new Set(danger.points.map((point) => point.family))];
  const strokes = families.flatMap((family): StrokeKind[] => {
    const points = danger.points.filter((point) => point.family === family);
    if (points.some((point) => point.again === true)) return ["hard", "hard"];
    return [points.some((point) => point.hard) ? "hard" : "soft"];
  });
  const masked = new Set(danger.masks.map((mask) => mask.character)).size;
  return [...strokes, ...Array.from({ length: Math.min(masked, MOST_MASKED) }, (): StrokeKind => "masked")];
}
