/** All that a sheet says of its kind, station by station, each statement with what it rests on. */
import { CHARACTER_WORDS, type CharacterId, type Sheet, wordList } from "@jittery-cap/core";
import Typography from "@mui/material/Typography";
import { STATIONS } from "../specimen/stations.ts";
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
          <section key={id} aria-label={name} className="above-3">
            <Typography variant="h3" component="h2" className="below">
              {name}
            </Typography>
            {characters.map((character) => (
              <Statement key={character} sheet={sheet} character={character} />
            ))}
          </section>
        );
      })}
    </>
  );
}

function Statement({ sheet, character }: { sheet: Sheet; character: CharacterId }) {
  const groups = agedStates(sheet.characters[character] ?? {});
  const basis = basisOf(sheet, `characters.${character}`);
  return (
    <div data-statement={character} className="line statement">
      <div className="strong">{CHARACTER_WORDS[character].plain}</div>
      <div>
        {groups.map((group) => (
          <div key={group.ages?.join() ?? "all"} className="statement-states">
            {group.ages !== undefined && <span className="statement-age">{wordList(group.ages, "and")}</span>}
            {group.states.map(([state, frequency]) => (
              <StateMark key={state} character={character} state={state} frequency={frequency} />
            ))}
          </div>
        ))}
      </div>
      {/* what all of a sheet rests on is said once, at its head */}
      <div className="soft small">{basis.own ? basis.words : ""}</div>
    </div>
  );
}
