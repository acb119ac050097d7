/** The troop in a row, in scale, smallest first; and one more. */
import { type Body, type Figure, type Find, figureOf } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo, useMemo } from "react";
import { TOUCH, tone } from "../theme/tokens.ts";
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
    <Box
      role="group"
      aria-label="Bodies"
      sx={{
        display: "flex",
        alignItems: "flex-end",
        gap: words ? 1 : 0.5,
        flexWrap: "nowrap",
        overflowX: "auto",
      }}
    >
      {drawn.map(({ body, figure }) => {
        const width = (figure.right - figure.left) * scale;
        return (
          <ButtonBase
            key={body.id}
            aria-pressed={body.id === chosen}
            aria-label={`Body ${body.id}, ${body.age ?? "age not told"}${body.keep === false ? ", not kept" : ""}`}
            onClick={() => onChoose(body.id)}
            sx={{
              display: "flex",
              flexDirection: "column",
              alignItems: "center",
              minWidth: TOUCH,
              minHeight: TOUCH,
              px: 0.5,
              borderBottom: "4px solid",
              borderColor: body.id === chosen ? tone.ink : "transparent",
              flex: "none",
            }}
          >
            <svg
              width={Math.max(width, 18)}
              height={(tallest - deepest) * scale}
              viewBox={`${figure.left * scale} ${-tallest * scale} ${Math.max(width, 18)} ${(tallest - deepest) * scale}`}
              aria-hidden="true"
              style={{ opacity: body.keep === false ? 0.55 : 1 }}
            >
              <FigurePaths figure={figure} scale={scale} />
            </svg>
            <Box component="span" sx={{ fontWeight: 750, lineHeight: 1.1 }}>
              {body.id}
            </Box>
            {words && (
              <Box component="span" sx={{ fontSize: "0.875rem", color: tone.inkSoft }}>
                {body.keep === false ? "not kept" : (body.age ?? "age?")}
              </Box>
            )}
          </ButtonBase>
        );
      })}
      {onAdd !== undefined && (
        <ButtonBase
          aria-label="Add a body"
          onClick={onAdd}
          sx={{
            minWidth: TOUCH,
            minHeight: TOUCH,
            fontSize: "1.75rem",
            color: tone.inkSoft,
            alignSelf: "center",
            "&:hover": { color: tone.ink },
          }}
        >
          +
        </ButtonBase>
      )}
    </Box>
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
