/** What the tests of outings and the season stand on. */
import fc from "fast-check";
import { newOuting, type Outing } from "../outing/outing.ts";
import { newPlace, type OwnPlace } from "../place/place.ts";
import type { DayLook, SkyDay } from "../season/day-look.ts";
import { dayAfter } from "../season/day-of-year.ts";
import type { Visit } from "../season/forecast.ts";

export const AMMERBOG = "0193a000-0000-7000-8000-0000000000b1";
export const PASTURE = "0193a000-0000-7000-8000-0000000000b2";
/** An id of the tests by its number. */
export const idNumber = (number: number): string => `0193a000-0000-7000-8000-${number.toString(16).padStart(12, "0")}`;

/** A square place of so many metres about a position. */
export function squareAt(lat: number, lon: number, metres: number, more: Partial<OwnPlace> = {}): OwnPlace {
  const [high, wide] = [metres / 2 / 111_320, metres / 2 / (111_320 * Math.cos((lat * Math.PI) / 180))];
  const outline: OwnPlace["outline"] = [
    [lon - wide, lat - high],
    [lon + wide, lat - high],
    [lon + wide, lat + high],
    [lon - wide, lat + high],
  ];
  return { ...newPlace("a square"), outline, ...more };
}

/** An outing from one hour of a day to another, universal time, with searches. */
export const outingOn = (day: string, from: number, to: number | undefined, more: Partial<Outing> = {}): Outing => ({
  ...newOuting(hourOf(day, from), [], []),
  ...(to === undefined ? {} : { endedAt: hourOf(day, to) }),
  ...more,
});
export const hourOf = (day: string, hour: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + hour * 3_600_000).toISOString();
export const dayOfMoment = (moment: number): string => new Date(moment).toISOString().slice(0, 10);

/** So many days of one weather. */
export const steadySky = (from: string, days: number, rainMm: number, meanTempC: number): readonly SkyDay[] =>
  Array.from({ length: days }, (_unused, index) => ({
    day: dayAfter(from, index),
    rainMm,
    meanTempC,
    minTempC: meanTempC - 6,
    isForetold: false,
  }));

export const looks = (): fc.Arbitrary<DayLook> =>
  fc.record({
    ofYear: fc.integer({ min: 0, max: 365 }),
    sky: fc.option(
      fc.record({
        rainMm: fc.double({ min: 0, max: 200, noNaN: true }),
        meanTempC: fc.double({ min: -20, max: 30, noNaN: true }),
        frostNights: fc.integer({ min: 0, max: 14 }),
      }),
      { nil: undefined },
    ),
  });

export const visits = (): fc.Arbitrary<Visit[]> =>
  fc.array(
    fc
      .record({
        look: looks(),
        hours: fc.double({ min: 0.1, max: 6, noNaN: true }),
        found: fc.integer({ min: 0, max: 12 }),
        id: fc.uuid(),
      })
      .map(({ look, hours, found, id }) => ({
        id,
        place: AMMERBOG,
        day: "2026-09-14",
        look,
        hours,
        finds: new Map([["kind", found]]),
      })),
    { maxLength: 25 },
  );
