/** One character: its name, what turns on it, its states, and the answers that are no state. */
import {
  type Body,
  CHARACTER_WORDS,
  type Change,
  type CharacterId,
  definitionOf,
  type Find,
  type MaskUse,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { tone } from "../theme/tokens.ts";
import { Choice, choiceLabel, pictureFor } from "./choice.tsx";
import { CANNOT_TELL, chooseState, chosenStates, couldNot, entryOf, REASONS, turnSureness } from "./observing.ts";

interface CharacterBlockProps {
  readonly find: Find;
  readonly body: Body;
  readonly character: CharacterId;
  readonly active: boolean;
  readonly stakes: readonly string[];
  readonly masks: readonly MaskUse[];
  readonly onChange: (change: Change) => void;
  readonly onActivate: () => void;
}

const DIGITS = "1234567890";

export function CharacterBlock({
  find,
  body,
  character,
  active,
  stakes,
  masks,
  onChange,
  onActivate,
}: CharacterBlockProps) {
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  const { states, of } = definitionOf(character);
  const chosen = chosenStates(find, body, character);
  const entry = of === "site" ? undefined : entryOf(body, character);
  const { plain, term } = CHARACTER_WORDS[character];
  const headingId = `character-${character}`;
  const pictured = states.some((state) => pictureFor(character, state) !== undefined);
  const act = (change: Change | undefined) => {
    onActivate();
    if (change !== undefined) onChange(change);
  };
  return (
    <Box
      component="section"
      id={`block-${character}`}
      aria-labelledby={headingId}
      data-character={character}
      sx={{ pb: 2.75, scrollMarginTop: 12 }}
    >
      <Box
        sx={{
          display: "flex",
          alignItems: "baseline",
          flexWrap: "wrap",
          rowGap: 0,
          columnGap: 1.5,
          pb: 1,
          borderLeft: `4px solid ${active ? tone.ink : "transparent"}`,
          ml: -1.75,
          pl: 1.25,
        }}
      >
        <Typography
          id={headingId}
          variant="h3"
          component="h3"
          sx={{ "&::first-letter": { textTransform: "uppercase" } }}
        >
          {plain}
        </Typography>
        {term !== undefined && <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>{term}</Box>}
        {stakes.length > 0 && (
          <Box
            sx={{
              ml: "auto",
              color: tone.rust,
              fontSize: "0.9375rem",
              fontWeight: 600,
              whiteSpace: "nowrap",
            }}
          >
            {stakes.length === 1 ? "one danger turns on it" : `${stakes.length} dangers turn on it`}
          </Box>
        )}
      </Box>
      {masks.map((mask) => (
        <Box
          key={mask.mask}
          role="note"
          sx={{
            mb: 1,
            pl: 1.5,
            borderLeft: `4px dashed ${tone.sage}`,
            color: tone.ink,
            fontSize: "0.9375rem",
          }}
        >
          {mask.why.charAt(0).toUpperCase() + mask.why.slice(1)}.
          {mask.lift === undefined ? "" : ` ${mask.lift.charAt(0).toUpperCase()}${mask.lift.slice(1)}.`}
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
            digit={active ? DIGITS[index] : undefined}
            picture={pictureFor(character, state)}
            character={character}
            state={state}
            onChoose={() => act(chooseState(find, body, character, state))}
          />
        ))}
      </Box>
      {of === "body" && (
        <Box sx={{ display: "grid", gap: 1, pt: 1, gridTemplateColumns: "repeat(3, 1fr)" }}>
          <Choice
            quiet
            label="cannot tell"
            chosen={entry?.unseen === CANNOT_TELL}
            onChoose={() => act(couldNot(body, character, CANNOT_TELL))}
          />
          <Choice
            quiet
            label={
              entry?.unseen !== undefined && entry.unseen !== CANNOT_TELL
                ? `not looked: ${entry.unseen}`
                : "could not look"
            }
            chosen={entry?.unseen !== undefined && entry.unseen !== CANNOT_TELL}
            onChoose={() => {
              onActivate();
              setMenuAt(document.getElementById(`block-${character}`));
            }}
          />
          <Choice
            quiet
            label="unsure of it"
            chosen={entry?.sure === false}
            onChoose={() => act(turnSureness(body, character))}
          />
          <Menu
            open={menuAt !== null}
            anchorEl={menuAt}
            onClose={() => setMenuAt(null)}
            anchorOrigin={{ vertical: "bottom", horizontal: "center" }}
            transformOrigin={{ vertical: "bottom", horizontal: "center" }}
          >
            {REASONS.map((reason) => (
              <MenuItem
                key={reason}
                onClick={() => {
                  setMenuAt(null);
                  onChange(couldNot(body, character, reason));
                }}
              >
                {reason}
              </MenuItem>
            ))}
          </Menu>
        </Box>
      )}
    </Box>
  );
}
