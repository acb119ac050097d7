/** Place and condition: what refuses a body whatever kind it is. */
import type { Body, Find, Rules } from "../find/schema.ts";
import type { Concern } from "../find/vocabulary.ts";
import { REASON_WORDS } from "../words/reason-words.ts";
import type { ReasonCode } from "./reason.ts";
import type { StopSign } from "./stop-signs.ts";

/** House rules with every default filled in. */
export type RulesInForce = { readonly [Rule in keyof Rules]-?: NonNullable<Rules[Rule]> };

/** The defaults of the trade's stricter schools. */
export const DEFAULT_RULES: RulesInForce = {
  amanitas: "never",
  smallBrown: "never",
  naming: "group",
  upsetters: "leave",
  dirtyGround: "never",
  larvae: "few",
  distance: 2,
  foreignSickeners: "aside",
};

/** The rules of a find, what is left out at its default. */
export function rulesOf(find: Find): RulesInForce {
  const given = find.rules ?? {};
  return {
    amanitas: given.amanitas ?? DEFAULT_RULES.amanitas,
    smallBrown: given.smallBrown ?? DEFAULT_RULES.smallBrown,
    naming: given.naming ?? DEFAULT_RULES.naming,
    upsetters: given.upsetters ?? DEFAULT_RULES.upsetters,
    dirtyGround: given.dirtyGround ?? DEFAULT_RULES.dirtyGround,
    larvae: given.larvae ?? DEFAULT_RULES.larvae,
    distance: given.distance ?? DEFAULT_RULES.distance,
    foreignSickeners: given.foreignSickeners ?? DEFAULT_RULES.foreignSickeners,
  };
}

const CONCERN_WORDS: Readonly<Record<Concern, string>> = {
  roadside: "a road verge",
  city: "city ground",
  graveyard: "a graveyard (arsenic, lead, mercury)",
  "sprayed-lawn": "a sprayed lawn",
  "treated-wood": "treated timber (copper, chromium, arsenic)",
  industrial: "industrial ground",
  "mine-spoil": "mine spoil",
  "flood-silt": "silt left by a flood",
};

/** Ground that a person may judge for themselves; the rest is refused whatever anybody thinks. */
const MAY_BE_JUDGED: ReadonlySet<Concern> = new Set<Concern>(["roadside", "city", "graveyard"]);

/** The concerns of the ground, told outright or by the habitat. */
export function concernsOf(find: Find): readonly Concern[] {
  const told = new Set<Concern>(find.site?.concerns ?? []);
  if (find.site?.habitat?.includes("roadside")) told.add("roadside");
  if (find.site?.habitat?.includes("graveyard")) told.add("graveyard");
  return [...told].sort();
}

/** Why the ground refuses the find, if it does. Fungi gather what is in the ground. */
export function groundRefusals(find: Find, rules: RulesInForce): readonly StopSign[] {
  return concernsOf(find)
    .filter((concern) => rules.dirtyGround === "never" || !MAY_BE_JUDGED.has(concern))
    .map((concern) => ({
      code: "unclean-ground",
      text: REASON_WORDS.uncleanGround(CONCERN_WORDS[concern]),
    }));
}

/** Why the condition of a body refuses it, if it does. @param bearsFrost whether the kinds in question bear frost */
export function conditionRefusals(body: Body, rules: RulesInForce, bearsFrost: boolean): readonly StopSign[] {
  const refusals: StopSign[] = [];
  const refuse = (code: ReasonCode, text: string) => refusals.push({ code, text });
  const wear = body.wear ?? [];
  if (body.firmness === "mushy") refuse("mushy", REASON_WORDS.mushy);
  if (body.firmness === "soft") refuse("soft", REASON_WORDS.soft);
  if (wear.includes("waterlogged")) refuse("sodden", REASON_WORDS.sodden);
  if (wear.includes("frozen") && !bearsFrost) refuse("frosted", REASON_WORDS.frosted);
  const cap = body.larvaeParts?.cap ?? body.larvae;
  const tubes = body.larvaeParts?.tubes ?? "none";
  if (cap === "riddled" || tubes === "riddled") refuse("riddled", REASON_WORDS.riddled);
  else if (
    rules.larvae === "none" &&
    [cap, tubes, body.larvaeParts?.stem].some((part) => part !== undefined && part !== "none")
  )
    refuse("larvae", REASON_WORDS.larvae);
  return refusals;
}
