/** One danger in the dark half: it stands off the edge by its strokes; with none it touches the find. */
import type { Answer } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo } from "react";
import { FONT, tone } from "../theme/tokens.ts";
import { isDrawnAlike } from "./danger-groups.ts";
import { DistanceStrokes } from "./distance-strokes.tsx";
import { distanceWords } from "./distance-words.ts";

type Danger = Answer["dangers"][number];

interface DangerRowProps {
  readonly danger: Danger;
  readonly compact?: boolean;
  /** Past doubt: drawn quietly. */
  readonly far?: boolean;
  /** Where a touch on the danger asks for what separates it from the find. */
  readonly onPick?: ((sheet: string) => void) | undefined;
}

const looksSame = (one: DangerRowProps, other: DangerRowProps): boolean =>
  one.compact === other.compact &&
  one.far === other.far &&
  one.onPick === other.onPick &&
  isDrawnAlike(one.danger, other.danger);

export const DangerRow = memo(function DangerRow({ danger, compact = false, far = false, onPick }: DangerRowProps) {
  const touches = danger.mistakes === 0;
  const deadly = danger.tier === "deadly";
  return (
    <Box
      component="li"
      data-danger={danger.sheet}
      data-mistakes={danger.mistakes}
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1,
        minHeight: compact || far ? 34 : 48,
        position: "relative",
        pl: { xs: 2.5, md: 3.25 },
        pr: { xs: 2.5, md: 2.75 },
      }}
    >
      {touches && (
        <Box
          aria-hidden="true"
          sx={{
            position: "absolute",
            left: { xs: -7, md: -10 },
            width: { xs: 18, md: 22 },
            height: { xs: 18, md: 22 },
            borderRadius: "50%",
            bgcolor: tone.salmon,
            border: `3px solid ${tone.moss}`,
          }}
        />
      )}
      <DistanceStrokes danger={danger} />
      <Box
        {...(onPick === undefined
          ? {}
          : {
              component: ButtonBase,
              onClick: () => onPick(danger.sheet),
              "aria-label": `Check against ${danger.name}`,
            })}
        sx={{
          display: "block",
          minWidth: 0,
          flex: 1,
          lineHeight: 1.15,
          textAlign: "left",
          font: "inherit",
          color: "inherit",
          alignSelf: "stretch",
          ...(onPick === undefined ? { alignSelf: "auto" } : { "&:hover": { textDecoration: "underline" } }),
        }}
      >
        <Box
          component="span"
          sx={{
            color: far ? tone.onDarkSoft : undefined,
            fontWeight: deadly && !far ? 750 : 500,
            fontSize: far ? "1rem" : compact ? "1.0625rem" : "1.125rem",
            mr: 1,
          }}
        >
          {danger.name}
        </Box>
        {!compact && !far && (
          <Box
            component="span"
            sx={{
              display: "block",
              fontFamily: FONT.name,
              fontStyle: "italic",
              color: tone.onDarkSoft,
              fontSize: "0.9375rem",
            }}
          >
            {danger.scientific}
          </Box>
        )}
      </Box>
      <Box sx={{ textAlign: "right", flex: "none", fontSize: "0.875rem", lineHeight: 1.2 }}>
        <Box sx={{ color: deadly && !far ? tone.salmon : tone.onDarkSoft }}>{danger.tier}</Box>
        {!compact && !far && (
          <Box sx={{ color: tone.onDarkSoft }}>{touches ? "touches" : distanceWords(danger.mistakes)}</Box>
        )}
      </Box>
    </Box>
  );
}, looksSame);
