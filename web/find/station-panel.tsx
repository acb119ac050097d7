/** One station: its title, how to look, what is at stake, and its questions. */
import {
  type Answer,
  type Body,
  type Change,
  type CharacterId,
  definitionOf,
  type Find,
  type MaskUse,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { tone } from "../theme/tokens.ts";
import { CharacterBlock } from "./character-block.tsx";
import type { Station } from "./stations.ts";
import { ToldQuestion } from "./told-questions.tsx";

interface StationPanelProps {
  readonly station: Station;
  readonly find: Find;
  readonly body: Body;
  readonly answer: Answer | undefined;
  readonly active: CharacterId | undefined;
  readonly onActivate: (character: CharacterId) => void;
  readonly onChange: (change: Change) => void;
}

/** The dangers that turn on any character of a station. */
function stakesOf(station: Station, answer: Answer | undefined): string[] {
  const sheets = station.questions.flatMap((question) =>
    question.kind === "character" ? (answer?.atStake[question.character] ?? []) : [],
  );
  return [...new Set(sheets)];
}

/** Masks that bite on a character of this body today, each once. */
function masksOn(answer: Answer | undefined, body: string, character: CharacterId): MaskUse[] {
  const uses = (answer?.dangers ?? [])
    .filter((danger) => danger.status !== "ruled-out")
    .flatMap((danger) => danger.masks);
  const here = uses.filter((use) => use.character === character && use.body === body);
  return here.filter((use, index) => here.findIndex((one) => one.mask === use.mask) === index);
}

const COUNT_WORDS = [
  "No danger turns",
  "One danger turns",
  "Two dangers turn",
  "Three dangers turn",
  "Four dangers turn",
  "Five dangers turn",
  "Six dangers turn",
  "Seven dangers turn",
];

export function StationPanel({ station, find, body, answer, active, onActivate, onChange }: StationPanelProps) {
  const stakes = stakesOf(station, answer);
  const asksCharacters = station.questions.some((question) => question.kind === "character");
  return (
    <Box data-station={station.id}>
      <Box sx={{ pb: 2.25 }}>
        <Typography variant="h2" component="h1" tabIndex={-1} sx={{ fontSize: { xs: "1.375rem", md: "1.625rem" } }}>
          {station.title(body.id)}
        </Typography>
        <Typography sx={{ color: tone.inkSoft, pt: 0.5 }}>
          {station.how}{" "}
          {asksCharacters && answer !== undefined && stakes.length > 0 && (
            <b style={{ color: tone.ink }}>{COUNT_WORDS[stakes.length] ?? `${stakes.length} dangers turn`} on this.</b>
          )}
        </Typography>
      </Box>
      {station.questions.map((question) =>
        question.kind === "character" ? (
          <CharacterBlock
            key={question.character}
            find={find}
            body={body}
            character={question.character}
            active={active === question.character}
            stakes={answer?.atStake[question.character] ?? []}
            masks={definitionOf(question.character).of === "site" ? [] : masksOn(answer, body.id, question.character)}
            onActivate={() => onActivate(question.character)}
            onChange={onChange}
          />
        ) : (
          <ToldQuestion
            key={question.kind === "body" || question.kind === "weather" ? question.field : question.kind}
            question={question}
            find={find}
            body={body}
            onChange={onChange}
          />
        ),
      )}
    </Box>
  );
}
