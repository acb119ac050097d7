/** The round of the day, stop by stop with its hours and what it may bring; each number shows the visits on which it rests. */

import { wordList } from "@jittery-cap/core";
import { lightOf, middleOf, turnRoundAt } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import { placePath } from "../addresses.ts";
import { Section } from "../layout/section.tsx";
import { lastingWords, momentOf, timeWords } from "../season/local-day.ts";
import type { ToldKind } from "../season/season.worker.ts";
import type { Season } from "../season/use-season.ts";
import { VisitList } from "../season/visit-list.tsx";
import { type PlaceTold, type Plan, type PlanAsked, wasMet } from "./plan-of.ts";

const START_HOUR = 9;
const KINDS = 3;
const MINUTE_MS = 60_000;

interface DayRoundProps {
  readonly plan: Plan;
  readonly season: Season;
  readonly asked: PlanAsked;
  readonly onWithout: (place: string) => void;
  readonly onAll: (() => void) | undefined;
}

export function DayRound({ plan, season, asked, onWithout, onAll }: DayRoundProps) {
  const { stops, round, others, closed, ways } = plan;
  const light = lightFor(plan, asked.day);
  const begins = beginsAt(asked.day, light?.rises);
  let at = begins;
  let from = 0;
  return (
    <>
      <p className="lead-in" data-testid="round">
        {stops.length === 0
          ? season.places.length === 0
            ? "No place is known yet: tell of one under Places, or begin an outing."
            : "No place is worth its way within these hours."
          : `${lastingWords(round.minutes)} with the ways${asked.home === null ? ", those from home not counted" : ""}: about ${round.worth.toFixed(1)} finds of what you have met there before.`}
        {light !== undefined && ` ${light.words}`}
      </p>
      {stops.map((stop) => {
        const number = round.order[stops.indexOf(stop)] ?? 0;
        const way = ways[from]?.[number + 1] ?? 0;
        at += way * MINUTE_MS;
        const here = at;
        at += stop.minutes * MINUTE_MS;
        from = number + 1;
        return (
          <div key={stop.place.id} data-stop={stop.place.id}>
            {way > 0 && <div className="round-way">{lastingWords(way)} there</div>}
            <Stop stop={stop} season={season} at={here} onWithout={() => onWithout(stop.place.id)} />
          </div>
        );
      })}
      {stops.length > 0 && (
        <p className="round-way">
          back at {timeWords(at + (ways[from]?.[0] ?? 0) * MINUTE_MS)}
          {light?.turn !== undefined && at > light.turn && <b className="stands">: later than the light allows</b>}
        </p>
      )}
      {(others.length > 0 || closed.length > 0) && (
        <Section title="Not on the round">
          {others.map(({ place, anHour, kinds }) => (
            <p key={place.id} className="pot-line">
              <Link to={placePath(place.id)} className="grow">
                {place.content.name}
              </Link>
              <span className="soft">
                {anHour.toFixed(1)} an hour{kinds[0] === undefined ? "" : `, ${season.nameOf(kinds[0].kind)} first`}
              </span>
            </p>
          ))}
          {closed.map((place) => (
            <p key={place.id} className="pot-line">
              <Link to={placePath(place.id)} className="grow">
                {place.content.name}
              </Link>
              <span className="stands">closed that month, as you entered it</span>
            </p>
          ))}
          {onAll !== undefined && (
            <Button variant="quiet" onClick={onAll}>
              All places again
            </Button>
          )}
        </Section>
      )}
    </>
  );
}

/** From nine, or from half an hour after sunrise where that is later. */
function beginsAt(day: string, rises: number | undefined): number {
  const nine = momentOf(day, START_HOUR).getTime();
  return rises === undefined
    ? nine
    : Math.max(nine, Math.ceil((rises + 30 * MINUTE_MS) / (15 * MINUTE_MS)) * 15 * MINUTE_MS);
}

/** The light at the first stop, or at the first place that has a position. */
function lightFor({ stops, others }: Plan, day: string) {
  const middle = [...stops, ...others].map(({ place }) => middleOf(place.content)).find((one) => one !== undefined);
  if (middle === undefined) return undefined;
  const { rises, sets, allDay } = lightOf(momentOf(day, 12), middle.lat, middle.lon);
  if (sets === undefined)
    return { rises, turn: undefined, words: allDay === "light" ? "The sun does not set." : "The sun does not rise." };
  const turn = turnRoundAt(sets, 0);
  return { rises, turn, words: `The sun is down at ${timeWords(sets)}: be back by ${timeWords(turn)}.` };
}

interface StopProps {
  readonly stop: PlaceTold;
  readonly season: Season;
  readonly at: number;
  readonly onWithout: () => void;
}

function Stop({ stop: { place, kinds, minutes, anHour }, season, at, onWithout }: StopProps) {
  const { content } = place;
  return (
    <div className="round-stop">
      <time>{timeWords(at)}</time>
      <span>
        <Link to={placePath(place.id)} className="strong large">
          {content.name}
        </Link>
        <span className="soft small block-text">
          {lastingWords(minutes)} of searching, about {((anHour * minutes) / 60).toFixed(1)} finds
          {content.rule !== undefined && `. ${content.rule}`}
          {(content.concerns?.length ?? 0) > 0 && ". Its ground is unclean, as you entered it: nothing is taken there."}
        </span>
      </span>
      <Button variant="quiet" onClick={onWithout}>
        not there
      </Button>
      <div className="wide">
        <ForetoldKinds kinds={kinds} place={place.id} season={season} most={KINDS} />
      </div>
    </div>
  );
}

interface ForetoldKindsProps {
  readonly kinds: readonly ToldKind[];
  readonly place: string;
  readonly season: Season;
  readonly most: number;
}

/** The kinds that were met there, with their numbers; what only the months speak for is named. */
export function ForetoldKinds({ kinds, place, season, most }: ForetoldKindsProps) {
  const met = kinds.filter(({ kind }) => wasMet(season, place, kind)).slice(0, most);
  const others = kinds.filter(({ kind }) => !wasMet(season, place, kind));
  return (
    <>
      {met.map((one) => (
        <Foretold key={one.kind} told={one} season={season} />
      ))}
      {others.length > 0 && (
        <p className="soft small">
          {met.length === 0 ? "Nothing of this time was met there yet. " : ""}By the months alone also{" "}
          {wordList(
            others.slice(0, most).map(({ kind }) => season.nameOf(kind)),
            "and",
          )}
          {others.length > most ? ` and ${others.length - most} more` : ""}.
        </p>
      )}
    </>
  );
}

/** A number, and behind it the visits. */
export function Foretold({ told, season }: { readonly told: ToldKind; readonly season: Season }) {
  const [isOpen, setIsOpen] = useState(false);
  const { mean, low, high, restsOn, empty } = told;
  return (
    <>
      <button
        type="button"
        className="foretold"
        aria-expanded={isOpen}
        data-foretold={told.kind}
        data-mean={mean.toFixed(4)}
        onClick={() => setIsOpen(!isOpen)}
      >
        <span>{season.nameOf(told.kind)}</span>
        <b>{mean.toFixed(1)} an hour</b>
        <span className="soft small">
          {low.toFixed(1)} to {high.toFixed(1)} in 80 of 100;{" "}
          {restsOn.length === 0
            ? "from the sheet's months"
            : `from ${restsOn.length} ${restsOn.length === 1 ? "visit" : "visits"}, ${empty} without it`}
        </span>
      </button>
      {isOpen && <VisitList restsOn={restsOn} season={season} />}
    </>
  );
}
