/** All that a sheet says of its kind, station by station, each statement with what it rests on. */
import { CHARACTER_WORDS, type CharacterId, type Sheet, wordList } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { STATIONS } from "../find/stations.ts";
import { tone } from "../theme/tokens.ts";
import { agedStates, basisOf } from "./sheet-words.ts";
import { StateMark } from "./state-marks.tsx";

export function SheetCharacters({ sheet }: { readonly sheet: Sheet }) {
  return (
    <>
      {STATIONS.map(({ id, name, questions }) => {
        const characters = questions.flatMap((question) =>
          question.kind === "character" && sheet.characters[question.character] !== undefined
            ? [question.character]
            : [],
        );
        if (characters.length === 0) return null;
        return (
          <Box component="section" key={id} aria-label={name} sx={{ pt: 2.75 }}>
            <Typography variant="h3" component="h2" sx={{ pb: 0.5 }}>
              {name}
            </Typography>
            {characters.map((character) => (
              <Statement key={character} sheet={sheet} character={character} />
            ))}
          </Box>
        );
      })}
    </>
  );
}

function Statement({ sheet, character }: { sheet: Sheet; character: CharacterId }) {
  const groups = agedStates(sheet.characters[character] ?? {});
  const basis = basisOf(sheet, `characters.${character}`);
  return (
    <Box
      data-statement={character}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "170px 1fr 128px" },
        columnGap: 2,
        borderTop: `1px solid ${tone.boneLine}`,
        py: 0.75,
        lineHeight: 1.5,
      }}
    >
      <Box sx={{ fontWeight: 650 }}>{CHARACTER_WORDS[character].plain}</Box>
      <Box>
        {groups.map((group) => (
          <Box key={group.ages?.join() ?? "all"} sx={{ display: "flex", flexWrap: "wrap" }}>
            {group.ages !== undefined && (
              <Box component="span" sx={{ color: tone.inkSoft, mr: 1.5, fontStyle: "normal", minWidth: 58 }}>
                {wordList(group.ages, "and")}
              </Box>
            )}
            {group.states.map(([state, frequency]) => (
              <StateMark key={state} character={character} state={state} frequency={frequency} />
            ))}
          </Box>
        ))}
      </Box>
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", fontWeight: basis.own ? 650 : 400 }}>{basis.words}</Box>
    </Box>
  );
}
