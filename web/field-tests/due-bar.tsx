/** A day as a line: where a print stands between its laying, its first look, the usual one and the last. */
import { type LaidPrint, PRINT_WINDOW_HOURS } from "@jittery-cap/core";

const HOUR_MS = 3_600_000;

export function DueBar({ print, now }: { readonly print: LaidPrint; readonly now: Date }) {
  const { first, usual, latest } = PRINT_WINDOW_HOURS;
  const share = (hours: number) => `${(100 * Math.min(hours, latest)) / latest}%`;
  const lain = Math.max(0, (now.getTime() - Date.parse(print.laidAt)) / HOUR_MS);
  return (
    <div aria-hidden="true" className="due">
      <span className="due-day" />
      <span className="due-lain" style={{ width: share(lain) }} />
      {[first, usual, latest].map((hours) => (
        <span
          key={hours}
          className={hours === usual ? "due-mark due-usual" : "due-mark"}
          style={{ left: `calc(${share(hours)} - 2px)` }}
        />
      ))}
      <span className="due-now" style={{ left: `calc(${share(lain)} - 7px)` }} />
    </div>
  );
}
