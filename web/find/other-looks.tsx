/** What other observers saw of a character; where they differ it counts as unsure, and the screen says so. */
import { type Body, type CharacterId, type Find, stateWords, wordList } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import { useFind } from "../state/find-state.ts";
import { tone } from "../theme/tokens.ts";
import { entryOf, othersOf } from "./observing.ts";

interface OtherLooksProps {
  readonly find: Find;
  readonly body: Body;
  readonly character: CharacterId;
}

export function OtherLooks({ find, body, character }: OtherLooksProps) {
  const observer = useFind((state) => state.observer);
  const others = othersOf(body, character, observer);
  if (others.length === 0) return null;
  const mine = entryOf(body, character, observer)?.states;
  const seen = others.flatMap((entry) => (entry.states === undefined ? [] : [entry.states]));
  const sets = new Set([...seen, ...(mine === undefined ? [] : [mine])].map((states) => [...states].sort().join()));
  return (
    <Box sx={{ pt: 0.75, fontSize: "0.9375rem", color: tone.inkSoft }} data-testid={`others-${character}`}>
      {others.map((entry) => (
        <Box key={`${entry.by ?? ""} ${entry.at ?? ""}`}>
          <b>{find.observers?.find((one) => one.id === entry.by)?.name ?? entry.by ?? "the finder"}</b>:{" "}
          {entry.states === undefined
            ? `not looked, ${entry.unseen}`
            : wordList(
                entry.states.map((state) => stateWords(character, state)),
                "and",
              )}
        </Box>
      ))}
      {sets.size > 1 && <Box sx={{ color: tone.rust, fontWeight: 600 }}>They differ: it counts as unsure.</Box>}
    </Box>
  );
}
