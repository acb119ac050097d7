/** A made body in its ground, as far as it was looked at. */
import { type Body, type Find, figureOf, figureText } from "@jittery-cap/core";
import { memo } from "react";
import { FigurePaths } from "../specimen/drawing.tsx";

const WIDTH = 340;
const HEIGHT = 340;
const MARGIN = 14;

export const MadeFigure = memo(function MadeFigure({ find, body }: { readonly find: Find; readonly body: Body }) {
  const tall = HEIGHT - 2 * MARGIN;
  const figure = figureOf(
    find,
    body,
    (bare) => WIDTH / 2 / Math.min((WIDTH * 0.72) / (bare.right - bare.left), tall / (bare.top - bare.bottom)),
  );
  const scale = WIDTH / 2 / figure.right;
  const ground = MARGIN + figure.top * scale + (tall - (figure.top - figure.bottom) * scale) / 2;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="practice-figure" role="img" aria-label={figureText(find, body)}>
      <g transform={`translate(${WIDTH / 2} ${ground})`}>
        <FigurePaths figure={figure} scale={scale} />
      </g>
    </svg>
  );
});
