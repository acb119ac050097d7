/** A state of a sheet with how often it occurs, as a word and as the length of a bar. */
import { type CharacterId, type Frequency, stateWords } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import { PIGMENTS, tone } from "../theme/tokens.ts";
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
    <Box component="span" sx={{ display: "inline-flex", alignItems: "center", gap: 0.75, mr: 2, whiteSpace: "nowrap" }}>
      {pigment !== undefined && (
        <Box
          component="span"
          aria-hidden="true"
          sx={{ width: 14, height: 14, bgcolor: pigment, border: `1px solid ${tone.inkSoft}` }}
        />
      )}
      <span style={{ fontWeight: frequency === "always" ? 700 : frequency === "usual" ? 550 : 400 }}>
        {stateWords(character, state)}
      </span>
      <svg width={30} height={10} role="img" aria-label={FREQUENCY_WORDS[frequency]}>
        <title>{FREQUENCY_WORDS[frequency]}</title>
        <line x1={1} x2={1 + BAR[frequency]} y1={5} y2={5} stroke="currentColor" strokeWidth={3} />
      </svg>
    </Box>
  );
}
