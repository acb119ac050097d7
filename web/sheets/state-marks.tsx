/** A state of a sheet with how often it occurs, as a word and as the length of a bar. */
import { type CharacterId, type Frequency, stateWords } from "@jittery-cap/core";
import { PIGMENTS } from "../theme/tokens.ts";
import { FREQUENCY_WORDS } from "./sheet-words.ts";

const BAR: Readonly<Record<Frequency, number>> = { always: 28, usual: 19, sometimes: 10, rare: 4 };
const COLOURED = /colour|stain|spore-print|latex/;

interface StateMarkProps {
  readonly character: CharacterId;
  readonly state: string;
  readonly frequency: Frequency;
}

export function StateMark({ character, state, frequency }: StateMarkProps) {
  const pigment = COLOURED.test(character) ? PIGMENTS[state] : undefined;
  return (
    <span className="state-mark">
      {pigment !== undefined && <i aria-hidden="true" style={{ background: pigment }} />}
      <span className={`state-${frequency}`}>{stateWords(character, state)}</span>
      <svg width={30} height={10} role="img" aria-label={FREQUENCY_WORDS[frequency]}>
        <line x1={1} x2={1 + BAR[frequency]} y1={5} y2={5} stroke="currentColor" strokeWidth={3} />
      </svg>
    </span>
  );
}
