/** One answer that can be touched: a drawing, a swatch or a word, with its key. */
import { type CharacterId, type Figure, stateWords, swatchOf } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo, type ReactNode } from "react";
import { PIGMENTS, TOUCH, tone } from "../theme/tokens.ts";
import { Drawing } from "./drawing.tsx";

interface ChoiceProps {
  readonly label: string;
  readonly chosen: boolean;
  /** Given the state, so that one function serves all states of a character. */
  readonly onChoose: (state: string) => void;
  readonly digit?: string | undefined;
  readonly picture?: "drawing" | "swatch" | undefined;
  readonly character?: CharacterId | undefined;
  readonly state?: string | undefined;
  readonly doubtful?: boolean | undefined;
  readonly quiet?: boolean | undefined;
  /** A drawing made by the caller, instead of a state's own. */
  readonly drawing?: ReactNode;
}

const SWATCH_HEIGHT = 66;
const COLOURED = /colour|stain|spore-print|latex/;

const drawn = new Map<string, Figure | undefined>();

/** A state's drawing; made once, since it is always the same. */
function swatch(character: CharacterId, state: string): Figure | undefined {
  const key = `${character} ${state}`;
  if (!drawn.has(key)) drawn.set(key, swatchOf(character, state));
  return drawn.get(key);
}

/** Whether a character's states are best told by drawings, by colours or by words. */
export function pictureFor(character: CharacterId, state: string): "drawing" | "swatch" | undefined {
  if (swatch(character, state) !== undefined) return "drawing";
  return COLOURED.test(character) && PIGMENTS[state] !== undefined ? "swatch" : undefined;
}

/** The label of a state on a choice; "none" says that somebody looked. */
export function choiceLabel(character: CharacterId, state: string): string {
  return state === "none" ? (character === "smell" ? "no smell" : "none, I looked") : stateWords(character, state);
}

export const Choice = memo(function Choice(props: ChoiceProps) {
  const { label, chosen, onChoose, digit, picture, character, state, doubtful, quiet, drawing } = props;
  const isPlain = picture === undefined && drawing === undefined;
  return (
    <ButtonBase
      aria-pressed={chosen}
      onClick={() => onChoose(state ?? "")}
      data-state={state}
      sx={{
        position: "relative",
        display: "flex",
        flexDirection: { xs: "row", md: isPlain ? "row" : "column" },
        alignItems: "center",
        justifyContent: isPlain ? "center" : { xs: "flex-start", md: "flex-end" },
        gap: { xs: 1.25, md: 0.5 },
        minHeight: TOUCH,
        px: 1,
        pl: { md: digit !== undefined && isPlain ? 2.75 : 1 },
        py: isPlain ? 0.5 : 0.75,
        bgcolor: chosen ? tone.paper : quiet ? tone.boneDeep : tone.paper,
        border: "1px solid",
        borderColor: chosen ? tone.ink : tone.boneLine,
        outline: chosen ? `2px solid ${tone.ink}` : undefined,
        outlineStyle: chosen && doubtful ? "dashed" : undefined,
        outlineOffset: -1,
        fontSize: "1rem",
        lineHeight: 1.15,
        textAlign: { xs: isPlain ? "center" : "left", md: "center" },
        fontWeight: chosen ? 750 : 450,
        color: tone.ink,
        "&:hover": { borderColor: tone.ink },
      }}
    >
      {digit !== undefined && (
        <Box
          component="span"
          aria-hidden="true"
          sx={{
            position: "absolute",
            top: 3,
            left: 6,
            fontSize: "0.8125rem",
            color: tone.inkSoft,
            fontWeight: 500,
            display: { xs: "none", md: "block" },
          }}
        >
          {digit}
        </Box>
      )}
      {picture !== undefined && character !== undefined && state !== undefined && (
        <ChoicePicture kind={picture} character={character} state={state} />
      )}
      {drawing !== undefined && (
        <Box sx={{ width: { xs: 64, md: "auto" }, flex: "none", display: "flex", justifyContent: "center" }}>
          {drawing}
        </Box>
      )}
      <span>{label}</span>
    </ButtonBase>
  );
});

const ChoicePicture = memo(function ChoicePicture({
  kind,
  character,
  state,
}: {
  kind: "drawing" | "swatch";
  character: CharacterId;
  state: string;
}) {
  if (kind === "swatch")
    return (
      <Box
        aria-hidden="true"
        sx={{
          width: { xs: 34, md: "78%" },
          height: { xs: 34, md: 30 },
          mt: { md: 1.5 },
          flex: "none",
          bgcolor: PIGMENTS[state],
          border: `1px solid ${tone.ink}`,
        }}
      />
    );
  const figure = swatch(character, state);
  if (figure === undefined) return null;
  const scale = Math.min(SWATCH_HEIGHT / (figure.top - figure.bottom), 92 / (figure.right - figure.left));
  return (
    <Box
      sx={{
        width: { xs: 64, md: "auto" },
        flex: "none",
        display: "flex",
        justifyContent: "center",
        overflow: "hidden",
      }}
    >
      <Drawing figure={figure} scale={scale} />
    </Box>
  );
});
