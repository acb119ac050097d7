/** What belongs to which outing: by time, and where several went on at once by place. Nobody has to file anything. */
import { metresBetween } from "../place/inside.ts";
import type { Position } from "../place/place.ts";
import { endOf, type Outing, type Search } from "./outing.ts";

/** An outing as it is kept. */
export interface KeptOuting {
  readonly id: string;
  readonly content: Outing;
}

/** Something that happened once, perhaps somewhere. */
export interface Happened {
  readonly at: number;
  readonly position?: Position | undefined;
}

/** A find counts to an outing that began so shortly after it: who bends down first and touches the phone then. */
const BEFORE_MS = 10 * 60_000;
/** Beyond this, m, a place says nothing about which of two outings it was. */
const FAR_M = 50_000;

/** Finds the outing to which something belongs; of many finds the outings are looked through once. */
export function outingFinder(outings: readonly KeptOuting[]): (happened: Happened) => KeptOuting | undefined {
  const spans = outings.map((outing) => ({
    outing,
    from: Date.parse(outing.content.begunAt) - BEFORE_MS,
    to: endOf(outing.content),
  }));
  return ({ at, position }) => {
    const going = spans.filter(({ from, to }) => at >= from && at <= to).map(({ outing }) => outing);
    if (going.length < 2) return going[0];
    return going.reduce((best, next) => (isNearer(next, best, at, position) ? next : best));
  };
}

/** The outing to which something belongs, or undefined. */
export const outingOf = (happened: Happened, outings: readonly KeptOuting[]): KeptOuting | undefined =>
  outingFinder(outings)(happened);

/** Of two outings at once the one that was nearer then, else the one that began later. */
function isNearer(one: KeptOuting, other: KeptOuting, at: number, position: Position | undefined): boolean {
  const [mine, theirs] = [one, other].map(({ content }) => metresThen(content, at, position));
  if (mine !== undefined && theirs !== undefined && mine !== theirs) return mine < theirs;
  if ((mine === undefined) !== (theirs === undefined)) return mine !== undefined && mine < FAR_M;
  return Date.parse(one.content.begunAt) > Date.parse(other.content.begunAt);
}

/** How near an outing's told positions were, by the one nearest in time. */
function metresThen({ nothing }: Outing, at: number, position: Position | undefined): number | undefined {
  if (position === undefined) return undefined;
  const told = nothing.filter((one) => one.position !== undefined);
  if (told.length === 0) return undefined;
  const nearest = told.reduce((best, next) =>
    Math.abs(Date.parse(next.at) - at) < Math.abs(Date.parse(best.at) - at) ? next : best,
  );
  return nearest.position === undefined ? undefined : metresBetween(nearest.position, position);
}

/** The search during which something happened: the last one that had begun. */
export const searchOf = ({ searches }: Pick<Outing, "searches">, at: number): Search | undefined =>
  [...searches]
    .sort((one, other) => Date.parse(one.from) - Date.parse(other.from))
    .findLast(({ from }) => Date.parse(from) <= at) ?? searches[0];
