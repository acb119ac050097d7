/** Works the season out in a thread of its own: what is likely, the best round, tracks of files. It knows no judgement. */
import "../no-code-from-text.ts";
import type { Fault } from "@jittery-cap/core";
import {
  alike,
  bestRound,
  cleanTrack,
  type DayLook,
  type Forecast,
  forecastBy,
  type Prior,
  type Round,
  type Station,
  type TrackPoint,
  tracksOfGpx,
  type Visit,
} from "@jittery-cap/core/season";
import { expose } from "comlink";

/** What is asked of one place: its visits, and what is held of each kind before them. */
export interface AskedPlace {
  readonly place: string;
  readonly visits: readonly Visit[];
  readonly kinds: readonly { readonly kind: string; readonly prior: Prior }[];
}

/** The forecast of a kind at a place. */
export interface ToldKind extends Forecast {
  readonly place: string;
  readonly kind: string;
}

/** What was read of a file of tracks; faults: nothing was. */
export interface ReadTrack {
  readonly segments: readonly (readonly TrackPoint[])[];
  readonly untimed: number;
  readonly faults: readonly Fault[];
}

const season = {
  /** Every kind at every place on one day. */
  forecasts(day: DayLook, asked: readonly AskedPlace[]): readonly ToldKind[] {
    return asked.flatMap(({ place, visits, kinds }) => {
      const weighed = visits.map((visit) => ({ visit, alike: alike(day, visit.look) }));
      return kinds.map(({ kind, prior }) => ({ place, kind, ...forecastBy(weighed, kind, prior) }));
    });
  },
  /** The round that is worth most within the minutes. */
  round(stations: readonly Station[], ways: readonly (readonly number[])[], within: number): Round {
    return bestRound(stations, ways, within);
  },
  /** The tracks of a GPX file. */
  readTrack(text: string): ReadTrack {
    const read = tracksOfGpx(text);
    return read.ok ? { ...read.value, faults: [] } : { segments: [], untimed: 0, faults: read.faults };
  },
  /** A track put right. */
  cleanTrack,
};
export type SeasonWorker = typeof season;

expose(season);
