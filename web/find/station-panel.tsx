/** One station: its title, how to look, what is at stake, and its questions; on a phone one question at a time. */
import {
  CHARACTER_WORDS,
  type CharacterId,
  definitionOf,
  isCharacterId,
  type MaskUse,
  wordList,
} from "@jittery-cap/core";
import { CharacterBlock } from "../specimen/character-block.tsx";
import { useObserver } from "../specimen/observer.ts";
import { entryOf } from "../specimen/observing.ts";
import { itemOf, type Question, type Station } from "../specimen/stations.ts";
import { ToldQuestion } from "../specimen/told-questions.tsx";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { AgainstNote } from "./against-note.tsx";
import { GuideNote } from "./guide-note.tsx";
import { PictureStrip } from "./picture-strip.tsx";
import { QuestionChips } from "./question-chips.tsx";
import type { ShownFind } from "./shown-find.ts";
import { StationExtras } from "./station-extras.tsx";
import { TwoKinds } from "./two-kinds.tsx";

interface StationPanelProps extends ShownFind {
  /** One question at a time, with chips to the others. */
  readonly single: boolean;
  /** Whether several states are told of the question on the screen, and how to turn that; left out on a desk. */
  readonly isSeveral?: boolean;
  readonly onSeveral?: () => void;
}

/** The dangers that turn on any character of a station. */
function stakesOf(station: Station, answer: ShownAnswer | undefined): string[] {
  const sheets = station.questions.flatMap((question) =>
    question.kind === "character" ? (answer?.atStake[question.character] ?? []) : [],
  );
  return [...new Set(sheets)];
}

/** Masks that bite on a character of this body today, each once. */
function masksOn(answer: ShownAnswer | undefined, body: string, character: CharacterId): MaskUse[] {
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

export function StationPanel({ single, isSeveral, onSeveral, ...shown }: StationPanelProps) {
  const { station, find, body, answer, active, order, alsoOpen, onAlso, onActivate, onChange } = shown;
  const observer = useObserver();
  const stakes = stakesOf(station, answer);
  const asked = alsoOpen ? [...order.first, ...order.also] : order.first;
  const drawn = single ? asked.filter((question) => itemOf(question) === active) : asked;
  const nameOf = (sheet: string) => answer?.dangers.find((danger) => danger.sheet === sheet)?.name ?? sheet;
  const done = (question: Question) =>
    question.kind === "character" && entryOf(body, question.character, observer) !== undefined;
  return (
    <div data-station={station.id}>
      <div className="station-head">
        <h1 tabIndex={-1}>{station.title(body.id)}</h1>
        <p>
          {station.how} {stakes.length > 0 && <b>{countWords(stakes.length)} on this.</b>}
        </p>
      </div>
      <GuideNote find={find} station={station} />
      <AgainstNote />
      {station.id === "bodies" && <TwoKinds find={find} />}
      {single && <QuestionChips questions={asked} active={active} isDone={done} onChoose={onActivate} />}
      {drawn.length === 0 && asked.length === 0 && <p>Nothing at this station tells the two apart.</p>}
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
            isSeveral={isSeveral}
            onSeveral={onSeveral}
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
        <button type="button" aria-expanded={alsoOpen} onClick={onAlso} data-testid="also" className="also">
          <b>{alsoOpen ? "Fold away" : "Also"}</b> {wordList(order.also.map(plainName), "and")}
        </button>
      )}
      <StationExtras {...shown} />
      <PictureStrip findId={find.id} body={body.id} station={station.id} />
    </div>
  );
}

function plainName(question: Question): string {
  const item = itemOf(question);
  return isCharacterId(item) ? CHARACTER_WORDS[item].plain : item;
}
