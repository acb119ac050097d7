/** One station: its title, how to look, what is at stake, and its questions; on a phone one question at a time. */
import {
  type Answer,
  CHARACTER_WORDS,
  type CharacterId,
  definitionOf,
  isCharacterId,
  type MaskUse,
  wordList,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { AgainstNote } from "./against-note.tsx";
import { CharacterBlock } from "./character-block.tsx";
import { entryOf } from "./observing.ts";
import { PictureStrip } from "./picture-strip.tsx";
import { QuestionChips } from "./question-chips.tsx";
import type { ShownFind } from "./shown-find.ts";
import { StationExtras } from "./station-extras.tsx";
import { itemOf, type Question, type Station } from "./stations.ts";
import { ToldQuestion } from "./told-questions.tsx";
import { TwoKinds } from "./two-kinds.tsx";

interface StationPanelProps extends ShownFind {
  /** One question at a time, with chips to the others. */
  readonly single: boolean;
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
];
const MORE_WORDS = ["Five", "Six", "Seven", "Eight", "Nine", "Ten"];
const countWords = (count: number): string =>
  COUNT_WORDS[count] ?? `${MORE_WORDS[count - COUNT_WORDS.length] ?? count} dangers turn`;

export function StationPanel({ single, ...shown }: StationPanelProps) {
  const { station, find, body, answer, active, order, alsoOpen, onAlso, onActivate, onChange } = shown;
  const observer = useFind((state) => state.observer);
  const stakes = stakesOf(station, answer);
  const asked = alsoOpen ? [...order.first, ...order.also] : order.first;
  const drawn = single ? asked.filter((question) => itemOf(question) === active) : asked;
  const nameOf = (sheet: string) => answer?.dangers.find((danger) => danger.sheet === sheet)?.name ?? sheet;
  const done = (question: Question) =>
    question.kind === "character" && entryOf(body, question.character, observer) !== undefined;
  return (
    <Box data-station={station.id}>
      <Box sx={{ pb: single ? 1 : 2.25 }}>
        <Typography variant="h2" component="h1" tabIndex={-1} sx={{ fontSize: { xs: "1.375rem", md: "1.625rem" } }}>
          {station.title(body.id)}
        </Typography>
        <Typography sx={{ color: tone.inkSoft, pt: 0.5, display: { xs: single ? "none" : "block", md: "block" } }}>
          {station.how} {stakes.length > 0 && <b style={{ color: tone.ink }}>{countWords(stakes.length)} on this.</b>}
        </Typography>
      </Box>
      <AgainstNote />
      {station.id === "bodies" && <TwoKinds find={find} />}
      {single && <QuestionChips questions={asked} active={active} isDone={done} onChoose={onActivate} />}
      {drawn.length === 0 && asked.length === 0 && (
        <Typography sx={{ pb: 2 }}>Nothing at this station tells the two apart.</Typography>
      )}
      {drawn.map((question) =>
        question.kind === "character" ? (
          <CharacterBlock
            key={question.character}
            find={find}
            body={body}
            character={question.character}
            active={active === question.character}
            stakes={(answer?.atStake[question.character] ?? []).map(nameOf)}
            masks={definitionOf(question.character).of === "site" ? [] : masksOn(answer, body.id, question.character)}
            onActivate={() => onActivate(question.character)}
            onChange={onChange}
          />
        ) : (
          <ToldQuestion
            key={itemOf(question)}
            question={question}
            find={find}
            body={body}
            active={active === itemOf(question)}
            onChange={onChange}
          />
        ),
      )}
      {order.also.length > 0 && (
        <ButtonBase
          aria-expanded={alsoOpen}
          onClick={onAlso}
          data-testid="also"
          sx={{
            display: "block",
            width: "100%",
            minHeight: TOUCH,
            mb: 2,
            textAlign: "left",
            borderTop: `1px solid ${tone.boneLine}`,
            color: tone.inkSoft,
            fontSize: "1rem",
            "&:hover": { color: tone.ink },
          }}
        >
          <b style={{ color: tone.ink }}>{alsoOpen ? "Fold away" : "Also"}</b>{" "}
          {wordList(order.also.map(plainName), "and")}
        </ButtonBase>
      )}
      <StationExtras {...shown} />
      <PictureStrip findId={find.id} body={body.id} station={station.id} />
    </Box>
  );
}

function plainName(question: Question): string {
  const item = itemOf(question);
  return isCharacterId(item) ? CHARACTER_WORDS[item].plain : item;
}
