/** A made body in its ground, as far as it was looked at. */
import { type Body, type Find, figureOf, figureText } from "@jittery-cap/core";
import { memo } from "react";
import { FigurePaths } from "../specimen/drawing.tsx";

const WIDTH = 340;
const HEIGHT = 340;
const MARGIN = 14;

export const MadeFigure = memo(function MadeFigure({ find, body }: { readonly find: Find; readonly body: Body }) {
  const bare = figureOf(find, body, 0);
  const scale = Math.min((WIDTH * 0.72) / (bare.right - bare.left), (HEIGHT - 2 * MARGIN) / (bare.top - bare.bottom));
  const figure = figureOf(find, body, WIDTH / 2 / scale);
  const ground = MARGIN + bare.top * scale + (HEIGHT - 2 * MARGIN - (bare.top - bare.bottom) * scale) / 2;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="practice-figure" role="img" aria-label={figureText(find, body)}>
      <g transform={`translate(${WIDTH / 2} ${ground})`}>
        <FigurePaths figure={figure} scale={scale} />
      </g>
    </svg>
  );
});
