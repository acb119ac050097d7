/** Judging on the server: each record once a version, one after another, with the event loop free between two. */
import { setImmediate as free } from "node:timers/promises";
import { type Answer, assess, type Find, type Knowledge, type StandingAnswer } from "@jittery-cap/core";
import type { StoredFind } from "./store/finds.ts";

/** What of an answer is remembered: the whole of it is large and is worked out anew where it is asked for. */
export type Remembered = StandingAnswer;

/** Judges records and remembers how they stand. */
export class Judging {
  private readonly knowledge: Knowledge;
  private readonly known = new Map<string, { readonly version: string; readonly answer: Remembered }>();
  /** Whoever comes later waits for whoever came before: side by side they would only hold the loop for longer. */
  private queue: Promise<unknown> = Promise.resolve();

  constructor(knowledge: Knowledge) {
    this.knowledge = knowledge;
  }

  get edition(): string {
    return this.knowledge.edition;
  }

  /** How a stored find stands. An id that was purged and is used anew is told apart by its moment. */
  ofFind({ find, version, updatedAt }: StoredFind): Promise<Remembered> {
    return this.standing(find.id, `${version} ${updatedAt}`, find);
  }

  /**
   * How a record stands.
   * @param key whose record it is: a find's id, or that of what holds a frozen one
   */
  async standing(key: string, version: string, find: Find): Promise<Remembered> {
    const known = this.known.get(key);
    if (known?.version === version) return known.answer;
    const judged = this.queue.then(async () => {
      // somebody before may have asked the same
      const meanwhile = this.known.get(key);
      if (meanwhile?.version === version) return meanwhile.answer;
      await free();
      const { verdict, bodies, restsOn, conditions }: Answer = assess(find, this.knowledge);
      const answer: Remembered = { verdict, bodies, restsOn, ...(conditions === undefined ? {} : { conditions }) };
      this.known.set(key, { version, answer });
      return answer;
    });
    this.queue = judged.catch(() => undefined);
    return judged;
  }
}
