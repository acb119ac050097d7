/** The person's own limits, kept on this device; the program does not know the law. */
import type { Limit } from "@jittery-cap/core";
import { z } from "zod";

const KEY = "jittery-cap limits";
const limitsSchema = z.array(
  z.object({
    kind: z.string(),
    grams: z.number().positive().optional(),
    pieces: z.number().int().positive().optional(),
  }),
);

/** The limits that were entered. */
export function readLimits(): readonly Limit[] {
  try {
    const parsed = limitsSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? "[]"));
    return parsed.success ? parsed.data : [];
  } catch {
    return [];
  }
}

/** Keeps the limits. */
export function keepLimits(limits: readonly Limit[]): void {
  localStorage.setItem(KEY, JSON.stringify(limits));
}
