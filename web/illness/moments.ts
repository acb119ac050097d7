/** Moments as people of the place say and type them. */

/** For a field of date and time: the local time, to the minute. */
export function localInput(at: Date): string {
  const two = (value: number) => String(value).padStart(2, "0");
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** "Sat 19 Sept, 19:10". */
export const momentWords = (iso: string): string =>
  new Date(iso).toLocaleString([], {
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  });
