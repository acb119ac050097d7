/** A find made ready for judging: looks and conditions of the site and of every body, in an order of their own. */
import { dangerNeighbours, soughtNeighbours } from "../find/neighbours.ts";
import type { Body, Find } from "../find/schema.ts";
import { type CharacterId, isStain } from "../find/vocabulary.ts";
import { type Conditions, conditionsOf } from "./body-conditions.ts";
import { bodyLooks, type Look, type Looks, siteLooks } from "./looks.ts";
import { isHidden } from "./masks.ts";

/** One body with what was seen of it and what hides it. */
export interface BodyScene {
  readonly body: Body;
  readonly looks: Looks;
  readonly conditions: Conditions;
  readonly kept: boolean;
}

/** The whole find, bodies sorted by id so that the order of a record changes nothing. */
export interface Scene {
  readonly find: Find;
  readonly site: Looks;
  readonly bodies: readonly BodyScene[];
  readonly kept: readonly BodyScene[];
}

/** Prepares a find. */
export function sceneOf(find: Find): Scene {
  const bodies = [...find.bodies]
    .sort((one, other) => (one.id < other.id ? -1 : 1))
    .map((body) => bodySceneOf(find, body));
  return { find, site: siteLooks(find), bodies, kept: bodies.filter((body) => body.kept) };
}

/** One body made ready by itself, as sceneOf does it: what hides a body's looks is told by that body and the find. */
export function bodySceneOf(find: Find, body: Body): BodyScene {
  const looks = bodyLooks(find, body);
  return { body, looks, conditions: conditionsOf(find, body, looks), kept: body.keep !== false };
}

/** Tests that are done once for the find; a body inherits them when its own quick look agrees. */
export const ONCE_ONLY: readonly CharacterId[] = ["spore-print", "base", "bisection"];

/** A quick look is four touches: underside, stem and ring, foot, cut. Any one character of a touch is enough. */
export const QUICK_LOOK: readonly (readonly CharacterId[])[] = [
  ["underside", "gill-colour", "gill-attachment", "gill-fold", "pore-colour", "underside-colour"],
  ["ring", "stem-surface", "stem-colour"],
  ["base"],
  ["stain-cut", "stain-base", "stain-stem", "flesh-colour", "bisection", "latex"],
];

const QUICK_LOOK_CHARACTERS: ReadonlySet<CharacterId> = new Set(QUICK_LOOK.flat());

/** Whether a body's own quick look is complete: each of the four touches surely seen. */
export function hasQuickLook(body: BodyScene): boolean {
  return QUICK_LOOK.every((touch) => touch.some((character) => body.looks.get(character)?.sure === true));
}

/** Whether a body's quick look would be incomplete without this one character. */
export function undoesQuickLook(body: BodyScene, character: string): boolean {
  return QUICK_LOOK.some((touch) => {
    const seen = touch.filter((one) => body.looks.get(one)?.sure === true);
    return seen.length === 1 && seen[0] === character;
  });
}

/**
 * Whether a young body's quick look hangs on its ring alone. One mistake there would undo its gills and all that it takes
 * over, so nothing is lent to it, whether its gills were looked at or not: struck, they would else make room for a loan.
 */
export const hangsOnTheRing = (body: BodyScene): boolean => body.body.age === "young" && undoesQuickLook(body, "ring");

/** What a body inherits, and from which body it does so. */
export interface Inherited {
  readonly look: Look;
  readonly from: BodyScene;
}

/**
 * The once-only tests that a body takes over from reference bodies: those it lacks itself, where its own quick look is
 * complete and every character of it that both show has the same states.
 */
export function inheritedLooks(scene: Scene, body: BodyScene): readonly Inherited[] {
  if (!hasQuickLook(body)) return [];
  return ONCE_ONLY.flatMap((character): Inherited[] => {
    if (isClear(body, character)) return [];
    const from = scene.bodies.find((other) => other !== body && isClear(other, character) && agree(body, other));
    const look = from?.looks.get(character);
    return from === undefined || look === undefined ? [] : [{ look, from }];
  });
}

/** Whether a body shows a character itself: surely, and with nothing that hides it. */
function isClear(body: BodyScene, character: CharacterId): boolean {
  const look = body.looks.get(character);
  return look?.sure === true && !isHidden(look, body.conditions);
}

/** Two bodies agree where no quick-look character that both show differs; gills may differ with age. */
function agree(one: BodyScene, other: BodyScene): boolean {
  for (const character of QUICK_LOOK_CHARACTERS) {
    if (CHANGING.has(character) && one.body.age !== other.body.age) continue;
    const mine = one.looks.get(character);
    const theirs = other.looks.get(character);
    if (mine === undefined || theirs === undefined) continue;
    if (character === "ring" && one.body.age !== other.body.age) {
      if (isRingless(mine) === isRingless(theirs)) continue;
      return false;
    }
    if (!mine.states.some((state) => theirs.states.some((theirOwn) => areAlike(character, state, theirOwn))))
      return false;
  }
  return true;
}

/** Looks that age alone changes: they are no disagreement between bodies of different ages. */
const CHANGING: ReadonlySet<CharacterId> = new Set([
  "gill-colour",
  "gill-attachment",
  "pore-colour",
  "underside-colour",
]);

/** Feet without a sac, a gutter or an edge: from body to body of one kind they go into one another. */
const ORDINARY_FEET: ReadonlySet<string> = new Set(["plain", "tapered", "rooting", "bulb", "fused"]);

/** Stains that come on one body of a kind and fail on the next; a loud one does not. */
const FAINT_STAINS: ReadonlySet<string> = new Set(["none", "pink", "brown", "faint-yellow"]);

/** Whether two bodies of one kind may show these two states. */
function areAlike(character: CharacterId, one: string, other: string): boolean {
  if (one === other) return true;
  if (character === "base") return ORDINARY_FEET.has(one) && ORDINARY_FEET.has(other);
  if (isStain(character)) return FAINT_STAINS.has(one) && FAINT_STAINS.has(other);
  return dangerNeighbours(character, one).includes(other) || soughtNeighbours(character, one).includes(other);
}

const isRingless = (look: Look): boolean => look.states.every((state) => state === "none");
