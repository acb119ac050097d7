/** A stain over time, from several pictures or touches: whether it turned, into what, how loud, and when it began. */
import type { StainSpeed } from "../find/vocabulary.ts";
import { definitionOf } from "../find/vocabulary.ts";
import { chromaOf, deltaE, type Lab } from "./colour.ts";
import { distanceTo, type Readable, regionsOf } from "./reference-colours.ts";

/** The flesh at a moment. */
export interface StainMoment {
  /** Seconds since the cut. */
  readonly seconds: number;
  /** Calibrated colour. */
  readonly lab: Lab;
}

/** What a series of moments says. */
export interface StainReading {
  readonly states: readonly string[];
  readonly sure: boolean;
  readonly speed?: StainSpeed;
  /** Seconds from the cut to the first moment that shows the change; undefined where there is none. */
  readonly onset?: number;
  /** How far the flesh came from its first colour, CIEDE2000. */
  readonly strength: number;
  /** Direction of the change, degrees in the a-b plane; undefined where it hardly has one. */
  readonly hue?: number;
  readonly text: string;
}

/** Less than this is no change that a camera could tell from its own noise, CIEDE2000. */
const SEEN = 6;
/** A change of less chroma than this has no hue of its own. */
const HAS_HUE = 4;
/** Ends of "at once" and "within a minute", s: practice looks at once, after a minute, after five. */
export const SPEED_ENDS = { atOnce: 10, withinAMinute: 60 } as const;
/** A series says that nothing turned only if it was watched so long, s. */
const WATCHED_LONG_ENOUGH = 300;
const MARGIN = 3;

/** The word for an onset. */
export function speedOf(onset: number): StainSpeed {
  return onset <= SPEED_ENDS.atOnce ? "at-once" : onset <= SPEED_ENDS.withinAMinute ? "within-a-minute" : "slow";
}

/**
 * Reads a series. The first moment is the flesh before it turned, if it was taken right after the cut; a series that
 * begins later cannot tell what was there at once, and is never sure.
 * @throws RangeError for fewer than two moments
 */
export function readStain(moments: readonly StainMoment[], character: Readable): StainReading {
  const series = [...moments].sort((one, other) => one.seconds - other.seconds);
  const [first, ...later] = series;
  const last = later.at(-1);
  if (first === undefined || last === undefined) throw new RangeError("a series has two moments at the least");
  const changed = later.find((moment) => deltaE(moment.lab, first.lab) >= SEEN);
  const peak = later.reduce((most, moment) =>
    deltaE(moment.lab, first.lab) > deltaE(most.lab, first.lab) ? moment : most,
  );
  const strength = deltaE(peak.lab, first.lab);
  const began = first.seconds <= SPEED_ENDS.atOnce;
  if (changed === undefined) {
    const watched = last.seconds - first.seconds >= WATCHED_LONG_ENOUGH;
    return {
      states: ["none"],
      sure: false,
      strength,
      text:
        watched && began
          ? "Nothing turned in five minutes."
          : "Nothing turned while it was watched; that is too short to say none.",
    };
  }
  const turned: Lab = [peak.lab[0] - first.lab[0], peak.lab[1] - first.lab[1], peak.lab[2] - first.lab[2]];
  const colours = regionsOf(
    character,
    definitionOf(character).states.filter((state) => state !== "none"),
  )
    .map(([state, region]) => ({ state, far: distanceTo(region, peak.lab) }))
    .sort((one, other) => one.far - other.far);
  const [nearest, next] = colours;
  if (nearest === undefined || next === undefined) throw new Error(`${character} has no reference colours`);
  const isClose = next.far - nearest.far < MARGIN;
  const states = isClose ? [nearest.state, next.state] : [nearest.state];
  return {
    states,
    sure: !isClose && began && nearest.far <= 10,
    speed: speedOf(changed.seconds),
    onset: changed.seconds,
    strength,
    ...(chromaOf(turned) < HAS_HUE ? {} : { hue: ((Math.atan2(turned[2], turned[1]) * 180) / Math.PI + 360) % 360 }),
    text: `It turned ${states.join(" or ").replaceAll("-", " ")}, first seen after ${changed.seconds} s.`,
  };
}
