/** Days and hours by the clock of the place where this device is. */

const two = (number: number): string => String(number).padStart(2, "0");

/** The day of a moment, as YYYY-MM-DD. */
export function dayOf(moment: number | Date): string {
  const date = new Date(moment);
  return `${String(date.getFullYear()).padStart(4, "0")}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** A moment of a day. Where the clock jumps over the hour, it is the hour after. */
export function momentOf(day: string, hour: number, minute = 0): Date {
  const [year = 1970, month = 1, date = 1] = day.split("-").map(Number);
  return new Date(year, month - 1, date, hour, minute);
}

const dayFormat = new Intl.DateTimeFormat(undefined, { weekday: "short", day: "numeric", month: "short" });
const longFormat = new Intl.DateTimeFormat(undefined, { weekday: "long", day: "numeric", month: "long" });
const timeFormat = new Intl.DateTimeFormat(undefined, { hour: "2-digit", minute: "2-digit" });

/** "Sat 28 Nov" */
export const dayWords = (day: string): string => dayFormat.format(momentOf(day, 12));
/** "Saturday 28 November" */
export const longDayWords = (day: string): string => longFormat.format(momentOf(day, 12));
/** "15:40" */
export const timeWords = (moment: number): string => timeFormat.format(moment);

/** "28 to 30 Nov", with the year where it is another than this one. */
export function spanWords(from: string, to: string, today: string): string {
  const year = from.slice(0, 4) === today.slice(0, 4) ? "" : ` ${from.slice(0, 4)}`;
  return from === to ? `${dayWords(from)}${year}` : `${dayWords(from)} to ${dayWords(to)}${year}`;
}

/** "1 h 12 min" */
export function lastingWords(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  const hours = Math.floor(whole / 60);
  return hours === 0 ? `${whole} min` : `${hours} h ${two(whole % 60)} min`;
}
