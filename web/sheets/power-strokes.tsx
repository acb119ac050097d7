/** How often one look is enough to tell two kinds apart, as strokes out of five: thick for hard evidence, thin for soft. */

const STROKES = 5;
const GAP = 11;

interface PowerStrokesProps {
  /** Share of looks that settle it, 0 to 1. */
  readonly power: number;
  readonly hard: boolean;
}

export function PowerStrokes({ power, hard }: PowerStrokesProps) {
  const drawn = Math.max(1, Math.round(power * STROKES));
  const words = `one look is enough ${Math.round(power * 100)} times in 100`;
  return (
    <svg width={STROKES * GAP} height={18} role="img" aria-label={words}>
      {Array.from({ length: STROKES }, (_unused, index) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: strokes have no names of their own, only their places
          key={index}
          x1={index * GAP + 5}
          x2={index * GAP + 5}
          y1={index < drawn ? 1 : 13}
          y2={17}
          className={index < drawn ? "power-drawn" : "power-left"}
          strokeWidth={hard ? 5 : 2}
        />
      ))}
    </svg>
  );
}
