/** Shapes from the core, as SVG: dashed where nobody looked, half-dashed where unsure, hatched where it proves nothing. */
import type { Figure, Ink, Shape, Step } from "@jittery-cap/core";
import { memo, useId } from "react";
import { DRAWING, PIGMENTS } from "../theme/tokens.ts";

const PEN = 1.5;
/** Smaller than this, in pixels a cm, hatching is only a blot. */
const HATCH_FROM = 14;
const DASHES: Readonly<Record<Shape["knowing"], string | undefined>> = {
  open: "5 4.5",
  seen: undefined,
  unsure: "12 4 2 4",
  masked: "2 3",
};

/** Lines take the ink of the half on which the drawing stands. */
const INKS: typeof DRAWING | Record<keyof typeof DRAWING, string> = {
  ...DRAWING,
  line: "var(--mui-palette-text-primary)",
};

function ink(name: Ink): string {
  if (name === "none") return "none";
  if (name.startsWith("pigment:")) return PIGMENTS[name.slice("pigment:".length)] ?? DRAWING.paper;
  return INKS[name as keyof typeof DRAWING] ?? INKS.line;
}

/** A path in pixels, to a hundredth of one: y points down on the screen, up in the core. Written at every touch, and plain for it. */
function pathOf(steps: readonly Step[], scale: number): string {
  const hundredths = scale * 100;
  let path = "";
  for (const step of steps) {
    path += step[0];
    for (let index = 1; index < step.length; index++) {
      const value = Number(step[index]);
      path += `${index === 1 ? "" : " "}${Math.round((index % 2 === 1 ? value : -value) * hundredths) / 100}`;
    }
  }
  return path;
}

interface DrawingProps {
  readonly figure: Figure;
  /** Pixels a cm. */
  readonly scale: number;
  readonly label?: string;
}

/** The shapes of a figure as SVG paths, its origin (axis at ground level) at 0,0. */
export const FigurePaths = memo(function FigurePaths({
  figure,
  scale,
}: {
  readonly figure: Figure;
  readonly scale: number;
}) {
  const hatch = useId();
  const pen = PEN * Math.min(1.15, Math.max(0.55, scale / 22));
  return (
    <>
      <defs>
        <pattern id={hatch} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="5" stroke={INKS.line} strokeWidth="1.3" />
        </pattern>
      </defs>
      {figure.shapes
        .filter((shape) => scale > HATCH_FROM && shape.knowing === "masked" && shape.stroke !== "none")
        .map((shape, index) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: shapes have no names; their order is their identity
            key={index}
            d={pathOf(shape.steps, scale)}
            fill="none"
            stroke={`url(#${hatch})`}
            strokeWidth={8 * pen}
          />
        ))}
      {figure.shapes.map((shape, index) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: shapes have no names; their order is their identity
          key={index}
          d={pathOf(shape.steps, scale)}
          fill={ink(shape.fill)}
          stroke={ink(shape.stroke)}
          strokeWidth={shape.stroke === "none" ? 0 : shape.pen * pen}
          strokeDasharray={DASHES[shape.knowing]}
          strokeLinejoin="round"
          strokeLinecap={shape.knowing === "open" ? "butt" : "round"}
        />
      ))}
    </>
  );
});

/** A figure in a frame of its own. */
export const Drawing = memo(function Drawing({ figure, scale, label }: DrawingProps) {
  const width = (figure.right - figure.left) * scale;
  const height = (figure.top - figure.bottom) * scale;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`${figure.left * scale} ${-figure.top * scale} ${width} ${height}`}
      style={{ display: "block", maxWidth: "100%" }}
      role={label === undefined ? "presentation" : "img"}
      aria-label={label}
    >
      <FigurePaths figure={figure} scale={scale} />
    </svg>
  );
});
