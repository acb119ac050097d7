/** Short ways to write finds in tests. */
import { type Answer, assess } from "../answer/answer.ts";
import type { Entry } from "../find/entry.ts";
import { type Body, type Find, findSchema } from "../find/schema.ts";
import { isCharacterId } from "../find/vocabulary.ts";
import { SHIPPED } from "./shipped.ts";

/** What was seen, as "character: state, state". */
export type Seen = Readonly<Record<string, string>>;

/** Entries from short words; a leading "?" makes one unsure. */
export function seen(words: Seen, more: Partial<Entry> = {}): Entry[] {
  return Object.entries(words).map(([character, states]) => {
    if (!isCharacterId(character)) throw new Error(`no such character: ${character}`);
    const unsure = states.startsWith("?");
    return {
      character,
      states: states.replace("?", "").split(", "),
      ...(unsure ? { sure: false } : {}),
      ...more,
    };
  });
}

/** A young, fresh body lifted whole, unless told otherwise. */
export function bodyOf(words: Seen, more: Partial<Body> = {}): Body {
  return { id: "A", age: "young", lifted: "whole", seen: seen(words), ...more };
}

/** A find of these bodies, checked. */
export function findOf(bodies: readonly Body[], more: Partial<Find> = {}): Find {
  return findSchema.parse({
    format: "jittery-cap/find",
    version: 1,
    id: "test",
    ...more,
    bodies: [...bodies],
  });
}

/** Judges a find against the sheets that ship. */
export function answerTo(bodies: readonly Body[], more: Partial<Find> = {}): Answer {
  return assess(findOf(bodies, more), SHIPPED);
}

/** Mistakes between a find and a danger. */
export function mistakesTo(answer: Answer, sheet: string): number {
  const danger = answer.dangers.find((one) => one.sheet === sheet);
  if (danger === undefined) throw new Error(`${sheet} is no danger on the shelf`);
  return danger.mistakes;
}

/** The white, ringed, pink-gilled one from the pasture, its foot not looked at. */
export const PALE_ON_GRASS: Seen = {
  "cap-colour": "white",
  ring: "skirt",
  underside: "gills",
  "gill-colour": "pink",
};

/** The same with its build, foot, cut, stain and nose. */
export const FIELD_MUSHROOM: Seen = {
  ...PALE_ON_GRASS,
  "gill-attachment": "free",
  "gill-spacing": "crowded",
  "cap-surface": "silky",
  "stem-surface": "smooth",
  "stem-colour": "white",
  "flesh-colour": "white",
  "stain-cut": "none",
  base: "tapered",
  "stain-base": "none",
  "stain-rub": "none",
  smell: "mushroomy",
};

/** Its older neighbour: looked at for its spores, not kept. */
export const OLDER: Body = {
  id: "B",
  age: "mature",
  lifted: "whole",
  keep: false,
  seen: seen({
    underside: "gills",
    "gill-colour": "chocolate-brown",
    "spore-print": "chocolate-brown",
    ring: "remnants",
    "stem-surface": "smooth",
    "stem-colour": "white",
    base: "tapered",
    "flesh-colour": "white",
    "stain-base": "none",
  }),
};

export const GRASS: Partial<Find> = {
  site: { habitat: ["grassland"], substrate: ["soil"], host: ["none-near"] },
  place: { region: "europe" },
};
