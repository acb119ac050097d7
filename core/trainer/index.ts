/** The front door of the trainer: made specimens, exercises, what comes next, how well, rounds that are taught. */
export {
  MOST_ITEMS,
  PRACTICE_SET_FORMAT,
  type PracticeSet,
  practiceSetSchema,
  type RoundAnswer,
  roundAnswerSchema,
  type SetItem,
  type Shown,
  setItemSchema,
  shownSchema,
  type Tally,
  tallyOf,
} from "../practice/round.ts";
export {
  EXERCISE_WORDS,
  EXERCISES,
  type Exercise,
  MOST_TRIES,
  type Sitting,
  sittingSchema,
  type Try,
  trySchema,
} from "../practice/sitting.ts";
export { type Chance, chanceOf, pick, pickSome } from "./chance.ts";
export { chooseNext, ENOUGH_MINUTES, minutesOf, type Today, todayOf, type Weighed, weighed } from "./choose.ts";
export { courseOf } from "./course.ts";
export {
  type Calibration,
  calibrationOf,
  type DangerFares,
  dangersFare,
  FEWEST_TOLD,
  type Share,
  type SureBin,
  shareOf,
} from "./how-well.ts";
export {
  afterLooks,
  isSameLook,
  lookWords,
  type MadeFind,
  makeFind,
  type OfferedLook,
  offeredLooks,
  placeOfLook,
  type SeenLook,
  type TakenLook,
  takeLook,
} from "./made-find.ts";
export { dueAt, memoryOf, type Remembered, stillKnown, type Tried } from "./memory.ts";
export { conditionsTold, dayTold, makeNothingToday, type NothingToday, type ToWeigh } from "./nothing-today.ts";
export { drawnLook, makeOneLook, type OneLook } from "./one-look.ts";
export { type OwnLog, weakInLog } from "./own-log.ts";
export { allSkills, type Learner, pairId, type Skill, type SkillKind, skillOf, weightOf } from "./skills.ts";
export { type TestItem, type TestOutcome, TWENTY, testOfTwenty, testOutcome } from "./test-of-twenty.ts";
export { type DecidingLook, makeTheseTwo, type TheseTwo } from "./these-two.ts";
export { toldDrawing } from "./told-drawings.ts";
export { makeUnderTheLamp, type UnderTheLamp } from "./under-the-lamp.ts";
export {
  isRightVerdict,
  type LookTold,
  type Said,
  shortestWay,
  type Way,
  type WholeResult,
  wholeResult,
} from "./whole-result.ts";
