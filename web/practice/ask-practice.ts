/** The trainer as the screens call it. */
import type { Said } from "@jittery-cap/core/trainer";
import { ownRules } from "../documents/settings.ts";
import { askShelf } from "../worker/judge.ts";
import type { practiceRoom, WholeState, WholeTold } from "../worker/practice-room.ts";

type Room = ReturnType<typeof practiceRoom>;

/** Asks the trainer in the judge's thread. Rejects where it cannot be had in time; nothing is then counted. */
export function askPractice<Name extends keyof Room>(
  name: Name,
  ...given: Parameters<Room[Name]>
): Promise<Awaited<ReturnType<Room[Name]>>> {
  // the thread's own type says the same; what comes over the line has lost the name that it was asked by
  return askShelf((remote) => remote.practise(name, given)) as Promise<Awaited<ReturnType<Room[Name]>>>;
}

type Looks = Parameters<Room["whole"]>[2];

/** A whole find after some looks, by the person's own house rules. Rejects as askPractice does. */
export async function askWhole(sheet: string, seed: string, looks: Looks, skill?: string): Promise<WholeState> {
  return askPractice("whole", sheet, seed, looks, (await ownRules()) ?? {}, skill);
}

/** What came of it, by the same rules. Rejects as askPractice does. */
export async function askResult(sheet: string, seed: string, looks: Looks, said: Said): Promise<WholeTold> {
  return askPractice("result", sheet, seed, looks, (await ownRules()) ?? {}, said);
}
