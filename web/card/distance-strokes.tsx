/** A danger's distance, drawn as that many separate strokes: thick for hard evidence, thin for soft, broken for masked. */
import type { Answer } from "@jittery-cap/core";
import { tone } from "../theme/tokens.ts";

type Danger = Answer["dangers"][number];
type StrokeKind = "hard" | "soft" | "masked";

const GAP = 15;
const HEIGHT = 24;
const WIDTHS: Readonly<Record<StrokeKind, number>> = { hard: 5, soft: 2, masked: 4 };
const MOST_MASKED = 2;

/** One stroke a family that speaks against it, then one broken stroke for each thing that a mask keeps from speaking. */
export function strokesOf(danger: Danger): StrokeKind[] {
  const families = [...new Set(danger.points.map((point) => point.family))];
  const strokes = families.map(
    (family): StrokeKind => (danger.points.some((point) => point.family === family && point.hard) ? "hard" : "soft"),
  );
  const masked = new Set(danger.masks.map((mask) => mask.character)).size;
  return [...strokes, ...Array.from({ length: Math.min(masked, MOST_MASKED) }, (): StrokeKind => "masked")];
}

interface DistanceStrokesProps {
  readonly danger: Danger;
  readonly onLight?: boolean;
}

export function DistanceStrokes({ danger, onLight = false }: DistanceStrokesProps) {
  const strokes = strokesOf(danger);
  const ink = onLight ? tone.ink : tone.onDark;
  if (strokes.length === 0) return null;
  return (
    <svg width={strokes.length * GAP} height={HEIGHT} aria-hidden="true" style={{ flex: "none" }}>
      {strokes.map((kind, index) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: strokes have no names of their own, only their places
          key={index}
          x1={index * GAP + 4}
          x2={index * GAP + 4}
          y1={1}
          y2={HEIGHT - 1}
          stroke={kind === "masked" ? (onLight ? tone.sage : tone.onDarkFaint) : ink}
          strokeWidth={WIDTHS[kind]}
          strokeDasharray={kind === "masked" ? "5 4" : undefined}
        />
      ))}
    </svg>
  );
}
