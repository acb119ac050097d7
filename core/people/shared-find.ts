/** A find as others in a circle see it: with everybody's looks, and with as much of its place as its finder shows. */
import type { Change } from "../find/changes.ts";
import type { Find } from "../find/schema.ts";
import type { PlaceShown } from "./circle.ts";

/** What a person writes in their own words begins so. */
const OWN_WORDS = "note:";
const NOT_LOOKED = "not looked at";
/** A tenth of a degree: a place is somewhere in some ten kilometres. */
const ROUNDED_TO = 10;
/** How far off a rounded place may be, m: half a tenth of a degree both ways. */
const ROUNDED_ACCURACY_M = 8000;

/** The number that stands for all of its tenth of a degree. */
const rounded = (degrees: number): number => Math.round(degrees * ROUNDED_TO) / ROUNDED_TO;

/**
 * The record as it goes to the others. Names, notes and whatever stands in somebody's own words stay at home unless the whole place is
 * shown: they may tell it. Weather, what grows there and the part of the world go along, since answers rest on them.
 */
export function sharedFind(find: Find, shown: PlaceShown): Find {
  if (shown === "exact") return find;
  const { label: _label, note: _note, place, site, bodies, ...rest } = find;
  const neighbours = site?.neighbours?.filter((one) => !one.startsWith(OWN_WORDS));
  const { neighbours: _neighbours, ...siteRest } = site ?? {};
  return {
    ...rest,
    ...(site === undefined
      ? {}
      : { site: { ...siteRest, ...(neighbours === undefined || neighbours.length === 0 ? {} : { neighbours }) } }),
    ...(place === undefined ? {} : { place: placeShown(place, shown) }),
    bodies: bodies.map(({ note: _bodyNote, seen, ...body }) => ({
      ...body,
      ...(seen === undefined
        ? {}
        : { seen: seen.map((entry) => (entry.unseen === undefined ? entry : { ...entry, unseen: NOT_LOOKED })) }),
    })),
  };
}

function placeShown({ region, lat, lon }: NonNullable<Find["place"]>, shown: PlaceShown): NonNullable<Find["place"]> {
  const world = region === undefined ? {} : { region };
  if (shown !== "rounded" || lat === undefined || lon === undefined) return world;
  return { ...world, lat: rounded(lat), lon: rounded(lon), accuracyM: ROUNDED_ACCURACY_M };
}

/** Whether a change tells what is not shown: then it is left out of the history that others read. */
export function tellsMore(change: Change, shown: PlaceShown): boolean {
  if (shown === "exact") return false;
  switch (change.kind) {
    case "set-place":
      return change.field !== "region";
    case "set-find":
      return change.field === "label" || change.field === "note";
    case "set-site":
      return change.field === "neighbours";
    case "set-body":
      return change.field === "note";
    case "add-body":
      return change.body.note !== undefined || (change.body.seen ?? []).some((entry) => entry.unseen !== undefined);
    case "observe":
      return change.entries.some((entry) => entry.unseen !== undefined);
    case "unsee":
    case "remove-body":
    case "set-weather":
    case "set-rule":
      return false;
  }
}
