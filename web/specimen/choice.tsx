/** One answer that can be touched: a drawing, a swatch or a word, with its key. */
import { type CharacterId, type Figure, stateWords, swatchOf } from "@jittery-cap/core";
import { memo, type ReactNode } from "react";
import { PIGMENTS } from "../theme/tokens.ts";
import { Drawing } from "./drawing.tsx";

/** A drawing or a swatch is the answer itself; a mark only stands before its word. */
export type Picture = "drawing" | "swatch" | "mark";
export const isPictured = (picture: Picture | undefined): boolean => picture === "drawing" || picture === "swatch";

interface ChoiceProps {
  readonly label: string;
  readonly chosen: boolean;
  /** Given the state, so that one function serves all states of a character. */
  readonly onChoose: (state: string) => void;
  readonly digit?: string | undefined;
  readonly picture?: Picture | undefined;
  readonly character?: CharacterId | undefined;
  readonly state?: string | undefined;
  readonly doubtful?: boolean | undefined;
  readonly quiet?: boolean | undefined;
  /** A drawing made by the caller, instead of a state's own. */
  readonly drawing?: ReactNode;
}

const SWATCH_HEIGHT = 66;
/** The side of a mark, px. */
const MARK = 30;
const MARKED = /^smell/;
const COLOURED = /colour|stain|spore-print|latex/;

const drawn = new Map<string, Figure | undefined>();

/** A state's drawing; made once, since it is always the same. */
function swatch(character: CharacterId, state: string): Figure | undefined {
  const key = `${character} ${state}`;
  if (!drawn.has(key)) drawn.set(key, swatchOf(character, state));
  return drawn.get(key);
}

/** Whether a character's states are best told by drawings, by colours or by words. */
export function pictureFor(character: CharacterId, state: string): Picture | undefined {
  if (swatch(character, state) !== undefined) return MARKED.test(character) ? "mark" : "drawing";
  return COLOURED.test(character) && PIGMENTS[state] !== undefined ? "swatch" : undefined;
}

/** The label of a state on a choice; "none" says that somebody looked. */
export function choiceLabel(character: CharacterId, state: string): string {
  return state === "none" ? (character === "smell" ? "no smell" : "none, I looked") : stateWords(character, state);
}

export const Choice = memo(function Choice(props: ChoiceProps) {
  const { label, chosen, onChoose, digit, picture, character, state, doubtful, quiet, drawing } = props;
  const isPlain = !isPictured(picture) && drawing === undefined;
  const look = [
    "choice",
    isPlain ? "" : "choice-pictured",
    picture === "mark" ? "choice-marked" : "",
    quiet === true ? "choice-quiet" : "",
    doubtful === true ? "choice-doubtful" : "",
    digit === undefined ? "" : "choice-keyed",
  ];
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={() => onChoose(state ?? "")}
      data-state={state}
      className={look.join(" ")}
    >
      {digit !== undefined && (
        <span aria-hidden="true" className="choice-key">
          {digit}
        </span>
      )}
      {picture !== undefined && character !== undefined && state !== undefined && (
        <StatePicture character={character} state={state} />
      )}
      {drawing !== undefined && <span className="choice-drawing">{drawing}</span>}
      <span className="choice-word">{label}</span>
    </button>
  );
});

interface StatePictureProps {
  readonly character: CharacterId;
  readonly state: string;
}

/** A state as it is drawn, or its colour; nothing where words tell it best. */
export const StatePicture = memo(function StatePicture({ character, state }: StatePictureProps) {
  switch (pictureFor(character, state)) {
    case undefined:
      return null;
    case "swatch":
      return <span aria-hidden="true" className="choice-swatch" style={{ background: PIGMENTS[state] }} />;
    case "mark": {
      const figure = swatch(character, state);
      return figure === undefined ? null : (
        <span className="choice-mark">
          <Drawing figure={figure} scale={MARK / (figure.top - figure.bottom)} />
        </span>
      );
    }
    case "drawing": {
      const figure = swatch(character, state);
      if (figure === undefined) return null;
      const scale = Math.min(SWATCH_HEIGHT / (figure.top - figure.bottom), 92 / (figure.right - figure.left));
      return (
        <span className="choice-drawing">
          <Drawing figure={figure} scale={scale} />
        </span>
      );
    }
  }
});
