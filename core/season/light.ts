/** Light: sunrise, sunset, and when to turn round so as to be back before dark. */
import { getTimes } from "suncalc";

export interface Light {
  /** Milliseconds; undefined where the sun does not rise or set that day. */
  readonly rises: number | undefined;
  readonly sets: number | undefined;
  /** Whether there is daylight all day long, or none, where it does neither. */
  readonly allDay: "light" | "dark" | undefined;
}

/** Minutes kept between being back and sunset: under trees it is dark before. Common practice, no source. */
export const BACK_BEFORE_MIN = 30;
const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;

/**
 * The light of a day at a position.
 * @param noon a moment about the middle of the day there, as a date @param lat degrees @param lon degrees
 */
export function lightOf(noon: Date, lat: number, lon: number): Light {
  const { sunrise, sunset } = getTimes(noon, lat, lon);
  const [rises, sets] = [momentOf(sunrise), momentOf(sunset)];
  if (rises !== undefined && sets !== undefined) return { rises, sets, allDay: undefined };
  // north in summer as south in winter: the sun stands on the side of the pole that leans to it
  const day = Math.floor(noon.getTime() / DAY_MS);
  const leans = Math.cos(2 * Math.PI * (((day - 172 + 10_957_500) % 365.25) / 365.25));
  return { rises, sets, allDay: leans > 0 === lat > 0 ? "light" : "dark" };
}

function momentOf(date: Date | null | undefined): number | undefined {
  const time = date?.getTime();
  return time === undefined || Number.isNaN(time) ? undefined : time;
}

/** When to turn round, milliseconds: so early that the way back ends before it is dark. */
export const turnRoundAt = (sets: number, minutesBack: number): number =>
  sets - (minutesBack + BACK_BEFORE_MIN) * MINUTE_MS;
