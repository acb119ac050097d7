/**
 * A made find for practice: it stands there and nothing is seen of it; whoever asks for a look is shown what it would show
 * today, and pays its minutes. Equal seeds make equal finds, and the order of the looks changes nothing of what they show.
 */
import { type Body, type Find, findSchema, type Measures, type Rules } from "../find/schema.ts";
import { type Age, type CharacterId, type Lift, SITE_CHARACTERS } from "../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../find/words.ts";
import { conditionsOf } from "../judge/body-conditions.ts";
import { bodyLooks } from "../judge/looks.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { FIELD_TESTS, type FieldTest, testWords } from "../next/field-tests.ts";
import { chanceOf, happens } from "./chance.ts";
import { lookedAt, timeAndPlaceOf } from "./looking.ts";
import { bareBody, coherent, type Day, drawSite, drawSpecimen, drawWeather, type Specimen } from "./specimen.ts";

/** How often a thing happens in the practised wood; ours. */
const OFTEN = {
  /** Only one body stands there. */
  alone: 0.2,
  /** Somebody or something was there before: the lowest end is lost. */
  footLost: 0.12,
  /** Another one stands near where it is looked for. */
  another: 0.8,
  /** The foot breaks when it is lifted. */
  breaks: 0.05,
} as const;

/** A look that was asked for. */
export interface TakenLook {
  readonly test: string;
  /** Left out of the ground, and of the search for an older one. */
  readonly body?: string;
  readonly minutes: number;
  readonly waitHours: number;
}

/** A look that was taken, with what it showed, in words. */
export interface SeenLook extends TakenLook {
  readonly saw: string;
}

/** A look that can be asked for, with what it costs. */
export interface OfferedLook extends TakenLook {
  readonly text: string;
  readonly destroys: boolean;
}

export interface MadeFind {
  readonly seed: string;
  readonly sheet: Sheet;
  readonly day: Day;
  /** As far as it was looked at. */
  readonly find: Find;
  readonly specimens: ReadonlyMap<string, Specimen>;
  readonly taken: readonly SeenLook[];
  readonly minutes: number;
  readonly waitHours: number;
}

/** An id that every device makes of a seed: a find of practice is kept nowhere. */
const PRACTICE_ID = "practice";

/**
 * Makes a find of a kind, undrawn. @param day the weather; "any" draws frost, rain, drought and wear as they come
 * @param rules the learner's own house rules, so that practice permits no more than their wood does; left out, the defaults
 */
export function makeFind(sheet: Sheet, seed: string, day: Day = "any", rules: Rules = {}): MadeFind {
  const chance = chanceOf(seed, "find");
  const weather = drawWeather(chance, day);
  const ages = happens(chance, OFTEN.alone)
    ? ([["A", happens(chance, 0.5) ? "young" : "mature"]] as const)
    : ([
        ["A", "young"],
        ["B", "mature"],
      ] as const);
  const specimens = new Map(ages.map(([id, age]) => [id, coherent(drawSpecimen(chance, sheet, age, day))]));
  const lost: Lift | undefined =
    day === "any" && happens(chance, OFTEN.footLost) ? (happens(chance, 0.5) ? "mown" : "cut") : undefined;
  const find = findSchema.parse({
    format: "jittery-cap/find",
    version: 1,
    id: PRACTICE_ID,
    ...timeAndPlaceOf(chance, sheet),
    weather,
    rules,
    bodies: [...specimens].map(([id, specimen]) => bareBody(id, specimen, lost ?? "standing")),
  });
  return { seed, sheet, day, find, specimens, taken: [], minutes: 0, waitHours: 0 };
}

const keyOf = ({ test, body }: Pick<TakenLook, "test" | "body">): string => `${test} ${body ?? ""}`;

/** Looks that show nothing by themselves or belong to another one. */
const NOT_OFFERED: ReadonlySet<string> = new Set(["read-spore-print", "warm-and-smell"]);

