/** The order of a station, held still while somebody works at it: nothing moves under a thumb. */
import { type Body, type CharacterId, type Find, isMoot } from "@jittery-cap/core";
import { useRef } from "react";
import { chosenStates, entryOf, surelyBelow } from "../specimen/observing.ts";
import type { Question, Station } from "../specimen/stations.ts";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { orderOf, type StationOrder } from "./station-order.ts";

interface Held {
  readonly key: string;
  readonly order: StationOrder;
}

/**
 * Orders a station anew when it, the body or the danger in question changes, when the first answer is there, and when what was
 * seen below the cap, which is asked first, makes something moot that would be asked after it.
 */
export function useStationOrder(
  station: Station,
  find: Find | undefined,
  body: Body | undefined,
  answer: ShownAnswer | undefined,
  only: ReadonlySet<string> | undefined,
): StationOrder {
  const held = useRef<Held>(undefined);
  const key = [station.id, find?.id, body?.id, answer === undefined, only === undefined ? "" : [...only].join()].join(
    "|",
  );
  const underside = body === undefined ? [] : surelyBelow(body);
  const wasLookedAt = (character: CharacterId) =>
    find !== undefined &&
    body !== undefined &&
    (entryOf(body, character) !== undefined || chosenStates(find, body, character).length > 0);
  const isIdle = (question: Question) =>
    question.kind === "character" && isMoot(question.character, underside) && !wasLookedAt(question.character);
  // checked against one danger, all that tells the two apart is asked
  const isIdleThere = only === undefined && held.current?.order.first.some(isIdle) === true;
  if (held.current?.key === key && !isIdleThere) return held.current.order;
  const order = orderOf(station, mattering(answer), wasLookedAt, (one) => isMoot(one, underside), only);
  held.current = { key, order };
  return order;
}

/** Characters that would move a standing danger, or that a kind it may be still demands. */
function mattering(answer: ShownAnswer | undefined): ReadonlySet<string> | undefined {
  if (answer === undefined) return undefined;
  const musts = answer.candidates.filter((one) => one.fits).flatMap((one) => one.mustsMissing);
  return new Set([...Object.keys(answer.atStake), ...musts]);
}
