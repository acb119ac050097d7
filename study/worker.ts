/** One worker of the study: simulates the finds it is given and posts the tallies. */
import { parentPort } from "node:worker_threads";
import { followAdvice } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { Tally, Task } from "./tally.ts";

const knowledge = readKnowledge();

/** Finds of one kind at one rate of slips; the seed of each is its own, so that the order of work changes nothing. */
function simulate({ sheet: id, slips, day, draws, seed }: Task): Tally {
  const sheet = knowledge.byId.get(id);
  if (sheet === undefined) throw new Error(`no sheet ${id}`);
  const random = xoroshiro128plus(seed);
  const chance = { next: () => uniformFloat64(random) };
  const minutes: number[] = [];
  const passedFor: Record<string, number> = {};
  const reasons: Record<string, number> = {};
  let leave = 0;
  for (let draw = 0; draw < draws; draw += 1) {
    const ending = followAdvice(sheet, knowledge, slips, day, chance);
    if (ending.verdict === "leave") leave += 1;
    if (ending.verdict === "basket") {
      minutes.push(ending.minutes);
      const as = ending.passedFor.join(" or ");
      passedFor[as] = (passedFor[as] ?? 0) + 1;
    } else for (const code of new Set(ending.reasons)) reasons[code] = (reasons[code] ?? 0) + 1;
  }
  return { sheet: id, slips, day, draws, basket: minutes.length, leave, minutes, passedFor, reasons };
}

parentPort?.on("message", (task: Task) => parentPort?.postMessage(simulate(task)));
