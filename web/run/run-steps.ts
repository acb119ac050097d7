/** The steps of a hands-free run: what to do, what to say, and what it answers. */
import type { Answer, Body, CharacterId, Find } from "@jittery-cap/core";
import { characterOfTest, stationOfCharacter } from "../specimen/stations.ts";

/** One step of the run. */
export interface RunStep {
  readonly test: string;
  readonly text: string;
  readonly body: string | undefined;
  /** What is answered after it, at the latest at the end. */
  readonly characters: readonly CharacterId[];
  /** Whether the clock runs during it, with its marks. */
  readonly timed: boolean;
  /** Whether it lifts the body: how it came up is answered with it. */
  readonly lifts: boolean;
}

/** Tests during which something turns colour: the clock runs and sounds. */
const TIMED: ReadonlySet<string> = new Set(["nick-foot", "scratch-cap", "press-pores", "halve-lengthways"]);

/** What is answered after a test, besides what it looks at first. */
const ANSWERS: Readonly<Record<string, readonly CharacterId[]>> = {
  "nick-foot": ["stain-base"],
  "scratch-cap": ["stain-rub"],
  "press-pores": ["stain-pores"],
  "halve-lengthways": ["flesh-colour", "stain-cut", "stem-inside"],
  "look-under": ["underside", "gill-colour", "ring"],
  "look-at-gill-build": ["gill-attachment", "gill-spacing"],
  "look-at-ring": ["ring"],
  "look-at-stem": ["stem-surface", "stem-colour"],
  "look-at-cap": ["cap-colour", "cap-surface", "veil-on-cap"],
  "lift-base-whole": ["base"],
  "look-at-foot": ["base"],
};

/** Tests that hands can do in one go: those that wait for hours, or ask for another body, are not among them. */
export function runnableTests(answer: Pick<Answer, "next"> | undefined): Answer["next"]["tests"] {
  return (answer?.next.tests ?? []).filter((test) => test.waitHours === 0 && characterOfTest(test) !== undefined);
}

/** The steps for chosen tests on a body, in the order given. */
export function runSteps(tests: Answer["next"]["tests"], fallbackBody: Body["id"]): readonly RunStep[] {
  return tests.map((test): RunStep => {
    const first = characterOfTest(test);
    return {
      test: test.test,
      text: test.text,
      body: test.body ?? fallbackBody,
      // what the test opens is asked first: it is what the plan wants to know
      characters: [...new Set([...(first === undefined ? [] : [first]), ...(ANSWERS[test.test] ?? [])])],
      timed: TIMED.has(test.test),
      lifts: test.test === "lift-base-whole",
    };
  });
}

/** The characters of a run that are still to be answered, each with its step, in the order of the run. */
export function openAnswers(
  find: Find,
  steps: readonly RunStep[],
): readonly { step: RunStep; character: CharacterId }[] {
  return steps.flatMap((step) =>
    step.characters.flatMap((character) => {
      const body = find.bodies.find((one) => one.id === step.body);
      const isSite = stationOfCharacter(character)?.id === "ground";
      const answered = body?.seen?.some((entry) => entry.character === character) ?? false;
      return answered || isSite ? [] : [{ step, character }];
    }),
  );
}
