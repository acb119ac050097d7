/**
 * The run of stain and nose as practice does it: scratch the cap, nick the foot, watch at once, a minute, five; only when
 * that passes comes the nose, warmed; then heat. A failed test ends it, and says leave.
 */
import type { Body, Find } from "../find/schema.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import { bodySceneOf } from "../judge/scene.ts";

export const RUN_STEPS = ["scratch-cap", "nick-foot", "nose", "heat"] as const;
export type RunStepId = (typeof RUN_STEPS)[number];

/** How a step stands. */
export type RunStepState =
  | "open"
  /** Seen, and nothing speaks against going on. */
  | "passed"
  /** The run ends here. */
  | "failed"
  /** Seen, but something hides it: it proves nothing. */
  | "silent"
  /** Not to be done: an earlier one failed, or nobody here can. */
  | "skipped";

/** One step of the run, with what stands behind its state. */
export interface RunStepView {
  readonly step: RunStepId;
  readonly character: CharacterId;
  readonly title: string;
  readonly how: string;
  /** Moments to look at, seconds. */
  readonly watch: readonly number[];
  readonly state: RunStepState;
  readonly why: string | undefined;
}

/** The run on one body. */
export interface StainRun {
  readonly steps: readonly RunStepView[];
  readonly current: RunStepId | undefined;
  /** Why the run ended before its end. */
  readonly ended: string | undefined;
}

const WATCH = [10, 60, 300] as const;
const CHROME: ReadonlySet<string> = new Set(["chrome-yellow"]);
/** Ink, phenol, hospital floor: leave it; and what nobody can name and nobody likes. */
const BAD_SMELLS: ReadonlySet<string> = new Set(["chemical", "unpleasant-unnamed", "urine", "rancid"]);

const STEPS: Readonly<
  Record<RunStepId, { character: CharacterId; title: string; how: string; watch: readonly number[] }>
> = {
  "scratch-cap": {
    character: "stain-rub",
    title: "Scratch the cap",
    how: "With a nail, where it stands. A cap scratched alone is half a test.",
    watch: WATCH,
  },
  "nick-foot": {
    character: "stain-base",
    title: "Nick the very foot",
    how: "The foot shows chrome first. Watch at once, a minute, five.",
    watch: WATCH,
  },
  nose: {
    character: "smell",
    title: "Crush a piece of the foot and smell",
    how: "Warm it in the hand for two minutes when it is cold. A smell that nobody likes is enough to leave it.",
    watch: [],
  },
  heat: {
    character: "smell",
    title: "Bring it out on heat",
    how: "A piece on white paper over boiling water, or in a microwave oven: look and smell again.",
    watch: [],
  },
};

/** Works out how the run stands on a body, from the record alone. */
export function stainRun(find: Find, body: Body): StainRun {
  const { looks, conditions } = bodySceneOf(find, body);
  const frozen = conditions.frost || conditions.drought || conditions.wear.has("frozen");
  const cannotSmell = find.weather?.cannotSmell === true;
  let ended: string | undefined;
  const steps = RUN_STEPS.map((step): RunStepView => {
    const { character, title, how, watch } = STEPS[step];
    const view = (state: RunStepState, why?: string): RunStepView => ({
      step,
      character,
      title,
      how,
      watch,
      state,
      why,
    });
    if (ended !== undefined) return view("skipped", "an earlier test failed; there is no second");
    const look = looks.get(character);
    const isHeat = step === "heat";
    const isSmell = character === "smell";
    // smell is one character: a heated look answers the heat test, any other the nose
    const mine = isSmell && look !== undefined && look.heated !== isHeat ? undefined : look;
    const badStain = mine?.states.some((state) => CHROME.has(state)) === true && mine.speed !== "slow";
    const badSmell = isSmell && mine?.states.some((state) => BAD_SMELLS.has(state)) === true;
    if (badStain || badSmell) {
      ended = badStain ? "Chrome yellow: leave it." : "A smell to leave it by.";
      return view("failed", ended);
    }
    if (isSmell && cannotSmell)
      return view("skipped", "nobody here can smell it: the run is not complete without a nose");
    if (isHeat && !frozen && !conditions.cold)
      return mine === undefined ? view("skipped", "not needed today") : view("passed");
    if (mine === undefined) return view("open", isHeat ? undefined : silence(frozen, conditions.cold, isSmell));
    if (!isHeat && frozen) return view("silent", "frost or drought silences it: it proves nothing without heat");
    if (!isHeat && conditions.cold && isSmell) return view("silent", "cold silences it: warm the piece in the hand");
    return view(mine.sure ? "passed" : "silent", mine.sure ? undefined : "unsure: look again");
  });
  return { steps, current: steps.find((step) => step.state === "open")?.step, ended };
}

function silence(frozen: boolean, cold: boolean, isSmell: boolean): string | undefined {
  if (frozen) return "frost or drought: no yellow and no smell mean nothing today; heat decides";
  return cold && isSmell ? "cold: warm the piece in the hand first" : undefined;
}
