/** The front door of the kitchen: what comes to the pot, who eats, the schedule, tastings, the store, recalls. */
export * from "./batch.ts";
export { type DryingFactor, dryingFactor, USUAL_RATIO, type Weighing } from "./drying-factor.ts";
export {
  EATER_REFUSAL_WORDS,
  type Eater,
  type EaterRefusal,
  eaterSchema,
  isNoneAtAll,
  MATTERS,
  type Matter,
  PORTION_GRAMS,
  refusedAltogether,
  refusedOfKind,
} from "./eaters.ts";
export { KITCHEN_FORMAT, kitchenJson, storeCsv, storeEvents, tastingEvents } from "./files.ts";
export { handlingTogether, type KitchenHandling, type KitchenSheet } from "./handling.ts";
export { freshUntil, keepsUntil, notPutUpAs, pickedAt, WAY_FACTS, WAYS, type Way } from "./keeping.ts";
export { kindKey } from "./kind-key.ts";
export * from "./meal.ts";
export { type Cleaned, leftAfterCleaning, type Need, needFor } from "./need.ts";
export { type ForThePot, type Missing, missingForPot, NOT_BY_TICK } from "./pot.ts";
export { type Became, becameOf, type Held, type Recall, recallsOf, recallWords } from "./recall.ts";
export { type Schedule, ScheduleError, type Slot, STOVE_PARTS, type Stove, scheduleOf, type Task } from "./schedule.ts";
export {
  type AtTable,
  type DryStretch,
  dryStretches,
  type Share,
  servingFaults,
  sharedOut,
  sharesOf,
  wildDaysBefore,
} from "./serving.ts";
export { type CookingTask, type KindInPot, tasksOf } from "./tasks.ts";
export * from "./tasting.ts";
