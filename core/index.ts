/** The front door of the core: the record, the knowledge, the judgement, the figure. */

export * from "./answer/answer.ts";
export { inFull } from "./answer/lines.ts";
export { type AnswerSummary, answerSummarySchema, type Summed, summarise, summaryOf } from "./answer/summary.ts";
export {
  apartBecause,
  basketOf,
  type Carried,
  COMPARTMENTS,
  type Compartment,
  countLimits,
  type DecidedFind,
  type LimitState,
  lyingNow,
  ofDay,
  TAKEN_BACK_WORDS,
} from "./decide/basket.ts";
export { type BodyEnding, bodyEndingSchema, TRIMMINGS, type Trimming } from "./decide/body-ending.ts";
export { conditionsMet, isSeenForLearner } from "./decide/conditions-met.ts";
export { type Decision, decide, decisionSchema, endingFaults } from "./decide/decision.ts";
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
export {
  type Comparison,
  compareLooks,
  OPINION_KINDS,
  type OpinionKind,
  type OpinionLook,
  opinionChanges,
  opinionLookSchema,
  packetOf,
  type SaidOfPacket,
  saidOfPacketSchema,
} from "./decide/packet.ts";
export {
  NOTHING_CLEARED,
  type Standing,
  type StandingAnswer,
  standingOf,
  stricterStanding,
} from "./decide/standing.ts";
export {
  conditionText,
  isCapOnly,
  stillToComeOff,
  takenOff,
  trimmingFault,
} from "./decide/trimming.ts";
export { figureOf, figureText } from "./figure/figure.ts";
export type { Figure, Ink, Knowing, Part, Point2, Shape, Step } from "./figure/shapes.ts";
export { ageSwatchOf, DRAWN_CHARACTERS, swatchOf } from "./figure/swatches.ts";
export { type Applied, applyChange, newFind, nextBodyId } from "./find/apply-change.ts";
export * from "./find/canonical.ts";
export { changeWords } from "./find/change-words.ts";
export { type Change, changeSchema, type SetChange, setChange } from "./find/changes.ts";
export * from "./find/entry.ts";
export { isInvented } from "./find/invented.ts";
export { findJsonSchema } from "./find/json-schema.ts";
export { isMoot } from "./find/moot.ts";
export { dangerNeighbours, soughtNeighbours } from "./find/neighbours.ts";
export * from "./find/parse.ts";
export * from "./find/schema.ts";
export * from "./find/taxa.ts";
export { theKind } from "./find/the-kind.ts";
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
export { type CalendarEvent, calendarOf, printCalendar } from "./formats/ics.ts";
export { PLACE_KINDS, type PlaceKind, withPlace } from "./formats/places.ts";
export {
  type Account,
  FELT,
  MESSAGE_LENGTH,
  messageOf,
  readTold,
  standingMeals,
  strike,
  type Told,
  tell,
  togetherTold,
  toldSchema,
} from "./illness/account.ts";
export {
  type DangerThen,
  type EatenFind,
  type HospitalPaper,
  hospitalPaper,
  type LoggedMeal,
} from "./illness/hospital.ts";
export { ONSET_WINDOWS, type OnsetWindow, WINDOW_WORDS, type WindowState, windowsAt } from "./illness/windows.ts";
export type { OddCharacter } from "./judge/candidates.ts";
export { DEFAULT_RULES, type RulesInForce, rulesOf } from "./judge/condition.ts";
export type { MaskUse, Point } from "./judge/contradictions.ts";
export { STATUSES, type Status } from "./judge/distance.ts";
export { type DangerDistance, evidenceOf, type Judgement, judge } from "./judge/judge.ts";
export { MASKS, type Mask } from "./judge/mask-table.ts";
export { AGES_MUST, SEASON_MUST } from "./judge/musts.ts";
export type { Reason, ReasonCode } from "./judge/reason.ts";
export { type BodyVerdict, type Handling, PRINT_HOURS, VERDICTS, type Verdict } from "./judge/verdict.ts";
export { compileSheets } from "./knowledge/compile.ts";
export * from "./knowledge/knowledge.ts";
export { type PackedShelf, packShelf, unpackShelf } from "./knowledge/pack.ts";
export { type NameKind, type NameMatch, type NameSearch, nameSearch } from "./knowledge/search.ts";
export * from "./knowledge/sheet.ts";
export * from "./knowledge/state-tables.ts";
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
export { type Halves, printEntry } from "./measure/two-halves.ts";
export { LENGTH_UNITS, type ShownUnit, TEMPERATURE_UNITS, type Units, unitShown } from "./measure/units.ts";
export { gramsOf, WEIGHT_UNITS, type WeightUnit, weightIn } from "./measure/weight.ts";
export { carefulUnion } from "./merge/careful-union.ts";
export { type Differing, differences } from "./merge/differences.ts";
export { compareSheets, type Difference } from "./next/compare.ts";
export { type Cover, type CoverProblem, cheapestCover, type Demand } from "./next/cover.ts";
export { testWords } from "./next/field-tests.ts";
export { type IfWrong, ifWrong, type Nearer } from "./next/if-wrong.ts";
export { coverProblemOf } from "./next/plan.ts";
export type { CannotSettle, Further, Opens, Plan, PlannedTest } from "./next/planned.ts";
export { experienceMissing, FIRST_YEARS, HOUSE_RULES, type HouseRule, isDefault } from "./settings/house-rules.ts";
export {
  type Limit,
  limitSchema,
  NO_SETTINGS,
  type Settings,
  settingsSchema,
  stricterRules,
  stricterSettings,
} from "./settings/settings.ts";
export { type Disagreement, disagreements } from "./troop/disagreements.ts";
export {
  bodyLike,
  type QuickTouch,
  quickLookCount,
  sameAsModel,
  TOUCHES,
  type TouchState,
  touchesOf,
} from "./troop/quick-look.ts";
export { type Split, splitOff } from "./troop/split.ts";
export { type Gloss, glossesOf, WORD_GLOSSES } from "./words/glosses.ts";
export { CONDITION_CODES, CONDITION_WORDS, type ConditionCode } from "./words/reason-words.ts";
