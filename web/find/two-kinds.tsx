/** Bodies that contradict each other, put as a question; the answer may be a find of its own for the second kind. */
import { CHARACTER_WORDS, disagreements, type Find, stateWords, wordList } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useState } from "react";
import { Link } from "react-router";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

export function TwoKinds({ find }: { readonly find: Find }) {
  const split = useFind((state) => state.split);
  const [apart, setApart] = useState<{ readonly id: string; readonly bodies: string }>();
  const found = disagreements(find);
  const smallest = found
    .flatMap(({ groups }) => groups.map((group) => group.bodies))
    .filter((bodies) => bodies.length < find.bodies.length)
    .sort((one, other) => one.length - other.length)[0];
  if (apart !== undefined)
    return (
      <Box role="status" sx={{ mb: 2, pl: 1.5, borderLeft: `4px solid ${tone.ochre}` }}>
        {apart.bodies} {apart.bodies.length === 1 ? "has" : "have"} a find of{" "}
        {apart.bodies.length === 1 ? "its" : "their"} own now.{" "}
        <Link to={`/find/${apart.id}/bodies`} style={{ color: tone.ink }}>
          Open it
        </Link>
      </Box>
    );
  if (found.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Two kinds?"
      data-testid="two-kinds"
      sx={{ mb: 2.5, pl: 1.5, borderLeft: `4px solid ${tone.rust}` }}
    >
      <Box sx={{ fontWeight: 750, fontSize: "1.125rem" }}>Two kinds?</Box>
      {found.slice(0, 3).map(({ character, groups }) => (
        <Box key={character}>
          {CHARACTER_WORDS[character].plain}:{" "}
          {groups
            .map(
              ({ states, bodies }) =>
                `${wordList([...bodies], "and")} ${wordList(
                  states.map((state) => stateWords(character, state)),
                  "and",
                )}`,
            )
            .join(", ")}
        </Box>
      ))}
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
        Look again at both. A slip is put right where it was made; a second kind gets a find of its own.
      </Box>
      {smallest !== undefined && (
        <ButtonBase
          onClick={() =>
            void split(smallest).then((id) => {
              if (id !== undefined) setApart({ id, bodies: wordList([...smallest], "and") });
            })
          }
          sx={{ mt: 1, minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper }}
        >
          Give {wordList([...smallest], "and")} a find of {smallest.length === 1 ? "its" : "their"} own
        </ButtonBase>
      )}
    </Box>
  );
}
