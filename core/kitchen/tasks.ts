/** The tasks of a meal: what each kind asks, in its order, a pan of its own each, with the least times of its sheet. */
import { theKind } from "../find/the-kind.ts";
import type { KitchenHandling } from "./handling.ts";
import { kindKey } from "./kind-key.ts";
import type { Task } from "./schedule.ts";

/** Grams cleaned in a minute by one person, and the least a kind takes. Common practice, no source. */
const CLEANED_A_MINUTE = 40;
const LEAST_CLEANING_MINUTES = 3;
/** A pan holds so much before it stews instead of frying; a pot so much. Common practice, no source. */
const PAN_GRAMS = 500;
const POT_GRAMS = 1000;
const POUR_MINUTES = 1;
/** No kind is under this, whatever its sheet says. */
export const LEAST_MINUTES = 15;

export type Doing = "clean" | "boil" | "pour-off" | "fry" | "stems";

export interface CookingTask extends Task {
  readonly doing: Doing;
  /** The kinds that it is about, joined: one key a group. */
  readonly kind: string;
  /** What they are called. */
  readonly name: string;
  /** What is done, in a sentence. */
  readonly says: string;
  /** Whether the nose is asked while it runs, so many minutes after its beginning. */
  readonly smellAt?: number;
}

/** The pan is smelled once it is hot through. Common practice, no source. */
const SMELL_AFTER_MINUTES = 4;

export interface KindInPot {
  readonly handling: KitchenHandling;
  /** Of everything of it that comes to the pot. */
  readonly grams: number;
}

/** @param pot the kinds of the meal, each once */
export function tasksOf(pot: readonly KindInPot[]): readonly CookingTask[] {
  return pot.flatMap(({ handling, grams }) => {
    const kind = kindKey(handling.kinds);
    const { name } = handling;
    const theName = theKind(name);
    const at = (doing: Doing, load = 1) => `${doing} ${kind}${load > 1 ? ` ${load}` : ""}`;
    const off = handling.off.length === 0 ? "" : ` ${capital(handling.off.join(" and "))} off.`;
    const tasks: CookingTask[] = [
      {
        id: at("clean"),
        doing: "clean",
        kind,
        name,
        minutes: Math.max(LEAST_CLEANING_MINUTES, Math.ceil(grams / CLEANED_A_MINUTE)),
        needs: { hands: 1 },
        after: [],
        says: `Clean ${theName}: brush, wipe, foot off, slice inward until the tunnels end.${off}`,
      },
    ];
    let before = at("clean");
    if (handling.boilMinutes > 0) {
      const pots = Math.ceil(grams / POT_GRAMS);
      for (let load = 1; load <= pots; load += 1)
        tasks.push({
          id: at("boil", load),
          doing: "boil",
          kind,
          name,
          minutes: handling.boilMinutes,
          needs: { rings: 1, pots: 1 },
          after: [at("clean")],
          says: `Boil ${theName} for ${handling.boilMinutes} minutes at the least.`,
        });
      tasks.push({
        id: at("pour-off"),
        doing: "pour-off",
        kind,
        name,
        minutes: POUR_MINUTES,
        needs: { hands: 1 },
        after: Array.from({ length: pots }, (_none, index) => at("boil", index + 1)),
        says: `Throw the water of ${theName} away.`,
      });
      before = at("pour-off");
    }
    const least = Math.max(LEAST_MINUTES, handling.minutes);
    const dry =
      handling.dryPanMinutes > 0
        ? ` First dry in the pan for about ${handling.dryPanMinutes} minute; the water off, kept for the sauce; then the fat.`
        : "";
    for (let load = 1; load <= Math.ceil(grams / PAN_GRAMS); load += 1)
      tasks.push({
        id: at("fry", load),
        doing: "fry",
        kind,
        name,
        minutes: least + handling.dryPanMinutes,
        needs: { rings: 1, pans: 1 },
        after: [before],
        says: `Fry ${theName} for ${least} minutes at the least, at a lively heat, in a pan of its own.${dry}`,
        ...(handling.panTells ? { smellAt: SMELL_AFTER_MINUTES + handling.dryPanMinutes } : {}),
      });
    if (handling.stemMinutes > 0)
      tasks.push({
        id: at("stems"),
        doing: "stems",
        kind,
        name,
        minutes: Math.max(least, handling.stemMinutes),
        needs: { rings: 1, pans: 1 },
        after: [before],
        says: `The stems of ${theName} by themselves, ${Math.max(least, handling.stemMinutes)} minutes.`,
      });
    return tasks;
  });
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
