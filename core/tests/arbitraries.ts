/** Generated finds and generated sheets for the laws. */
import fc from "fast-check";
import type { Entry } from "../find/entry.ts";
import { type Body, type Find, findSchema } from "../find/schema.ts";
import {
  AGES,
  CHARACTER_IDS,
  type CharacterId,
  definitionOf,
  FIRMNESSES,
  LARVAE,
  LIFTS,
  PRINT_PAPERS,
  REGIONS,
  SITE_CHARACTERS,
  WEARS,
} from "../find/vocabulary.ts";
import { type Knowledge, shelve } from "../knowledge/knowledge.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { tablesOf } from "../knowledge/state-tables.ts";
import { SHIPPED } from "./shipped.ts";

export const BODY_CHARACTERS = CHARACTER_IDS.filter((id) => definitionOf(id).of === "body");
const maybe = <Value>(value: fc.Arbitrary<Value>) => fc.option(value, { nil: undefined });

/** Drops the fields that are undefined, as a file would. */
const asFile = (record: unknown): unknown => JSON.parse(JSON.stringify(record));

function statesOf(character: CharacterId, listed: readonly string[]): fc.Arbitrary<string[]> {
  const { states, many } = definitionOf(character);
  const likely =
    listed.length > 0
      ? fc.oneof(
          { weight: 6, arbitrary: fc.constantFrom(...listed) },
          { weight: 1, arbitrary: fc.constantFrom(...states) },
        )
      : fc.constantFrom(...states);
  return fc.uniqueArray(likely, { minLength: 1, maxLength: many ? 2 : 1 });
}

function entryLike(sheet: Sheet, character: CharacterId): fc.Arbitrary<Entry> {
  const listed = tablesOf(sheet.characters[character], undefined).flatMap((table) => Object.keys(table));
  return fc.record({
    character: fc.constant(character),
    states: statesOf(character, listed),
    sure: fc.boolean().map((coin) => coin || undefined),
  });
}

/** A body seen more or less as a sheet tells it, with slips. */
function bodyLike(sheet: Sheet, id: string): fc.Arbitrary<unknown> {
  return fc.record({
    id: fc.constant(id),
    age: fc.oneof(
      { weight: 5, arbitrary: fc.constantFrom("young", "mature") },
      { weight: 1, arbitrary: maybe(fc.constantFrom(...AGES)) },
    ),
    lifted: fc.oneof(
      { weight: 4, arbitrary: fc.constant("whole") },
      { weight: 1, arbitrary: maybe(fc.constantFrom(...LIFTS)) },
    ),
    wear: fc.oneof(
      { weight: 4, arbitrary: fc.constant(undefined) },
      { weight: 1, arbitrary: fc.uniqueArray(fc.constantFrom(...WEARS), { maxLength: 2 }) },
    ),
    firmness: fc.oneof(
      { weight: 5, arbitrary: fc.constant(undefined) },
      { weight: 1, arbitrary: fc.constantFrom(...FIRMNESSES) },
    ),
    larvae: maybe(fc.constantFrom(...LARVAE)),
    measures: maybe(fc.record({ capCm: fc.double({ min: 0.5, max: 60, noNaN: true }) })),
    keep: fc.oneof({ weight: 3, arbitrary: fc.constant(true) }, { weight: 1, arbitrary: fc.constant(false) }),
    seen: fc
      .oneof(
        { weight: 3, arbitrary: fc.constant(BODY_CHARACTERS) },
        { weight: 1, arbitrary: fc.subarray([...BODY_CHARACTERS], { minLength: 0 }) },
      )
      .chain((characters) => fc.tuple(...characters.map((character) => entryLike(sheet, character))))
      .chain((entries) =>
        fc.oneof({ weight: 2, arbitrary: fc.constant(entries) }, { weight: 1, arbitrary: fc.subarray(entries) }),
      ),
  });
}

/** A find of one to three bodies that follows one of the sheets, with slips; every part of it may be missing. */
export function finds(knowledge: Knowledge = SHIPPED): fc.Arbitrary<Find> {
  return fc
    .constantFrom(...knowledge.sheets)
    .chain((sheet) =>
      fc.record({
        format: fc.constant("jittery-cap/find"),
        version: fc.constant(1),
        id: fc.constant("generated"),
        foundAt: maybe(fc.constantFrom("2026-05-02T08:00:00+02:00", "2026-09-14T10:20:00+02:00")),
        place: maybe(fc.record({ region: fc.constantFrom(...REGIONS) })),
        site: fc.record(
          Object.fromEntries(
            SITE_CHARACTERS.map((character) => [
              character,
              maybe(
                statesOf(
                  character,
                  tablesOf(sheet.characters[character], undefined).flatMap((table) => Object.keys(table)),
                ),
              ),
            ]),
          ),
        ),
        weather: maybe(
          fc.record({
            frostLastNight: maybe(fc.boolean()),
            drySpellDays: maybe(fc.integer({ min: 0, max: 20 })),
            rain24hMm: maybe(fc.integer({ min: 0, max: 20 })),
            airTempC: maybe(fc.integer({ min: -5, max: 25 })),
            printPaper: maybe(fc.constantFrom(...PRINT_PAPERS)),
          }),
        ),
        rules: maybe(fc.record({ smallBrown: fc.constantFrom("never", "known"), distance: fc.constantFrom(2, 3) })),
        bodies: fc
          .integer({ min: 1, max: 3 })
          .chain((count) => fc.tuple(...["A", "B", "C"].slice(0, count).map((id) => bodyLike(sheet, id)))),
      }),
    )
    .map((record) => findSchema.parse(asFile(record)));
}

/** A shelf made of the shipped sheets with characters struck out or shuffled between them. */
export function shelves(): fc.Arbitrary<Knowledge> {
  const mixed = fc
    .tuple(fc.constantFrom(...SHIPPED.sheets), fc.constantFrom(...SHIPPED.sheets), fc.subarray([...CHARACTER_IDS]))
    .map(
      ([sheet, other, characters]): Sheet => ({
        ...sheet,
        characters: Object.fromEntries(
          CHARACTER_IDS.map((id) => [id, (characters.includes(id) ? other : sheet).characters[id]]),
        ),
      }),
    );
  return fc
    .array(mixed, { minLength: 2, maxLength: 12 })
    .map((sheets) => shelve(sheets.filter((sheet, index) => sheets.findIndex((one) => one.id === sheet.id) === index)));
}

/** The body of a find with one entry left out. */
export function withoutEntry(find: Find, bodyIndex: number, entryIndex: number): Find {
  const strike = (body: Body): Body => ({
    ...body,
    seen: (body.seen ?? []).filter((_entry, index) => index !== entryIndex),
  });
  return { ...find, bodies: find.bodies.map((body, index) => (index === bodyIndex ? strike(body) : body)) };
}
