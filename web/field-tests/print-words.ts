/** What is said of a print under its cup. */
import type { LaidPrint } from "@jittery-cap/core";

const HOUR_MS = 3_600_000;
const clock = (at: Date): string => at.toLocaleTimeString([], { hour: "2-digit", minute: "2-digit" });
const day = (at: Date, now: Date): string =>
  at.toDateString() === now.toDateString()
    ? "today"
    : at.toDateString() === new Date(now.getTime() + 24 * HOUR_MS).toDateString()
      ? "tomorrow"
      : at.toLocaleDateString([], { weekday: "short", day: "numeric", month: "short" });
const moment = (at: Date, now: Date): string => `${day(at, now)} ${clock(at)}`;

/** How long it has lain: "3 h 20 min". */
export function lainWords(print: LaidPrint, now: Date): string {
  const minutes = Math.max(0, Math.floor((now.getTime() - Date.parse(print.laidAt)) / 60_000));
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}

/** What to do with it now, naming the hour. */
export function stageWords(print: LaidPrint, now: Date): string {
  switch (print.stage) {
    case "early":
      return `Leave it lie. First look ${moment(print.first, now)}; as a rule ${moment(print.usual, now)}.`;
    case "may-show":
      return `It may show by now; as a rule ${moment(print.usual, now)}.`;
    case "due":
      return `Due. Read it by ${moment(print.latest, now)}.`;
    case "over-due":
      return `It has lain more than a day: read it now. Mould and damp change it.`;
    case "read":
      return print.result === "none"
        ? "Read: nothing shows."
        : `Read${print.result === undefined ? "" : `, ${print.result}`}.`;
  }
}
