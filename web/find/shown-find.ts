/** What both layouts of Find are given. */
import type { Body, Change, Find } from "@jittery-cap/core";
import type { Station } from "../specimen/stations.ts";
import type { Stopwatch } from "../specimen/stopwatch.ts";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import type { StationOrder } from "./station-order.ts";

export interface ShownFind {
  readonly find: Find;
  readonly body: Body;
  readonly station: Station;
  readonly order: StationOrder;
  readonly alsoOpen: boolean;
  readonly onAlso: () => void;
  readonly answer: ShownAnswer | undefined;
  /** The question that the keys answer, and on a phone the only one shown. */
  readonly active: string | undefined;
  readonly onActivate: (item: string) => void;
  readonly onChange: (change: Change) => void;
  readonly onBody: (body: string) => void;
  readonly onAddBody: () => void;
  readonly onAddLike: () => void;
  readonly stopwatch: Stopwatch;
}
