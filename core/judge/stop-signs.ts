/**
 * Signs each of which alone is enough to leave a body where it is.
 *
 * Little is needed to refuse: an unsure look stops as well as a sure one, and no mask excuses it.
 */
import { type CharacterId, isCharacterId } from "../find/vocabulary.ts";
import { STOP_SIGN_WORDS } from "../words/reason-words.ts";
import type { Look } from "./looks.ts";
import type { ReasonCode } from "./reason.ts";
import type { BodyScene, Scene } from "./scene.ts";
import { type Ask, STOP_RULES } from "./stop-rules.ts";

export { PALE_FUNNEL_BELOW_CM, SMALL_BROWN_BELOW_CM } from "./stop-rules.ts";

/** A named reason to leave a body. */
export interface StopSign {
  readonly code: ReasonCode;
  readonly text: string;
  /** It says something of this body alone, and nothing of its neighbours. */
  readonly ofThisBody?: boolean;
}

/** What a stop sign may ask about one body: what was seen on it, on the site, and whether a sought sheet excuses it. */
export interface StopQuestion {
  readonly scene: Scene;
  readonly body: BodyScene;
  /** Whether an allowed sought sheet that nothing contradicts lists all of these states at the body's age. */
  readonly aimedAt: (states: readonly (readonly [CharacterId, string])[]) => boolean;
  readonly smallBrownAllowed: boolean;
}

/** The stop signs that hold for one body. */
export function stopSignsOf(question: StopQuestion): readonly StopSign[] {
  return STOP_RULES.filter((rule) => holds(rule.when, question)).map(({ code, ofThisBody }) => ({
    code,
    text: STOP_SIGN_WORDS[code],
    // an egg tells nothing of its grown neighbours
    ...(ofThisBody === true || question.body.body.age === "egg" ? { ofThisBody: true } : {}),
  }));
}

/** Whether what a rule asks for is there. */
function holds(ask: Ask, question: StopQuestion): boolean {
  const { body, scene } = question;
  if ("all" in ask) return ask.all.every((one) => holds(one, question));
  if ("any" in ask) return ask.any.some((one) => holds(one, question));
  if ("not" in ask) return !holds(ask.not, question);
  if ("sees" in ask) return statesSeen(ask.sees, ask.anyOf, question).length > 0;
  if ("surely" in ask) {
    const look = body.looks.get(ask.surely);
    return look?.sure === true && look.states.every((state) => ask.only.includes(state));
  }
  if ("notLookedAt" in ask) return !body.looks.has(ask.notLookedAt);
  if ("aged" in ask) return body.body.age !== undefined && ask.aged.includes(body.body.age);
  if ("capBelowCm" in ask) {
    const { capCm } = body.body.measures ?? {};
    return capCm === undefined ? ask.unmeasured === "small" : capCm < ask.capBelowCm;
  }
  if ("slowStain" in ask)
    return (body.looks.get("stain-base")?.speed ?? body.looks.get("stain-speed")?.states.join()) === "slow";
  if ("notAimedAt" in ask)
    return !question.aimedAt(
      charactersOf(ask.notAimedAt).flatMap(([character, states]) =>
        statesSeen(character, states, question).map((state) => [character, state] as const),
      ),
    );
  return (
    question.smallBrownAllowed &&
    scene.kept.every((kept) =>
      charactersOf(ask.smallBrownLetThrough).every(([character, state]) =>
        surelyShows(kept.looks.get(character), state),
      ),
    )
  );
}

/** Which of these states were seen, on the body or on the site. */
function statesSeen(character: CharacterId, states: readonly string[], { body, scene }: StopQuestion): string[] {
  const look = body.looks.get(character) ?? scene.site.get(character);
  return states.filter((state) => look?.states.includes(state));
}

function charactersOf<Value>(asked: Readonly<Partial<Record<CharacterId, Value>>>): (readonly [CharacterId, Value])[] {
  return Object.entries(asked).flatMap(([character, value]) =>
    isCharacterId(character) && value !== undefined ? [[character, value] as const] : [],
  );
}

/** Whether a state was surely seen; what was told beside it at once is seen too, and speaks for itself. */
function surelyShows(look: Look | undefined, state: string): boolean {
  return look?.sure === true && look.states.includes(state);
}
