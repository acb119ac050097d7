/** How many mistakes away one danger is from one body, worked out the plain, slow way: the oracle for the tables. */

import { isHardLook } from "../../find/vocabulary.ts";
import { type MaskUse, maskUse } from "../../judge/contradictions.ts";
import { type Status, statusOf } from "../../judge/distance.ts";
import type { Look } from "../../judge/looks.ts";
import { type BodyScene, type Inherited, type Scene, undoesQuickLook } from "../../judge/scene.ts";
import { sizePoints } from "../../judge/sizes.ts";
import type { Sheet } from "../../knowledge/sheet.ts";
import { plainAgreement } from "./agreement.ts";
import { type PlainPoint, plainPoint } from "./point.ts";

/** What the core says of one danger and one body. */
export interface PlainDistance {
  readonly body: string;
  readonly mistakes: number;
  readonly status: Status;
  readonly points: readonly PlainPoint[];
  readonly masks: readonly MaskUse[];
  /** Looks that fit the danger's sheet, sure or not. */
  readonly speaksFor: readonly Look[];
}

/** Measures the distance of one danger from one body. */
export function plainDistance(
  danger: Sheet,
  scene: Scene,
  body: BodyScene,
  inherited: readonly Inherited[],
  asked: 2 | 3,
): PlainDistance {
  const masks: MaskUse[] = [];
  const speaksFor: Look[] = [];
  const weigh = (look: Look, at: BodyScene | undefined): PlainPoint[] => {
    const agreement = plainAgreement(danger, look, at?.body.age, at?.conditions, false);
    if (agreement.kind === "agrees") speaksFor.push(look);
    if (agreement.kind === "masked") masks.push(...agreement.masks.map((mask) => maskUse(mask, look)));
    return agreement.kind === "contradicts" && look.sure ? [plainPoint(danger, look, at?.body.age)] : [];
  };
  const sizes = sizePoints(danger, body.body).map((point) => ({ ...point, never: false }));
  const all = [
    ...sizes,
    ...[...scene.site.values()].flatMap((look) => weigh(look, undefined)),
    ...[...body.looks.values()].flatMap((look) => weigh(look, body)),
  ];
  const fitsItself = (character: string) =>
    [...body.looks.values()].some(
      (look) =>
        look.character === character &&
        plainAgreement(danger, look, body.body.age, body.conditions, false).kind === "agrees",
    );
  const borrowed = inherited.flatMap(({ look, from }) => {
    const points = weigh(look, from);
    return fitsItself(look.character) ? [] : points;
  });
  const isTwice = (family: string) => isLookedAtTwice(danger, scene, body, all, family);
  const { away, once } = joinedAway(body, all, isTwice);
  const points = all.filter((point) => !away.has(point.character));
  const excused = [...body.looks.values()].filter(
    (look) => look.sure && plainAgreement(danger, look, body.body.age, body.conditions, false).kind === "masked",
  );
  const granted = grantedPoint(body, points, borrowed, all, excused);
  const counted = granted === undefined ? points : [...points, granted];
  const families = new Set(counted.map((point) => point.family));
  const twice = [...families].filter((family) => !once.has(family) && isTwice(family));
  const mistakes = families.size + twice.length;
  return {
    body: body.body.id,
    mistakes,
    status: statusOf(mistakes, all.some((point) => point.hard) || granted?.hard === true, asked),
    points: [...all, ...(granted === undefined ? [] : [granted])]
      .filter((point) => families.has(point.family))
      .map((point) =>
        twice.includes(point.family) && point === all.find((one) => one.never && one.family === point.family)
          ? { ...point, again: true as const }
          : point,
      ),
    masks,
    speaksFor,
  };
}

