/** The front door of the core: the record, the knowledge, the judgement, the figure. */

export * from "./assess.ts";
export {
  apartBecause,
  basketOf,
  type Carried,
  COMPARTMENTS,
  type Compartment,
  countLimits,
  type DecidedFind,
  type LimitState,
  ofDay,
  TAKEN_BACK_WORDS,
} from "./decide/basket.ts";
export { conditionsMet } from "./decide/conditions-met.ts";
export { type BodyEnding, bodyEndingSchema, type Decision, decide } from "./decide/decision.ts";
export {
  ENDING_WORDS,
  type EndingAnswer,
  endingInForce,
  endingsFor,
  isAmongFood,
  isStricter,
  permitsEnding,
  withEndingsInForce,
} from "./decide/endings.ts";
export { experienceMissing, FIRST_YEARS, HOUSE_RULES, type HouseRule, isDefault } from "./decide/house-rules.ts";
export {
  bookSchema,
  type Comparison,
  compareLooks,
  type Opinion,
  opinionSchema,
  packetOf,
  WITNESS_KINDS,
  type WitnessKind,
  type WitnessLook,
  witnessChanges,
  witnessLookSchema,
} from "./decide/packet.ts";
export {
  type Limit,
  limitSchema,
  NOTHING_SETTLED,
  type Settled,
  settledSchema,
  stricterOf,
  stricterRules,
} from "./decide/settled.ts";
export { type Standing, type StandingAnswer, standingOf } from "./decide/standing.ts";
export {
  conditionText,
  isCapOnly,
  stillToComeOff,
  TRIMMINGS,
  type Trimming,
  takenOff,
  trimmingFault,
} from "./decide/trimming.ts";
export { figureOf, figureText } from "./figure/figure.ts";
export type { Figure, Ink, Knowing, Part, Point2, Shape, Step } from "./figure/shapes.ts";
export { ageSwatchOf, DRAWN_CHARACTERS, swatchOf } from "./figure/swatches.ts";
export * from "./find/canonical.ts";
export { changeWords } from "./find/change-words.ts";
export * from "./find/edits.ts";
export * from "./find/entry.ts";
export { findJsonSchema } from "./find/json-schema.ts";
export { dangerNeighbours, soughtNeighbours } from "./find/neighbours.ts";
export * from "./find/parse.ts";
export { type Differing, differences } from "./find/put-together.ts";
export * from "./find/schema.ts";
export * from "./find/taxa.ts";
export * from "./find/vocabulary.ts";
export * from "./find/weather-from-hours.ts";
export * from "./find/words.ts";
export {
  type Converted,
  convertTo,
  readFrom,
  SOURCES,
  type Source,
  sourceOf,
  TARGETS,
  type Target,
} from "./formats/convert.ts";
export { printCalendar } from "./formats/ics.ts";
export { PLACE_KINDS, type PlaceKind, withPlace } from "./formats/places.ts";
export { AGES_MUST, type OddCharacter, SEASON_MUST } from "./judge/candidates.ts";
export { carefulUnion } from "./judge/careful-union.ts";
export { DEFAULT_RULES, type RulesInForce, rulesOf } from "./judge/condition.ts";
export type { MaskUse, Point } from "./judge/contradictions.ts";
export { STATUSES, type Status } from "./judge/distance.ts";
export { type DangerDistance, evidenceOf, type Judgement, judge } from "./judge/judge.ts";
export { MASKS, type Mask } from "./judge/masks.ts";
export {
  type BodyVerdict,
  CONDITION_WORDS,
  type ConditionCode,
  type Handling,
  PRINT_HOURS,
  type Reason,
  VERDICTS,
  type Verdict,
} from "./judge/verdict.ts";
export * from "./knowledge/knowledge.ts";
export { type NameKind, type NameMatch, type NameSearch, nameSearch } from "./knowledge/search.ts";
export * from "./knowledge/sheet.ts";
export { EVERYTHING_ALLOWED, type LintFinding, lintKnowledge, separabilities } from "./lint/lint.ts";
export type { Separability } from "./lint/separability.ts";
export { KEPT, type Kept, typicalFind } from "./lint/typical.ts";
export { channelOf, type Lab, linearOfLab } from "./measure/colour.ts";
export { findCard } from "./measure/find-card.ts";
export { type LaidPrint, laidPrints, NO_PRINT_NEXT, PRINT_WINDOW_HOURS, type PrintStage } from "./measure/prints.ts";
export { isInside, type Raster, type Spot } from "./measure/raster.ts";
export { MarkError, type Marks, type Reading, type Refusal, readColour } from "./measure/read-colour.ts";
export { READABLE, type Readable } from "./measure/reference-colours.ts";
export { type BatchLine, batchLines, chanceOfNone, looksNeeded, looksNeededOfMany } from "./measure/sampling.ts";
export { cmOf, inchesOf, type Length, lengthBy, type Span } from "./measure/size.ts";
export { readSpores, type SporeStatistics, sporeStatistics } from "./measure/spores.ts";
export { RUN_STEPS, type RunStepId, type RunStepView, type StainRun, stainRun } from "./measure/stain-run.ts";
export { readStain, SPEED_ENDS, type StainMoment, type StainReading, speedOf } from "./measure/stain-series.ts";
export {
  DEPOSITS,
  depositLab,
  drawLyingPrint,
  drawSetting,
  type Setting,
  type SyntheticPicture,
  showingSide,
  syntheticPicture,
} from "./measure/synthetic-picture.ts";
export { type Halves, printEntry } from "./measure/two-halves.ts";
export { compareSheets, type Difference } from "./next/compare.ts";
export { type Cover, type CoverProblem, cheapestCover, type Demand } from "./next/cover.ts";
export { testWords } from "./next/field-tests.ts";
export { type IfWrong, ifWrong, type Nearer } from "./next/if-wrong.ts";
export {
  type CannotSettle,
  coverProblemOf,
  type Further,
  type Opens,
  type Plan,
  type PlannedTest,
} from "./next/plan.ts";
export {
  closingLine,
  type Described,
  describedSchema,
  type Group,
  groupOf,
  judgeDescribed,
  type Outcome,
} from "./study/described.ts";
export { type Ending as StudyEnding, followAdvice } from "./study/follow.ts";
export { drawRecord, forgetting, passesFor, withoutSheet, withSheet } from "./study/open-world.ts";
export { type Chance, DAYS, type Day } from "./study/specimen.ts";
export { type Disagreement, disagreements } from "./troop/disagreements.ts";
export {
  bodyLike,
  quickLookCount,
  sameAsModel,
  TOUCHES,
  type Touch,
  type TouchState,
  touchesOf,
} from "./troop/quick-look.ts";
export { type Split, splitOff } from "./troop/split.ts";
