/** A danger's distance, drawn as that many separate strokes. Inks come from the half on which they stand. */

import type { ShownDanger } from "./shown-answer.ts";
import type { StrokeKind } from "./strokes.ts";

const GAP = 15;
const HEIGHT = 24;
const WIDTHS: Readonly<Record<StrokeKind, number>> = { hard: 5, soft: 2, masked: 4 };

export function DistanceStrokes({ danger }: { readonly danger: ShownDanger }) {
  const { strokes } = danger;
  if (strokes.length === 0) return null;
  return (
    <svg width={strokes.length * GAP} height={HEIGHT} aria-hidden="true" className="strokes">
      {strokes.map((kind, index) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: strokes have no names of their own, only their places
          key={index}
          x1={index * GAP + 4}
          x2={index * GAP + 4}
          y1={1}
          y2={HEIGHT - 1}
          className={`stroke-${kind}`}
          strokeWidth={WIDTHS[kind]}
        />
      ))}
    </svg>
  );
}
