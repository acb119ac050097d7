/** The days of the weather station as this device last heard them; an old telling is shown as old. */
import { ROUTES } from "@jittery-cap/core/api";
import { dayAfter, type SkyDay, skyDaySchema } from "@jittery-cap/core/season";
import { z } from "zod";
import { ask } from "../api/client.ts";
import { device } from "../documents/device.ts";
import { dayOf } from "./local-day.ts";

const MARK = "sky";
/** As far back as any picture of today asks for, and as far ahead as stations foretell. */
const SPAN = { back: 40, ahead: 9 } as const;
/** What was heard longer ago is asked for again, ms. */
const FRESH_MS = 30 * 60_000;

const toldSchema = z.object({
  at: z.number(),
  station: z.string(),
  simulated: z.boolean(),
  days: z.array(skyDaySchema),
});
/** What a station told, and when. */
export type ToldSky = z.infer<typeof toldSchema>;

async function keptSky(): Promise<ToldSky | undefined> {
  const read = toldSchema.safeParse((await device.marks.get(MARK))?.value);
  return read.success ? read.data : undefined;
}

/**
 * The days around today. Asks the station, and where that does not answer tells what is kept with the moment at which it was
 * told.
 */
export async function skyAround(now: Date): Promise<ToldSky | undefined> {
  const kept = await keptSky();
  if (kept !== undefined && Math.abs(now.getTime() - kept.at) < FRESH_MS) return kept;
  const today = dayOf(now);
  const query = { from: dayAfter(today, -SPAN.back), to: dayAfter(today, SPAN.ahead) };
  const outcome = await ask(ROUTES.readSky, { query });
  if (outcome.kind !== "ok") return kept;
  const told = { ...outcome.value, at: now.getTime() };
  await device.marks.put({ name: MARK, value: told });
  return told;
}

/** Days of the past; undefined where the station cannot be asked. */
export async function skyBetween(from: string, to: string): Promise<readonly SkyDay[] | undefined> {
  const outcome = await ask(ROUTES.readSky, { query: { from, to } });
  return outcome.kind === "ok" ? outcome.value.days : undefined;
}

/** Whether what was told is too old to speak of today. */
export const isOldSky = (sky: ToldSky, now: Date): boolean => Math.abs(now.getTime() - sky.at) > 6 * 3_600_000;
