/** One worker of the study: simulates the finds it is given and posts the tallies. */
import { parentPort } from "node:worker_threads";
import type { Knowledge, Sheet } from "@jittery-cap/core";
import { drawRecord, followAdvice, forgetting, passesFor, withoutSheet, withSheet } from "@jittery-cap/core/study";
import { readKnowledge } from "@jittery-cap/shelf";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { Tally, Task } from "./tally.ts";

const knowledge = readKnowledge();

/** Finds of one kind at one rate of slips; the seed of each is its own, so that the order of work changes nothing. */
function simulate(task: Task): Tally {
  const sheet = knowledge.byId.get(task.sheet);
  if (sheet === undefined) throw new Error(`no sheet ${task.sheet}`);
  const random = xoroshiro128plus(task.seed);
  const chance = { next: () => uniformFloat64(random) };
  switch (task.part) {
    case "advice":
    case "weather":
      return followed(task, sheet, chance);
    case "leave-one-out": {
      const shelf = lesserShelf(sheet.id);
      return judged(task, () => passesFor(drawRecord(sheet, chance), shelf, () => shelf));
    }
    case "forgotten-one":
    case "forgotten-two": {
      const count = task.part === "forgotten-one" ? 1 : 2;
      return judged(task, () => {
        const lesser = forgetting(sheet, count, chance);
        return passesFor(drawRecord(sheet, chance), knowledge, () => withSheet(knowledge, lesser));
      });
    }
  }
}

let lesser: { readonly id: string; readonly shelf: Knowledge } | undefined;

/** The shelf without one sheet; the last one is kept, since the tasks of a kind follow one another. */
function lesserShelf(id: string): Knowledge {
  if (lesser?.id !== id) lesser = { id, shelf: withoutSheet(knowledge, id) };
  return lesser.shelf;
}

/** One full record a draw, judged once. */
function judged(task: Task, pass: () => readonly string[] | undefined): Tally {
  const { part, sheet, slips, day, draws } = task;
  const passedFor: Record<string, number> = {};
  let basket = 0;
  for (let draw = 0; draw < draws; draw += 1) {
    const as = pass()?.join(" or ");
    if (as === undefined) continue;
    basket += 1;
    passedFor[as] = (passedFor[as] ?? 0) + 1;
  }
  return { part, sheet, slips, day, draws, basket, leave: 0, minutes: [], passedFor, reasons: {} };
}

function followed({ part, slips, day, draws }: Task, sheet: Sheet, chance: { next: () => number }): Tally {
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
  return {
    part,
    sheet: sheet.id,
    slips,
    day,
    draws,
    basket: minutes.length,
    leave,
    minutes,
    passedFor,
    reasons,
  };
}

parentPort?.on("message", (task: Task) => parentPort?.postMessage(simulate(task)));
