/** Where a planned test leads: to the one question that it opens, on the body on which it is open. */
import { CHARACTER_WORDS, type Find, isCharacterId, type PlannedTest } from "@jittery-cap/core";
import { findPath } from "../addresses.ts";
import { type StationId, stationOfCharacter } from "./stations.ts";

/** A question of the record. */
export interface PlaceOfTest {
  readonly station: StationId;
  /** The question as the station calls it. */
  readonly item: string;
  /** The body that is looked at; undefined for the site, or where there is no such body yet. */
  readonly body: string | undefined;
}

/** The question that a test opens; undefined where a further body has to be found first. */
export function placeOfTest(find: Find, test: PlannedTest): PlaceOfTest | undefined {
  const { body = test.body, character } = test.opens;
  if (test.test === "find-an-older-one") return undefined;
  if (character === "age") return { station: "bodies", item: "age", body };
  if (!isCharacterId(character)) return { station: "bodies", item: "measures", body };
  // a foot that is told of a body that still stands proves nothing: first it is lifted
  const isLifted = find.bodies.find((one) => one.id === body)?.lifted === "whole";
  if (test.test === "lift-base-whole" && !isLifted) return { station: "foot", item: "lifted", body };
  return { station: stationOfCharacter(character)?.id ?? "bodies", item: character, body };
}

/** What a test asks, named: "the colour of the net, A". A test that has no question of its own is told by what is done. */
export function askedWords({ text, body, opens }: PlannedTest): string {
  if (!isCharacterId(opens.character)) return text;
  const where = opens.body ?? body;
  return `${CHARACTER_WORDS[opens.character].plain}${where === undefined ? "" : `, ${where}`}`;
}

/** Whether somebody has said already that it cannot be told or could not be looked at: it stays open, and is asked last. */
function isGivenUp(find: Find, test: PlannedTest): boolean {
  const place = placeOfTest(find, test);
  const body = find.bodies.find((one) => one.id === place?.body);
  return body?.seen?.some((entry) => entry.character === place?.item && entry.unseen !== undefined) === true;
}

/** The planned tests as they are asked: in the plan's order, what somebody has given up last. */
export function askedTests(find: Find, tests: readonly PlannedTest[]): readonly PlannedTest[] {
  const givenUp = new Set(tests.filter((test) => isGivenUp(find, test)));
  return givenUp.size === 0 ? tests : [...tests.filter((test) => !givenUp.has(test)), ...givenUp];
}

/** The address of the question that a test opens. */
export function testPath(find: Find, test: PlannedTest): string {
  const place = placeOfTest(find, test);
  if (place === undefined) return findPath(find.id, "record", "bodies");
  const asked = new URLSearchParams({ ask: place.item, ...(place.body === undefined ? {} : { body: place.body }) });
  return `${findPath(find.id, "record", place.station)}?${asked}`;
}
