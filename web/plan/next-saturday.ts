/** The day that most plans are for. */
import { dayAfter } from "@jittery-cap/core/season";

/** The next Saturday, today among them. */
export function nextSaturday(today: string): string {
  for (let ahead = 0; ahead < 7; ahead++) {
    const day = dayAfter(today, ahead);
    if (new Date(`${day}T12:00:00Z`).getUTCDay() === 6) return day;
  }
  return today;
}
