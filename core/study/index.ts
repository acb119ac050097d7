/** The front door of the study: made-up specimens, somebody who follows the advice, finds described by others. Nothing that people use. */

export type { Chance } from "../trainer/chance.ts";
export { DAYS, type Day } from "../trainer/specimen.ts";
export {
  closingLine,
  type Described,
  describedSchema,
  type Group,
  groupOf,
  judgeDescribed,
  type Misreading,
  misreadingsOf,
  type Outcome,
} from "./described.ts";
export { type Ending as StudyEnding, followAdvice } from "./follow.ts";
export { drawRecord, forgetting, passesFor, withoutSheet, withSheet } from "./open-world.ts";
export { coverage, type SimulatedSeason, simulatedSeason, WOODS, type Wood } from "./seasons.ts";