/** The search for an older one: what the planner calls it, and what it costs. */
const OLDER = { test: "find-an-older-one", minutes: 3, waitHours: 0 } as const;
const OLD_ID = "O";
/** Another one of the troop, for a bad example: of each of these ages one can be looked for. */
const ANOTHER = { minutes: 2, waitHours: 0, destroys: false } as const;
const MORE_BODIES = [
  { test: "another-young-one", id: "D", age: "young", text: "Look for another young one" },
  { test: "another-grown-one", id: "E", age: "mature", text: "Look for another grown one" },
] as const;
/** A bad example is put back: what is kept is judged without it. */
const PUT_ASIDE = { test: "put-aside", minutes: 0, waitHours: 0, destroys: false } as const;

/** Every look that can be asked for now, in the order of handling: of the ground, then body by body. */
export function offeredLooks(made: MadeFind): readonly OfferedLook[] {
  const done = new Set(made.taken.map(keyOf));
  const ground = FIELD_TESTS.filter((test) => test.of === "site").map((test) => offered(test, undefined));
  const bodies = made.find.bodies.flatMap((body) => {
    const conditions = conditionsOf(made.find, body, bodyLooks(made.find, body));
    return FIELD_TESTS.filter(
      ({ id, of, possible }) => of === "body" && !NOT_OFFERED.has(id) && possible?.(conditions) !== false,
    ).map((test) => offered(test, body.id));
  });
  const older = { ...OLDER, text: testWords(OLDER.test, undefined), destroys: false };
  const another = MORE_BODIES.map(({ test, text }) => ({ ...ANOTHER, test, text }));
  const kept = made.find.bodies.filter((body) => body.keep !== false);
  const aside = kept.flatMap(({ id }) =>
    kept.length < 2 ? [] : [{ ...PUT_ASIDE, body: id, text: lookWords({ ...PUT_ASIDE, body: id }) }],
  );
  return [...ground, ...bodies, older, ...another, ...aside].filter((look) => !done.has(keyOf(look)));
}

function offered({ id, minutes, waitHours, destroys }: FieldTest, body: string | undefined): OfferedLook {
  return { test: id, ...(body === undefined ? {} : { body }), minutes, waitHours, destroys, text: testWords(id, body) };
}

/** Whether two looks are the same. */
export const isSameLook = (one: Pick<TakenLook, "test" | "body">, other: Pick<TakenLook, "test" | "body">): boolean =>
  keyOf(one) === keyOf(other);

/** Takes a look. A look that cannot be taken, or was taken, changes nothing. */
export function takeLook(made: MadeFind, asked: Pick<TakenLook, "test" | "body">): MadeFind {
  const look = offeredLooks(made).find((one) => isSameLook(one, asked));
  if (look === undefined) return made;
  const { test, body, minutes, waitHours } = look;
  const { find, specimens, saw } = performed(made, test, body);
  return {
    ...made,
    find,
    specimens,
    taken: [...made.taken, { test, ...(body === undefined ? {} : { body }), minutes, waitHours, saw }],
    minutes: made.minutes + minutes,
    waitHours: Math.max(made.waitHours, waitHours),
  };
}

/** What a look makes of the find, and what it shows. */
type Performed = Pick<MadeFind, "find" | "specimens"> & { readonly saw: string };

function performed(made: MadeFind, test: string, body: string | undefined): Performed {
  const more = MORE_BODIES.find((one) => one.test === test);
  if (test === OLDER.test) return withBody(made, OLD_ID, "old");
  if (more !== undefined) return withBody(made, more.id, more.age);
  if (test === PUT_ASIDE.test && body !== undefined)
    return { ...made, find: changed(made.find, body, () => ({ keep: false })), saw: "put aside" };
  const what = FIELD_TESTS.find((one) => one.id === test);
  if (what === undefined) return { ...made, saw: NOTHING_THERE };
  return body === undefined ? lookAround(made) : lookAt(made, body, what);
}

const NOTHING_THERE = "nothing of that is there";

/** Another body comes to the find, where one stands near. */
function withBody(made: MadeFind, id: string, age: Age): Performed {
  const chance = chanceOf(made.seed, id, "another");
  if (!happens(chance, OFTEN.another)) return { ...made, saw: "none stands near" };
  const specimen = coherent(drawSpecimen(chance, made.sheet, age, made.day));
  return {
    specimens: new Map([...made.specimens, [id, specimen]]),
    find: { ...made.find, bodies: [...made.find.bodies, bareBody(id, specimen, "standing")] },
    saw: `found, it is ${id}`,
  };
}

