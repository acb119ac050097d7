/** The troop in a row, in scale, smallest first; and one more. */

import { type Body, type Figure, type Find, figureOf } from "@jittery-cap/core";
import { memo, useMemo } from "react";
import { Choices } from "./choices.tsx";
import { FigurePaths } from "./drawing.tsx";

interface BodiesRowProps {
  readonly find: Find;
  readonly chosen: string;
  readonly onChoose: (body: string) => void;
  /** Left out where no body can be added. */
  readonly onAdd?: () => void;
  readonly height?: number;
  readonly words?: boolean;
}

const MOST_WIDTH = 330;
const SPACE_BELOW = 10;
const NARROWEST = 18;

export const BodiesRow = memo(function BodiesRow({
  find,
  chosen,
  onChoose,
  onAdd,
  height = 96,
  words = true,
}: BodiesRowProps) {
  const drawn = useMemo(
    () =>
      find.bodies
        .map((body) => ({ body, figure: figureAgain(find, body) }))
        .sort((one, other) => sizeOf(one.body, one.figure.top) - sizeOf(other.body, other.figure.top)),
    [find],
  );
  const tallest = Math.max(...drawn.map(({ figure }) => figure.top));
  const deepest = Math.min(...drawn.map(({ figure }) => figure.bottom));
  const breadth = drawn.reduce((sum, { figure }) => sum + (figure.right - figure.left), 0);
  const scale = Math.min((height - SPACE_BELOW) / (tallest - deepest), MOST_WIDTH / (breadth + drawn.length * 0.6), 14);
  return (
    <Choices label="Bodies" className="bodies">
      {drawn.map(({ body, figure }) => {
        const width = Math.max((figure.right - figure.left) * scale, NARROWEST);
        const height = (tallest - deepest) * scale;
        return (
          <button
            key={body.id}
            type="button"
            aria-pressed={body.id === chosen}
            onClick={() => onChoose(body.id)}
            className="bodies-body"
          >
            <svg
              width={width}
              height={height}
              viewBox={`${figure.left * scale} ${-tallest * scale} ${width} ${height}`}
              aria-hidden="true"
              style={{ opacity: body.keep === false ? 0.55 : 1 }}
            >
              <FigurePaths figure={figure} scale={scale} />
            </svg>
            <b>
              <span className="unseen">Body </span>
              {body.id}
            </b>
            <span className={words ? "soft small" : "unseen"}>
              {body.keep === false ? "not kept" : (body.age ?? "age?")}
            </span>
          </button>
        );
      })}
      {onAdd !== undefined && (
        <button type="button" aria-label="Add a body" onClick={onAdd} className="bodies-add">
          +
        </button>
      )}
    </Choices>
  );
});

const drawnLast = new Map<string, { readonly told: string; readonly figure: Figure }>();
/** More bodies than any troop that is recorded one by one. */
const REMEMBERED = 64;

/** A body's figure, drawn anew only where what is recorded of it or of the ground has changed. */
function figureAgain({ bodies: _others, ...about }: Find, body: Body): Figure {
  const key = `${about.id} ${body.id}`;
  const told = JSON.stringify([about, body]);
  const last = drawnLast.get(key);
  if (last?.told === told) return last.figure;
  const figure = figureOf({ ...about, bodies: [body] }, body, 0);
  if (drawnLast.size > REMEMBERED) drawnLast.clear();
  drawnLast.set(key, { told, figure });
  return figure;
}

const sizeOf = (body: Body, top: number): number => body.measures?.capCm ?? top;
