/**
 * How many finds of a kind an hour of searching may bring, on a day, at a place: from the person's own visits, the empty ones too.
 *
 * Finds are counted as Poisson at a rate that has a gamma prior; each visit counts by how alike its day was, so its finds and
 * its hours are added with that weight, and the posterior is a gamma again (conjugate update: Gelman and others, Bayesian Data
 * Analysis, section 2.6; with weights it is the power posterior of weighted likelihoods). Finds come in troops and years differ,
 * so no hour counts whole, and all together for no more than some (both set by simulated seasons). The finds of some hours then
 * follow a negative binomial distribution. Nothing of it weighs in the judgement of a find.
 */
import jstat from "jstat";
import { alike, type DayLook } from "./day-look.ts";
import { daysOutside } from "./day-of-year.ts";

/** One visit to a place, with what was found of every kind; a kind that is not named was not found. */
export interface Visit {
  readonly id: string;
  readonly place: string;
  readonly day: string;
  readonly look: DayLook;
  /** Hours of searching. */
  readonly hours: number;
  readonly finds: ReadonlyMap<string, number>;
}

/** What is held before any visit: finds an hour, worth some hours of searching. */
export interface Prior {
  readonly rate: number;
  readonly hours: number;
}

/** A visit on which a figure rests. */
export interface Resting {
  readonly visit: Visit;
  readonly alike: number;
  readonly found: number;
}

export interface Forecast {
  /** The gamma of finds an hour: shape, and rate in hours. */
  readonly shape: number;
  readonly hours: number;
  /** Finds an hour: the mean, and the middle 80 of 100. */
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  /** The visits it rests on, the most alike first. */
  readonly restsOn: readonly Resting[];
  /** Of those, the ones on which none of the kind was found. */
  readonly empty: number;
}

/** The prior is worth so many hours. Common practice has no figure; set by the simulated seasons (docs/season.md). */
export const PRIOR_HOURS = 3;
/** Finds an hour within a kind's months, outside of them, and so many days beside them the one has become the other. */
const PRIOR_RATE = { within: 0.3, outside: 0.01, fadeDays: 28 } as const;
/** Finds spread more than Poisson's by so much (troops): an hour of searching counts for the share. */
const SPREAD = 1.5;
/** However many hours were searched, together they are worth no more than so many: this year may be unlike all of them. */
const MOST_HOURS = 25;
/** Ground or trees that a kind is not told of leave so much of it. */
const STRANGE_GROUND = 0.2;
/** A visit that is less alike is not named among those on which a figure rests; all the same it counts. */
export const NAMED_ALIKE = 0.05;
/** The middle 80 of 100. */
const TAIL = 0.1;

/** What a sheet's months say of a day. @param months none: the whole year @param fits whether ground and trees are the kind's */
export function priorOf(ofYear: number, months: readonly number[], fits: boolean): Prior {
  const outside = months.length === 0 ? 0 : daysOutside(ofYear, months);
  const share = Math.max(0, 1 - outside / PRIOR_RATE.fadeDays);
  const rate = PRIOR_RATE.outside + (PRIOR_RATE.within - PRIOR_RATE.outside) * share;
  return { rate: rate * (fits ? 1 : STRANGE_GROUND), hours: PRIOR_HOURS };
}

/**
 * The forecast of one kind for one day, of the visits to one place.
 * @param visits of the place; others are left out by the caller @complexity one pass, and sorting those named
 */
export function forecast(visits: readonly Visit[], kind: string, day: DayLook, prior: Prior): Forecast {
  return forecastBy(
    visits.map((visit) => ({ visit, alike: alike(day, visit.look) })),
    kind,
    prior,
  );
}

/** The same where it is known already how alike each visit is: many kinds of one day share that. */
export function forecastBy(
  weighed: readonly { readonly visit: Visit; readonly alike: number }[],
  kind: string,
  prior: Prior,
): Forecast {
  let [shape, hours] = [prior.rate * prior.hours, prior.hours];
  const searched = weighed.reduce((sum, { visit, alike: weight }) => sum + weight * visit.hours, 0);
  const share = 1 / (SPREAD + searched / MOST_HOURS);
  const restsOn: Resting[] = [];
  for (const { visit, alike: weight } of weighed) {
    const found = visit.finds.get(kind) ?? 0;
    shape += share * weight * found;
    hours += share * weight * visit.hours;
    if (weight >= NAMED_ALIKE) restsOn.push({ visit, alike: weight, found });
  }
  restsOn.sort((one, other) => other.alike - one.alike || other.visit.day.localeCompare(one.visit.day));
  return {
    shape,
    hours,
    mean: shape / hours,
    low: gammaQuantile(TAIL, shape, hours),
    high: gammaQuantile(1 - TAIL, shape, hours),
    restsOn,
    empty: restsOn.filter(({ found }) => found === 0).length,
  };
}

/** The value below which a share of a gamma lies. @param hours its rate */
export const gammaQuantile = (share: number, shape: number, hours: number): number =>
  jstat.gamma.inv(share, shape, 1 / hours);

/**
 * How many finds so many hours may bring: the least count below or at which a share lies (negative binomial, the Poisson mixed
 * over the gamma).
 */
export function countQuantile(
  share: number,
  { shape, hours }: Pick<Forecast, "shape" | "hours">,
  searched: number,
): number {
  const none = hours / (hours + searched);
  let chance = none ** shape;
  let sum = chance;
  let count = 0;
  while (sum < share && count < MOST_FINDS) {
    chance *= ((count + shape) / (count + 1)) * (1 - none);
    sum += chance;
    count += 1;
  }
  return count;
}
const MOST_FINDS = 10_000;

/** The chance that so many hours bring nothing of the kind. */
export const chanceOfNothing = ({ shape, hours }: Pick<Forecast, "shape" | "hours">, searched: number): number =>
  (hours / (hours + searched)) ** shape;
