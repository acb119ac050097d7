/** What is cut off a body before it is carried, and what of a kind's handling is still to be done after it. */
import type { Body } from "../find/schema.ts";
import { wordList } from "../find/words.ts";
import type { ConditionCode } from "../words/reason-words.ts";
import { type BodyEnding, TRIMMINGS, type Trimming } from "./body-ending.ts";
import { isAmongFood } from "./endings.ts";

/** Parts that a kind's handling wants off, by the condition that says so. */
const WANTED_OFF: Readonly<Partial<Record<ConditionCode, Trimming>>> = { "skin-off": "skin", "tubes-off": "tubes" };

/** Whether the stem of a body cannot be kept: it is riddled, and the cap is cut from it (common practice, no source). */
export const isCapOnly = (body: Pick<Body, "larvaeParts">): boolean => body.larvaeParts?.stem === "riddled";

/** What an ending takes off, told or by its own meaning. */
export function takenOff({ ending, off = [] }: BodyEnding): readonly Trimming[] {
  return ending === "basket-cap-only" ? TRIMMINGS.filter((one) => one === "stem" || off.includes(one)) : off;
}

/** What has to come off a body that is kept as food and is on it still: by its condition, and by the kind's handling. */
export function stillToComeOff(
  body: Pick<Body, "larvaeParts"> | undefined,
  told: BodyEnding,
  conditions: readonly string[] = [],
): readonly Trimming[] {
  if (!isAmongFood(told.ending)) return [];
  const wanted = Object.entries(WANTED_OFF).flatMap(([code, part]) => (conditions.includes(code) ? [part] : []));
  const off = takenOff(told);
  return [...(body !== undefined && isCapOnly(body) ? (["stem"] as const) : []), ...wanted].filter(
    (part) => !off.includes(part),
  );
}

/**
 * Why an ending cannot stand as it is told of a body, or undefined where it can: trimming that is not said, said of what
 * is not kept, or a riddled stem that is kept.
 */
export function trimmingFault(body: Pick<Body, "larvaeParts">, told: BodyEnding): string | undefined {
  if (!isAmongFood(told.ending))
    return told.off === undefined ? undefined : "is told only of what is kept: this one is not kept as food";
  if (told.ending === "basket-after-trimming" && told.off === undefined) return "is missing: say what was taken off";
  if (isCapOnly(body) && !takenOff(told).includes("stem"))
    return "does not hold the stem, which is riddled: the cap only";
  return undefined;
}

const LARVAE_WORDS = { none: "no tunnels", few: "a few tunnels", riddled: "riddled" } as const;

/** The condition of a body in a few words: "mature, firm, a few tunnels, handled"; what nobody told is said. */
export function conditionText(body: Body): string {
  const parts = Object.entries(body.larvaeParts ?? {}).flatMap(([part, larvae]) =>
    larvae === undefined ? [] : [`${LARVAE_WORDS[larvae]} in the ${part}`],
  );
  const larvae =
    parts.length > 0 ? wordList(parts, "and") : body.larvae === undefined ? undefined : LARVAE_WORDS[body.larvae];
  const wear = (body.wear ?? []).map((one) => one.replaceAll("-", " "));
  return [
    body.age === undefined ? "age not told" : body.age,
    body.firmness ?? "firmness not told",
    larvae ?? "tunnels not looked for",
    ...wear,
  ].join(", ");
}
