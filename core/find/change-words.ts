/** A change in plain words, for the history of a find. */
import type { Change } from "./changes.ts";
import type { Entry } from "./entry.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "./words.ts";

const FIELD_WORDS: Readonly<Record<string, string>> = {
  keep: "to be kept",
  lifted: "lifted",
  sameAs: "second look at",
  seenAt: "seen again at",
  hoursSincePicked: "hours since it was picked",
  larvaeParts: "larvae by part",
  measuredBy: "measured by",
  parted: "out of the basket",
  sorted: "looked at again at the table",
  frostLastNight: "frost last night",
  drySpellDays: "days without rain",
  rain24hMm: "rain in a day, mm",
  airTempC: "air, °C",
  warmedInHand: "warmed in the hand",
  cannotSmell: "nobody can smell it",
  printPaper: "paper under the print",
  foundAt: "found at",
  takenFor: "taken for",
  capCm: "cap, cm",
  stemLengthCm: "stem, cm long",
  stemWidthMm: "stem, mm wide",
  thicknessMm: "thickness, mm",
  accuracyM: "accuracy, m",
  elevationM: "height, m",
  lat: "latitude",
  lon: "longitude",
};

/** A field of the record in plain words. */
export const fieldWords = (field: string): string => FIELD_WORDS[field] ?? field.replaceAll("-", " ");

/** One line for one change: "B: ring: skirt, unsure". */
export function changeWords(change: Change): string {
  switch (change.kind) {
    case "observe":
      return `${change.body}: ${CHARACTER_WORDS[change.character].plain}: ${change.entries.map(entryWords).join("; ")}`;
    case "unsee":
      return `${change.body}: ${CHARACTER_WORDS[change.character].plain}: taken back`;
    case "add-body":
      return `body ${change.body.id} added`;
    case "remove-body":
      return `body ${change.body} taken out`;
    case "set-body":
      return `${change.body}: ${fieldWords(change.field)}: ${valueWords(change.value)}`;
    case "set-site":
      return `ground: ${fieldWords(change.field)}: ${valueWords(change.value)}`;
    case "set-weather":
      return `weather: ${fieldWords(change.field)}: ${valueWords(change.value)}`;
    case "set-place":
      return `place: ${fieldWords(change.field)}: ${valueWords(change.value)}`;
    case "set-rule":
      return `house rule: ${fieldWords(change.field)}: ${valueWords(change.value)}`;
    case "set-find":
      return `find: ${fieldWords(change.field)}: ${valueWords(change.value)}`;
  }
}

function entryWords(entry: Entry): string {
  const by = entry.by === undefined ? "" : ` (${entry.by})`;
  if (entry.states === undefined) return `not looked: ${entry.unseen ?? ""}${by}`;
  const seen = wordList(
    entry.states.map((state) => stateWords(entry.character, state)),
    "and",
  );
  return `${seen}${entry.sure === false ? ", unsure" : ""}${by}`;
}

/** A value in words: nothing is "left out", a list is a list, an object its fields. */
export function valueWords(value: unknown): string {
  if (value === null || value === undefined) return "left out";
  if (value === true) return "yes";
  if (value === false) return "no";
  if (Array.isArray(value)) return value.map(valueWords).join(", ");
  if (typeof value === "object")
    return Object.entries(value)
      .map(([field, inner]) => `${fieldWords(field)} ${valueWords(inner)}`)
      .join(", ");
  return typeof value === "string" ? value.replaceAll("-", " ") : String(value);
}
