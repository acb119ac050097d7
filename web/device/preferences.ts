/** How this device is used: what a person has set for it, and what holds nowhere else. */
import { CHARACTERS, LENGTH_UNITS, REGIONS, TEMPERATURE_UNITS, WEIGHT_UNITS } from "@jittery-cap/core";
import { z } from "zod";
import { create } from "zustand";
import { persist } from "zustand/middleware";

const preferencesSchema = z.object({
  /** The unit in which weights are shown and typed. */
  weightUnit: z.enum(WEIGHT_UNITS).catch("g"),
  /** The units in which sizes, rain and the air are shown and typed. */
  units: z
    .object({ length: z.enum(LENGTH_UNITS).catch("cm"), temperature: z.enum(TEMPERATURE_UNITS).catch("°C") })
    .catch({ length: "cm", temperature: "°C" }),
  /** Whether an answer by thumb goes on to the next question that matters. */
  goesOn: z.boolean().catch(true),
  /** Whether marks of the clock sound, and steps of a run are spoken. */
  sounds: z.boolean().catch(true),
  speaks: z.boolean().catch(true),
  /** The part of the world in which a new find stands; null where that is told find by find. */
  region: z.enum(REGIONS).nullable().catch(null),
  /** The part of the world in which the person learned first; null where that is the same, or is not told. */
  learnedIn: z.enum(REGIONS).nullable().catch(null),
  /** Smells that the person has met; none: all of them. Another counts as a guess. */
  smellsKnown: z.array(z.enum(CHARACTERS.smell.states)).catch([]),
  /** Numbers to ring when somebody is ill, in the person's own words. */
  emergency: z.string().max(400).catch(""),
  /** From where the track of an outing comes. */
  trackSource: z.enum(["device", "simulated", "none"]).catch("device"),
  /** From where outings begin: on this device alone. */
  home: z
    .object({ lat: z.number().min(-90).max(90), lon: z.number().min(-180).max(180) })
    .nullable()
    .catch(null),
  /** How one goes from place to place. */
  goesBy: z.enum(["walk", "cycle", "drive"]).catch("walk"),
  /** What is packed for the next outing. */
  packed: z.array(z.string().max(64)).max(100).catch([]),
  /** Whether the first find was led through, or somebody did not want that. */
  wasLed: z.boolean().catch(false),
  /** The find that is led through just now. */
  ledFind: z.string().max(64).nullable().catch(null),
  /** Whether that is an invented specimen instead of one of the person's own. */
  ledOnSpecimen: z.boolean().catch(false),
});
export type Preferences = z.infer<typeof preferencesSchema>;

interface PreferencesState extends Preferences {
  readonly prefer: (preferences: Partial<Preferences>) => void;
}

export const usePreferences = create<PreferencesState>()(
  persist((set) => ({ ...preferencesSchema.parse({}), prefer: (preferences) => set(preferences) }), {
    name: "preferences",
    version: 1,
    partialize: ({ prefer: _prefer, ...preferences }) => preferences,
    // what another program wrote there is not believed
    merge: (kept, now) => ({ ...now, ...preferencesSchema.catch(now).parse(kept ?? {}) }),
  }),
);