function lookAround({ find, specimens, seed, sheet }: MadeFind): Performed {
  const site = drawSite(chanceOf(seed, "site"), sheet);
  const seen = SITE_CHARACTERS.flatMap((character) => {
    const states = site.get(character);
    return states === undefined ? [] : [{ character, states }];
  });
  const told = Object.fromEntries(seen.map(({ character, states }) => [character, [...states]]));
  return { specimens, find: { ...find, site: told as NonNullable<Find["site"]> }, saw: seenWords(seen) };
}

function lookAt({ find: before, specimens, seed }: MadeFind, id: string, test: FieldTest): Performed {
  const specimen = specimens.get(id);
  if (specimen === undefined) return { find: before, specimens, saw: NOTHING_THERE };
  if (test.id === "measure") {
    const { measures } = specimen;
    return { specimens, find: changed(before, id, () => ({ measures })), saw: measureWords(measures) };
  }
  const breaks = test.changes?.lifted !== undefined && happens(chanceOf(seed, id, "lift"), OFTEN.breaks);
  const find =
    test.changes?.lifted === undefined ? before : changed(before, id, () => ({ lifted: breaks ? "broken" : "whole" }));
  const body = find.bodies.find((one) => one.id === id);
  if (body === undefined) return { find, specimens, saw: NOTHING_THERE };
  const ofCharacter = (character: CharacterId) => chanceOf(seed, id, character);
  const entries = lookedAt(ofCharacter, find, body, specimen, test.shows, test.heated === true);
  return {
    specimens,
    find: changed(find, id, ({ seen = [] }) => ({
      seen: [...seen.filter((one) => !entries.some(({ character }) => character === one.character)), ...entries],
    })),
    saw: `${breaks ? "the foot broke off; " : ""}${seenWords(entries)}`,
  };
}

/** What was seen, in words, the states of each character after its name where the name is needed. */
function seenWords(
  entries: readonly { readonly character: CharacterId; readonly states: readonly string[] }[],
): string {
  if (entries.length === 0) return NOTHING_THERE;
  return entries
    .map(({ character, states }) => {
      const words = wordList(
        states.map((state) => stateWords(character, state)),
        "and",
      );
      return `${CHARACTER_WORDS[character].plain}: ${words}`;
    })
    .join("; ");
}

function measureWords({ capCm, stemLengthCm, stemWidthMm, thicknessMm }: Measures): string {
  const told = [
    capCm === undefined ? "" : `cap ${capCm.toFixed(1)} cm`,
    stemLengthCm === undefined ? "" : `stem ${stemLengthCm.toFixed(1)} cm`,
    stemWidthMm === undefined ? "" : `${Math.round(stemWidthMm)} mm thick`,
    thicknessMm === undefined ? "" : `${Math.round(thicknessMm)} mm through`,
  ].filter((one) => one !== "");
  return told.length === 0 ? NOTHING_THERE : told.join(", ");
}

const changed = (find: Find, id: string, change: (body: Body) => Partial<Body>): Find => ({
  ...find,
  bodies: find.bodies.map((body) => (body.id === id ? { ...body, ...change(body) } : body)),
});

/** A made find after some looks, one after another: how a kept exercise comes back. */
export const afterLooks = (made: MadeFind, looks: readonly Pick<TakenLook, "test" | "body">[]): MadeFind =>
  looks.reduce(takeLook, made);

/** A look in words, whether it is offered still or was taken. */
export function lookWords({ test, body }: Pick<TakenLook, "test" | "body">): string {
  const another = MORE_BODIES.find((one) => one.test === test)?.text;
  if (test === PUT_ASIDE.test) return `Put ${body} aside: it is not kept`;
  return another ?? testWords(test, body);
}

const ORDER: readonly string[] = [
  ...FIELD_TESTS.map(({ id }) => id),
  OLDER.test,
  ...MORE_BODIES.map(({ test }) => test),
];

/** Where a look stands in the order of handling, taken or not. */
export const placeOfLook = ({ test }: Pick<TakenLook, "test">): number => {
  const place = ORDER.indexOf(test);
  return place < 0 ? ORDER.length : place;
};
