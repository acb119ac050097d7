/** One character: its name, how to look, what turns on it, its states, and the answers that are no state. */

import type { MaskUse } from "@jittery-cap/core";
import { type Body, CHARACTER_WORDS, type Change, type CharacterId, definitionOf, type Find } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useStable } from "../card/use-stable.ts";
import { useFind } from "../state/find-state.ts";
import { tone } from "../theme/tokens.ts";
import { Choice, choiceLabel, pictureFor } from "./choice.tsx";
import { ExtraAnswers } from "./extra-answers.tsx";
import { HOW_TO_LOOK } from "./how-to-look.ts";
import { chooseState, chosenStates, entryOf } from "./observing.ts";
import { OtherLooks } from "./other-looks.tsx";
import { Stakes } from "./stakes.tsx";
import { blockId } from "./use-bench.ts";

interface CharacterBlockProps {
  readonly find: Find;
  readonly body: Body;
  readonly character: CharacterId;
  readonly active: boolean;
  /** Names of the dangers that turn on it. */
  readonly stakes: readonly string[];
  readonly masks: readonly MaskUse[];
  readonly onChange: (change: Change) => void;
  readonly onActivate: () => void;
}

const ROW = 10;
/** The key of a state by its place: plain, with shift, with alt. */
function keyOf(index: number): string | undefined {
  const digit = String((index + 1) % ROW);
  return index < ROW ? digit : index < 2 * ROW ? `⇧${digit}` : index < 3 * ROW ? `⌥${digit}` : undefined;
}

const sentence = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

export function CharacterBlock(props: CharacterBlockProps) {
  const { find, body, character, active, stakes, masks, onChange, onActivate } = props;
  const observer = useFind((state) => state.observer);
  const { states, of } = definitionOf(character);
  const chosen = chosenStates(find, body, character, observer);
  const entry = of === "site" ? undefined : entryOf(body, character, observer);
  const { plain, term } = CHARACTER_WORDS[character];
  const headingId = `character-${character}`;
  const choose = useStable((state: string) => {
    onActivate();
    onChange(chooseState(find, body, character, state, observer));
  });
  const pictured = states.some((state) => pictureFor(character, state) !== undefined);
  return (
    <Box
      component="section"
      id={blockId(character)}
      aria-labelledby={headingId}
      data-character={character}
      sx={{ pb: 2.75, scrollMarginTop: 12 }}
    >
      <Box sx={{ pb: 1, borderLeft: `4px solid ${active ? tone.ink : "transparent"}`, ml: -1.75, pl: 1.25 }}>
        <Box sx={{ display: "flex", alignItems: "baseline", flexWrap: "wrap", rowGap: 0, columnGap: 1.5 }}>
          <Typography
            id={headingId}
            variant="h3"
            component="h3"
            sx={{ "&::first-letter": { textTransform: "uppercase" } }}
          >
            {plain}
          </Typography>
          {term !== undefined && <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>{term}</Box>}
          <Stakes names={stakes} />
        </Box>
        <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>{HOW_TO_LOOK[character]}</Box>
      </Box>
      {masks.map((mask) => (
        <Box
          key={mask.mask}
          role="note"
          sx={{ mb: 1, pl: 1.5, borderLeft: `4px dashed ${tone.sage}`, color: tone.ink, fontSize: "0.9375rem" }}
        >
          {sentence(mask.why)} {mask.lift !== undefined && <b>{sentence(mask.lift)}</b>}
        </Box>
      ))}
      <Box
        role="group"
        aria-labelledby={headingId}
        sx={{
          display: "grid",
          gap: 1,
          gridTemplateColumns: {
            xs: "1fr 1fr",
            md: `repeat(auto-fill, minmax(${pictured ? 104 : 118}px, 1fr))`,
          },
        }}
      >
        {states.map((state, index) => (
          <Choice
            key={state}
            label={choiceLabel(character, state)}
            chosen={chosen.includes(state)}
            doubtful={entry?.sure === false}
            digit={active ? keyOf(index) : undefined}
            picture={pictureFor(character, state)}
            character={character}
            state={state}
            onChoose={choose}
          />
        ))}
      </Box>
      {of === "body" && (
        <>
          <ExtraAnswers body={body} character={character} onChange={onChange} onActivate={onActivate} />
          <OtherLooks find={find} body={body} character={character} />
        </>
      )}
    </Box>
  );
}
