/** When somebody drank last, told in days: what is not told counts as drunk. */
import type { Seat } from "@jittery-cap/core/kitchen";
import { ChooseFrom } from "../layout/choose-from.tsx";

const HOUR_MS = 3_600_000;
/** What can be told of the last drink, in hours before the meal. */
const DRANK = [
  ["today", 0],
  ["yesterday", 24],
  ["two days ago", 48],
  ["three days ago", 72],
  ["four or five days ago", 96],
] as const;

export function LastAlcohol({
  seat,
  servedAt,
  onTell,
}: {
  readonly seat: Seat;
  readonly servedAt: number;
  readonly onTell: (seat: Seat) => void;
}) {
  const { lastAlcoholAt: _last, ...rest } = seat;
  const hours =
    typeof seat.lastAlcoholAt === "string" ? (servedAt - Date.parse(seat.lastAlcoholAt)) / HOUR_MS : undefined;
  const value =
    seat.lastAlcoholAt === null
      ? "none"
      : hours === undefined
        ? ""
        : String([...DRANK].reverse().find(([, from]) => hours >= from)?.[1] ?? 0);
  return (
    <ChooseFrom
      label="Last alcohol"
      value={value}
      onChange={(told) =>
        onTell(
          told === ""
            ? rest
            : {
                ...rest,
                lastAlcoholAt: told === "none" ? null : new Date(servedAt - Number(told) * HOUR_MS).toISOString(),
              },
        )
      }
    >
      <option value="">last alcohol: not told</option>
      {DRANK.map(([words, from]) => (
        <option key={from} value={from}>
          {words}
        </option>
      ))}
      <option value="none">none for a week, and none for five days after</option>
    </ChooseFrom>
  );
}
