/** The trainer as the screens call it. */
import { askShelf } from "../worker/judge.ts";
import type { practiceRoom } from "../worker/practice-room.ts";

type Room = ReturnType<typeof practiceRoom>;

/** Asks the trainer in the judge's thread. Rejects where it cannot be had in time; nothing is then counted. */
export function askPractice<Name extends keyof Room>(
  name: Name,
  ...given: Parameters<Room[Name]>
): Promise<Awaited<ReturnType<Room[Name]>>> {
  // the thread's own type says the same; what comes over the line has lost the name that it was asked by
  return askShelf((remote) => remote.practise(name, given)) as Promise<Awaited<ReturnType<Room[Name]>>>;
}
