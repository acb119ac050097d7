/** Spore prints under way: when each may be looked at, and what an answer, or none, means. */
import type { Body, Find } from "../find/schema.ts";
import { PRINT_HOURS } from "../judge/verdict.ts";

const HOUR_MS = 3_600_000;
/** Practice: some hours at the least, overnight as a rule, a day at most. */
export const PRINT_WINDOW_HOURS = { first: PRINT_HOURS, usual: 12, latest: 24 } as const;

/** How far a print has come at a moment. */
export type PrintStage = "early" | "may-show" | "due" | "over-due" | "read";

/** One print that was laid. */
export interface LaidPrint {
  readonly find: string;
  readonly label: string | undefined;
  readonly body: string;
  readonly paper: string | undefined;
  readonly cap: string | undefined;
  readonly covered: boolean | undefined;
  readonly laidAt: string;
  readonly result: string | undefined;
  /** First look, the usual one, and the last. */
  readonly first: Date;
  readonly usual: Date;
  readonly latest: Date;
  readonly stage: PrintStage;
}

/** The stage of a print. @param hours since it was laid */
export function printStage(hours: number, isRead: boolean): PrintStage {
  if (isRead) return "read";
  if (hours < PRINT_WINDOW_HOURS.first) return "early";
  if (hours < PRINT_WINDOW_HOURS.usual) return "may-show";
  return hours <= PRINT_WINDOW_HOURS.latest ? "due" : "over-due";
}

/** Every print of a find that was laid, those under their cup first, the longest lain first. @param now the moment */
export function laidPrints(find: Find, now: Date): readonly LaidPrint[] {
  return find.bodies
    .flatMap((body) => laidPrint(find, body, now))
    .sort(
      (one, other) =>
        Number(one.stage === "read") - Number(other.stage === "read") || one.laidAt.localeCompare(other.laidAt),
    );
}

function laidPrint(find: Find, body: Body, now: Date): LaidPrint[] {
  const { print } = body;
  if (print?.laidAt === undefined) return [];
  const laid = Date.parse(print.laidAt);
  const after = (hours: number) => ofMs(now, laid + hours * HOUR_MS);
  return [
    {
      find: find.id,
      label: find.label,
      body: body.id,
      paper: print.paper ?? find.weather?.printPaper,
      cap: print.cap,
      covered: print.covered,
      laidAt: print.laidAt,
      result: print.result,
      first: after(PRINT_WINDOW_HOURS.first),
      usual: after(PRINT_WINDOW_HOURS.usual),
      latest: after(PRINT_WINDOW_HOURS.latest),
      stage: printStage((now.getTime() - laid) / HOUR_MS, print.readAt !== undefined),
    },
  ];
}

/** A date at a moment, made from another: the core has no clock and makes none. */
function ofMs(like: Date, ms: number): Date {
  const date = structuredClone(like);
  date.setTime(ms);
  return date;
}

/** What to do after a print that shows nothing: it is no result, and never a pass. */
export const NO_PRINT_NEXT =
  "No print is no result, never a pass. Lay an older cap with a drop of water; halve a closed one and lay it all the same.";
