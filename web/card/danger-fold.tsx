/** Dangers at one distance, folded into one row: how many, and the first of their names; all of them at a touch. */
import type { Answer } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo, useState } from "react";
import { TOUCH, tone } from "../theme/tokens.ts";
import { isDrawnAlike } from "./danger-groups.ts";
import { DangerRow } from "./danger-row.tsx";
import { distanceWords } from "./distance-words.ts";

type Danger = Answer["dangers"][number];

interface DangerFoldProps {
  readonly mistakes: number;
  readonly dangers: readonly Danger[];
  readonly far: boolean;
}

const STROKE_GAP = 9;
const STROKES_AT_MOST = 6;

const looksSame = (one: DangerFoldProps, other: DangerFoldProps): boolean =>
  one.mistakes === other.mistakes &&
  one.far === other.far &&
  one.dangers.length === other.dangers.length &&
  one.dangers.every((danger, index) => {
    const there = other.dangers[index];
    return there !== undefined && isDrawnAlike(danger, there);
  });

export const DangerFold = memo(function DangerFold({ mistakes, dangers, far }: DangerFoldProps) {
  const [open, setOpen] = useState(false);
  const strokes = Math.min(mistakes, STROKES_AT_MOST);
  return (
    <Box component="li" data-fold={mistakes}>
      <ButtonBase
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        sx={{
          display: "flex",
          width: "100%",
          minWidth: 0,
          alignItems: "center",
          gap: 1.25,
          minHeight: TOUCH + 6,
          px: { xs: 2.5, md: 3.25 },
          font: "inherit",
          textAlign: "left",
          color: tone.onDarkSoft,
          borderTop: `1px solid ${tone.mossLine}`,
          "&:hover": { color: tone.onDark },
        }}
      >
        <svg width={STROKES_AT_MOST * STROKE_GAP} height={18} aria-hidden="true" style={{ flex: "none" }}>
          {Array.from({ length: strokes }, (_unused, index) => (
            <line
              // biome-ignore lint/suspicious/noArrayIndexKey: strokes have no names of their own, only their places
              key={index}
              x1={index * STROKE_GAP + 3}
              x2={index * STROKE_GAP + 3}
              y1={1}
              y2={17}
              stroke={far ? tone.onDarkFaint : tone.onDark}
              strokeWidth={3}
            />
          ))}
        </svg>
        <Box component="span" sx={{ flex: 1, minWidth: 0 }}>
          <Box component="b" sx={{ color: far ? undefined : tone.onDark, fontWeight: 700, mr: 1 }}>
            {foldWords(dangers.length, mistakes, far)}
          </Box>
          {!open && (
            <Box
              component="span"
              sx={{
                display: "block",
                fontSize: "0.9375rem",
                overflow: "hidden",
                textOverflow: "ellipsis",
                whiteSpace: "nowrap",
              }}
            >
              {dangers.map((danger) => danger.name).join(", ")}
            </Box>
          )}
        </Box>
        <Box component="span" aria-hidden="true" sx={{ fontSize: "1.25rem" }}>
          {open ? "−" : "+"}
        </Box>
      </ButtonBase>
      {open && (
        <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, pb: 1 }}>
          {dangers.map((danger) => (
            <DangerRow key={danger.sheet} danger={danger} compact far={far} />
          ))}
        </Box>
      )}
    </Box>
  );
}, looksSame);

/** "4 more stand 1 mistake away", "1 stands 2 mistakes away", "12 more touch this find". */
function foldWords(count: number, mistakes: number, far: boolean): string {
  const more = far ? "" : " more";
  const one = count === 1 ? "s" : "";
  if (mistakes === 0) return `${count}${more} touch${count === 1 ? "es" : ""} this find`;
  return `${count}${more} stand${one} ${distanceWords(mistakes)}`;
}
