/** Where an answer leads: to the question that the plan asks next, at this station first. */
import type { Change, Find } from "@jittery-cap/core";
import { askedTests, type PlaceOfTest, placeOfTest } from "../specimen/place-of-test.ts";
import type { StationId } from "../specimen/stations.ts";
import type { ShownAnswer } from "../standing/shown-answer.ts";

/**
 * The next question that would bring the find nearer to its answer.
 * @param answer to the record as it is, with the touch that was just made
 * @returns undefined where there is none, or where another body has to be found first: then the person decides
 */
export function nextPlace(
  find: Find,
  answer: Pick<ShownAnswer, "next">,
  station: StationId,
  body: string,
): PlaceOfTest | undefined {
  const places = askedTests(find, answer.next.tests).map((test) => placeOfTest(find, test));
  // who has the cap in the hand looks at all of it before going on, and at this body before the next
  const here = places.find((place) => place?.station === station && place.body === body);
  return here ?? places.find((place) => place?.body === body) ?? places[0];
}

/** The question that a change answers, to which taking it back returns; undefined for what is no answer. */
export function questionOf(
  change: Change | { readonly kind: "archive" | "restore" },
): { item: string; body: string | undefined } | undefined {
  switch (change.kind) {
    case "observe":
    case "unsee":
      return { item: change.character, body: change.body };
    case "set-body":
      return { item: change.field, body: change.body };
    case "set-site":
    case "set-weather":
      return { item: change.field, body: undefined };
    default:
      return undefined;
  }
}
