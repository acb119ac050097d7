/**
 * Two devices have changed one find: one record of both. Whether it is offered is for the judge to say.
 */
import { canonicalFind, canonicalJson } from "../find/canonical.ts";
import type { Entry } from "../find/entry.ts";
import { type Body, type Find, findSchema, type Rules, type Site, type Weather } from "../find/schema.ts";
import { type CharacterId, FIRMNESSES, LARVAE } from "../find/vocabulary.ts";
import { stricterRules } from "../settings/settings.ts";
import { charactersIn } from "./differences.ts";

/** Whether a look that only one of the records has becomes unsure, or stays as it was told. */
export type OneSided = "unsure" | "as-told";

/**
 * One record of both. What both say stays; what they tell differently is kept as unsure with all its states, to be
 * looked at again, and so is, unless asked otherwise, a look that only one of them has. Of what was told, the more
 * careful is taken; where neither is plainly more careful it is left out.
 */
export function putTogether(mine: Find, theirs: Find, oneSided: OneSided): Find {
  const bodies = theirs.bodies.map((body) => {
    const other = mine.bodies.find((one) => one.id === body.id);
    return other === undefined ? loneBody(body, oneSided) : oneBody(other, body, oneSided);
  });
  const added = mine.bodies
    .filter((body) => theirs.bodies.every((one) => one.id !== body.id))
    .map((body) => loneBody(body, oneSided));
  const all = [...bodies, ...added];
  const place = same(mine.place, theirs.place);
  const site = oneSite(mine.site, theirs.site);
  const weather = oneWeather(mine.weather, theirs.weather);
  const rules = oneRules(mine.rules, theirs.rules);
  const observers = [...(theirs.observers ?? [])];
  for (const observer of mine.observers ?? [])
    if (observers.every((one) => one.id !== observer.id)) observers.push(observer);
  const { place: _p, site: _s, weather: _w, rules: _r, observers: _o, bodies: _b, ...rest } = { ...mine, ...theirs };
  const joined = {
    ...rest,
    ...(place === undefined ? {} : { place }),
    ...(site === undefined ? {} : { site }),
    ...(weather === undefined ? {} : { weather }),
    ...(rules === undefined ? {} : { rules }),
    ...(observers.length === 0 ? {} : { observers: observers.map((one) => strictObserver(one, mine, theirs)) }),
    bodies: all.map((body) => strayLink(body, all)),
  };
  return canonicalFind(findSchema.parse(joined));
}

function same<Value>(one: Value, other: Value): Value | undefined {
  return canonicalJson(one ?? null) === canonicalJson(other ?? null) ? one : undefined;
}

function strayLink(body: Body, all: readonly Body[]): Body {
  const { sameAs, ...rest } = body;
  return sameAs === undefined || all.some((one) => one.id === sameAs) ? body : rest;
}

/** A nose counts only for what both records say it knows. */
function strictObserver(observer: NonNullable<Find["observers"]>[number], mine: Find, theirs: Find) {
  const [one, other] = [mine, theirs].map((find) => find.observers?.find(({ id }) => id === observer.id));
  return one !== undefined && other !== undefined && canonicalJson(one) !== canonicalJson(other)
    ? { ...observer, cannotSmell: true }
    : observer;
}

const unsure = (entry: Entry): Entry => (entry.states === undefined ? entry : { ...entry, sure: false });

/** A body that only one record has: it has to be cleared, whatever that one says of keeping it. */
function loneBody(body: Body, oneSided: OneSided): Body {
  const seen = oneSided === "unsure" ? body.seen?.map(unsure) : body.seen;
  return { ...body, keep: true, ...(seen === undefined ? {} : { seen }) };
}

function oneBody(mine: Body, theirs: Body, oneSided: OneSided): Body {
  const told: Record<string, unknown> = { id: theirs.id };
  const [one, other]: readonly Record<string, unknown>[] = [{ ...mine }, { ...theirs }];
  for (const field of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    if (field === "seen" || field === "id") continue;
    const value = carefulField(field, one?.[field], other?.[field]);
    if (value !== undefined) told[field] = value;
  }
  // a body that one of them would keep has to be cleared
  if (mine.keep !== false || theirs.keep !== false) told.keep = true;
  const seen = charactersIn(mine, theirs).flatMap((character) => oneLook(character, mine, theirs, oneSided));
  return findBody({ ...told, ...(seen.length === 0 ? {} : { seen }) });
}

const findBody = (body: Record<string, unknown>): Body => findSchema.shape.bodies.element.parse(body);

