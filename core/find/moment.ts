/** Moments as records keep them. */
import { z } from "zod";

/** Years that a calendar of four figures holds in every zone. */
const YEARS = { first: 1000, last: 9998 } as const;

const isInYears = (text: string): boolean =>
  Number(text.slice(0, 4)) >= YEARS.first && Number(text.slice(0, 4)) <= YEARS.last;
const OUT_OF_YEARS = { error: `expected a year from ${YEARS.first} to ${YEARS.last}` };

/** A date and time with its offset, in years that every store and calendar holds. */
export const momentSchema = z.iso
  .datetime({ offset: true, error: "expected a date and time with its offset" })
  .refine(isInYears, OUT_OF_YEARS);

/** The same, or without an offset, by the clock of the place: as a find's file may have it. */
export const localMomentSchema = z.iso
  .datetime({ offset: true, local: true, error: "expected a date and time such as 2026-09-14T10:20:00+02:00" })
  .refine(isInYears, OUT_OF_YEARS);