/** Whether what the danger never shows was looked at twice in a family: on two bodies, at two times, by gills and print. */
function isLookedAtTwice(
  danger: Sheet,
  scene: Scene,
  body: BodyScene,
  points: readonly PlainPoint[],
  family: string,
): boolean {
  const never = points.filter((point) => point.never && point.family === family);
  if (never.length > 1 && family !== "smell") return true;
  return never.some(({ character }) => {
    const own = [...body.looks.values(), ...scene.site.values()].find((look) => look.character === character);
    if (own?.repeated === true) return true;
    // the same nose smells at both bodies
    if (family === "smell") return false;
    return scene.bodies.some((other) => {
      if (other === body) return false;
      const look = [...other.looks.values()].find((one) => one.character === character);
      if (look === undefined || !look.sure) return false;
      const against = plainAgreement(danger, look, other.body.age, other.conditions, false).kind === "contradicts";
      return against && plainPoint(danger, look, other.body.age).never;
    });
  });
}

/**
 * The characters that are one look with another, where the other speaks too and their family has nothing else: the two
 * count as the weightier. `away` are dropped, families in `once` count once.
 */
function joinedAway(
  body: BodyScene,
  points: readonly PlainPoint[],
  isTwice: (family: string) => boolean,
): { away: ReadonlySet<string>; once: ReadonlySet<string> } {
  const states = (character: string) =>
    [...body.looks.values()].find((look) => look.character === character)?.states ?? [];
  const shows = (character: string, ...some: string[]) => states(character).some((state) => some.includes(state));
  const pairs: readonly (readonly ["ring" | "base" | "gill-colour", string, boolean])[] = [
    ["ring", "gill-colour", body.body.age === "young"],
    ["ring", "stem-surface", shows("stem-surface", "scaly-below-ring")],
    ["gill-colour", "stem-surface", body.body.age === "young" && shows("stem-surface", "scaly-below-ring")],
    ["base", "veil-on-cap", shows("veil-on-cap", "white-warts", "grey-warts", "tan-warts", "yellow-warts", "sheets")],
  ];
  const away = new Set<string>();
  const once = new Set<string>();
  for (const [kept, other, together] of pairs) {
    const keptFamily = kept === "gill-colour" ? "spore-colour" : kept;
    const one = points.find((point) => point.family === keptFamily && !away.has(point.character));
    const second = points.find((point) => point.character === other);
    if (!together || one === undefined || second === undefined) continue;
    if (points.filter((point) => point.family === second.family).length > 1) continue;
    const isOnce = !isTwice(second.family) || once.has(second.family);
    if (isOnce || (isTwice(keptFamily) && !once.has(keptFamily))) away.add(other);
    once.add(second.family);
  }
  return { away, once };
}

/** The look that a point stands or falls with. */
function restsOn(body: BodyScene, character: string): string {
  return character === "gill-colour" && body.body.age === "young" ? "ring" : character;
}

/**
 * All that a body inherits rests on its quick look: one mistake there undoes all of it, so it is worth one mistake at
 * most, and none where a point of the body's own rests on that same quick look alone. A hard one may make hard what
 * speaks softly already.
 */
function grantedPoint(
  body: BodyScene,
  own: readonly PlainPoint[],
  borrowed: readonly PlainPoint[],
  all: readonly PlainPoint[],
  excused: readonly Look[],
): PlainPoint | undefined {
  const families = new Set(own.map((point) => point.family));
  const restsOnQuickLook = [...families].some((family) => {
    const ofFamily = all.filter((point) => point.family === family);
    return ofFamily.length === 1 && ofFamily.every((point) => undoesQuickLook(body, restsOn(body, point.character)));
  });
  // at a young ring hang the gills as well, looked at or not
  if (restsOnQuickLook || (body.body.age === "young" && undoesQuickLook(body, "ring"))) return undefined;
  const softMasked = excused.some(
    ({ character, states }) =>
      undoesQuickLook(body, restsOn(body, character)) && !isHardLook(character, body.body.age, states),
  );
  const isHard = all.some((point) => point.hard);
  const granted =
    borrowed.find((point) => point.hard && !families.has(point.family)) ??
    (isHard ? undefined : borrowed.find((point) => point.hard)) ??
    borrowed.find((point) => !point.hard && !families.has(point.family));
  // were it not for the mask, a soft look would stand in its place
  return granted === undefined || !softMasked ? granted : { ...granted, hard: false };
}