/** The more careful of two values told of a body; undefined where it has to be told again. */
function carefulField(field: string, one: unknown, other: unknown): unknown {
  if (canonicalJson(one ?? null) === canonicalJson(other ?? null)) return one;
  switch (field) {
    case "wear":
      return [...new Set([...(Array.isArray(one) ? one : []), ...(Array.isArray(other) ? other : [])])];
    case "firmness":
      return worst(FIRMNESSES, one, other);
    case "larvae":
      return worst(LARVAE, one, other);
    case "larvaeParts":
      return worstParts(one, other);
    case "hoursSincePicked":
      return Math.max(Number(one ?? 0), Number(other ?? 0));
    case "lifted":
      // the worse lift of the two: one that shows no foot
      return [one, other].find((lift) => lift === "mown" || lift === "cut" || lift === "broken") ?? "pulled";
    case "print":
      return openPrint(one, other);
    default:
      return undefined;
  }
}

function worst(scale: readonly string[], one: unknown, other: unknown): string | undefined {
  const place = Math.max(scale.indexOf(String(one)), scale.indexOf(String(other)));
  return scale[place];
}

function worstParts(one: unknown, other: unknown): Record<string, string> {
  const [mine, theirs]: readonly Record<string, unknown>[] = [Object(one ?? {}), Object(other ?? {})];
  return Object.fromEntries(
    [...new Set([...Object.keys(mine ?? {}), ...Object.keys(theirs ?? {})])].flatMap((part) => {
      const value = worst(LARVAE, mine?.[part], theirs?.[part]);
      return value === undefined ? [] : [[part, value]];
    }),
  );
}

/** A print is under its cup as long as one of the two says so. */
function openPrint(one: unknown, other: unknown): unknown {
  const laid = [one, other].map((print): Record<string, unknown> => Object(print ?? {}));
  const open = laid.find((print) => print.laidAt !== undefined && print.readAt === undefined);
  if (open !== undefined) return open;
  const { readAt: _readAt, ...first } = laid.find((print) => print.laidAt !== undefined) ?? {};
  return { ...first, result: "none" };
}

/** The looks at one character: the same in both stays, everything else becomes unsure. */
function oneLook(character: CharacterId, mine: Body, theirs: Body, oneSided: OneSided): Entry[] {
  const of = (body: Body) => (body.seen ?? []).filter((entry) => entry.character === character);
  const [one, other] = [of(mine), of(theirs)];
  if (canonicalJson(one) === canonicalJson(other)) return one;
  if (oneSided === "as-told" && (one.length === 0 || other.length === 0)) return [...one, ...other];
  const states = [...new Set([...one, ...other].flatMap((entry) => entry.states ?? []))];
  const [unseen] = [...one, ...other].flatMap((entry) => (entry.unseen === undefined ? [] : [entry.unseen]));
  if (states.length === 0) return unseen === undefined ? [] : [{ character, unseen }];
  return [{ character, states, sure: false }];
}

function oneSite(mine: Site | undefined, theirs: Site | undefined): Site | undefined {
  const union = <Word extends string>(one: readonly Word[] = [], other: readonly Word[] = []): Word[] => [
    ...new Set([...other, ...one]),
  ];
  const site: Record<string, unknown> = {};
  for (const field of ["habitat", "substrate", "host", "growth", "concerns", "neighbours"] as const) {
    const all = union<string>(mine?.[field], theirs?.[field]);
    if (all.length > 0) site[field] = all;
  }
  return Object.keys(site).length === 0 ? undefined : findSchema.shape.site.unwrap().parse(site);
}

function oneWeather(mine: Weather = {}, theirs: Weather = {}): Weather | undefined {
  const worse = (one: number | undefined, other: number | undefined, pick: (...values: number[]) => number) => {
    const told = [one, other].filter((value) => value !== undefined);
    return told.length === 0 ? undefined : pick(...told);
  };
  // yes where one says yes; no only where both say no
  const either = (one: boolean | undefined, other: boolean | undefined) =>
    one === true || other === true ? true : one === false && other === false ? false : undefined;
  const weather: Record<string, unknown> = {
    frostLastNight: either(mine.frostLastNight, theirs.frostLastNight),
    cannotSmell: either(mine.cannotSmell, theirs.cannotSmell),
    warmedInHand: mine.warmedInHand === theirs.warmedInHand ? mine.warmedInHand : undefined,
    drySpellDays: worse(mine.drySpellDays, theirs.drySpellDays, Math.max),
    rain24hMm: worse(mine.rain24hMm, theirs.rain24hMm, Math.max),
    airTempC: worse(mine.airTempC, theirs.airTempC, Math.min),
    printPaper: mine.printPaper === theirs.printPaper ? mine.printPaper : "white-only",
  };
  const told = Object.fromEntries(Object.entries(weather).filter(([, value]) => value !== undefined));
  if (mine.printPaper === undefined && theirs.printPaper === undefined) delete told.printPaper;
  return Object.keys(told).length === 0 ? undefined : findSchema.shape.weather.unwrap().parse(told);
}

/** Of two rules the stricter, rule by rule. */
function oneRules(mine: Rules = {}, theirs: Rules = {}): Rules | undefined {
  const rules = stricterRules(mine, theirs);
  return Object.keys(rules).length === 0 ? undefined : rules;
}
