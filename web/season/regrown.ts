/** What own returns teach of how fast one grows. */
import type { Regrown, Reminder } from "@jittery-cap/core/season";

const DAY_MS = 86_400_000;

export const regrownOf = (reminders: readonly Reminder[]): readonly Regrown[] =>
  reminders.flatMap(({ left, came }): Regrown[] =>
    left === undefined || came?.sizeCm === undefined
      ? []
      : [{ days: (Date.parse(came.at) - Date.parse(left.at)) / DAY_MS, fromCm: left.sizeCm, toCm: came.sizeCm }],
  );
