/** How many separate mistakes away every danger is from one body. */
import type { CharacterId } from "../find/vocabulary.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { countBits, type Tables } from "../knowledge/tables.ts";
import { type MaskUse, maskUse, type Point, pointsOf } from "./contradictions.ts";
import { familyBit, familyBitOf, HARD_BITS } from "./families.ts";
import type { Look } from "./looks.ts";
import { type BodyScene, type Inherited, undoesQuickLook } from "./scene.ts";
import { sizePoints, weighSizes } from "./sizes.ts";
import { AGREES, CONTRADICTS, MASKED, masksBehind, type Weighing, weigh } from "./weigh.ts";

export const STATUSES = ["stands", "one-mistake", "two-mistakes", "ruled-out"] as const;
/**
 * stands: nothing seen speaks against it. one-mistake: one family, or several soft ones alone. ruled-out: as many
 * families as the house rule asks, one of them hard. two-mistakes: two with a hard one, where the house rule asks three.
 */
export type Status = (typeof STATUSES)[number];

/** What the core says of one danger and one body. */
export interface Distance {
  readonly body: string;
  readonly mistakes: number;
  readonly status: Status;
  /** The families that speak against it, as a bit set, and whether one of them is hard. */
  readonly families: number;
  readonly hard: boolean;
}

/** One look with how it stands to every danger. */
export interface WeighedLook {
  readonly look: Look;
  /** The body it was taken on; left out for the site. */
  readonly at: BodyScene | undefined;
  readonly weighing: Weighing;
  /** The point that it makes against a row that it contradicts. */
  readonly point: (row: number) => Point;
}

/** One body's evidence against every danger, a row a danger. */
export interface BodyWeighing {
  readonly dangers: Tables;
  readonly body: BodyScene;
  readonly looks: readonly WeighedLook[];
  readonly borrowed: readonly WeighedLook[];
  /** Families of the body's own points. */
  readonly own: Uint16Array;
  /** Number of the borrowed look that is granted, from one; zero where none is. */
  readonly granted: Uint8Array;
  readonly families: Uint16Array;
  readonly hard: Uint8Array;
}

/** Weighs what the site and one body show against all dangers. @param site the site's looks, weighed once for the find */
export function weighBody(
  dangers: Tables,
  site: readonly WeighedLook[],
  body: BodyScene,
  inherited: readonly Inherited[],
): BodyWeighing {
  const size = dangers.sheets.length;
  const mine = [...body.looks.values()].map((look) => weighedLook(dangers, look, body));
  const looks = [...site, ...mine];
  const borrowed = inherited.map(({ look, from }) => weighedLook(dangers, look, from));
  const own = new Uint16Array(size);
  /** Families with more than one point, and families with a point of which the quick look depends. */
  const several = new Uint16Array(size);
  const fragile = new Uint16Array(size);
  const hard = new Uint8Array(size);
  const add = (row: number, bit: number) => {
    several[row] = (several[row] ?? 0) | ((own[row] ?? 0) & bit);
    own[row] = (own[row] ?? 0) | bit;
  };
  weighSizes(dangers, body.body, (row, family, isHard) => {
    add(row, familyBit(family));
    if (isHard) hard[row] = 1;
  });
  for (const { look, weighing } of looks) {
    if (!look.sure) continue;
    const bit = familyBitOf(look.character);
    const undoes = undoesQuickLook(body, restsOn(body, look.character)) ? bit : 0;
    for (let row = 0; row < size; row += 1) {
      if (weighing[row] !== CONTRADICTS) continue;
      add(row, bit);
      fragile[row] = (fragile[row] ?? 0) | undoes;
    }
  }
  const families = Uint16Array.from(own);
  const granted = grantedLooks(borrowed, own, several, fragile);
  for (let row = 0; row < size; row += 1) {
    const lent = borrowed[(granted[row] ?? 0) - 1];
    if (lent !== undefined) families[row] = (families[row] ?? 0) | familyBitOf(lent.look.character);
  }
  joinRingAndGills(body, looks, borrowed, families, several);
  for (let row = 0; row < size; row += 1) if (((families[row] ?? 0) & HARD_BITS) !== 0) hard[row] = 1;
  return { dangers, body, looks, borrowed, own, granted, families, hard };
}

const RING = familyBit("ring");
const RING_AND_GILLS = RING | familyBit("spore-colour");

/** The look that a look stands or falls with: young gills count only where the veil was seen open. */
export function restsOn(body: BodyScene, character: CharacterId): CharacterId {
  return character === "gill-colour" && body.body.age === "young" ? "ring" : character;
}

/**
 * Drops the gill colour where all that speaks against a danger is the ring of a young body, and gills that count only
 * because that ring was looked at: one slip at the ring would undo both, so they are one mistake. A print taken over
 * from another body stands in for the gills, as long as the quick look does not rest on that ring as well.
 */
function joinRingAndGills(
  body: BodyScene,
  looks: readonly WeighedLook[],
  borrowed: readonly WeighedLook[],
  families: Uint16Array,
  several: Uint16Array,
): void {
  const find = (character: CharacterId) => looks.find(({ look }) => look.character === character && look.sure);
  const ring = find("ring");
  const gills = find("gill-colour");
  if (body.body.age !== "young" || ring === undefined || gills === undefined) return;
  const print = undoesQuickLook(body, "ring")
    ? undefined
    : borrowed.find(({ look }) => look.character === "spore-print");
  for (let row = 0; row < families.length; row += 1)
    if (
      families[row] === RING_AND_GILLS &&
      ((several[row] ?? 0) & RING_AND_GILLS) === 0 &&
      ring.weighing[row] === CONTRADICTS &&
      gills.weighing[row] === CONTRADICTS &&
      print?.weighing[row] !== CONTRADICTS
    )
      families[row] = RING;
}

/** Weighs one look against all dangers: any state that fits keeps the danger standing. */
export function weighedLook(dangers: Tables, look: Look, at: BodyScene | undefined): WeighedLook {
  const age = at?.body.age;
  return { look, at, weighing: weigh(dangers, look, age, at?.conditions, false), point: pointsOf(dangers, look, age) };
}

/**
 * All that a body inherits rests on its quick look: one mistake there undoes all of it, so it is worth one mistake at
 * most, and none where a point of the body's own rests on that same quick look alone. A hard one is granted before a
 * soft one.
 */
function grantedLooks(
  borrowed: readonly WeighedLook[],
  own: Uint16Array,
  several: Uint16Array,
  fragile: Uint16Array,
): Uint8Array {
  const granted = new Uint8Array(own.length);
  for (const wantsHard of [true, false])
    borrowed.forEach(({ look, weighing }, index) => {
      if (!look.sure) return;
      const bit = familyBitOf(look.character);
      if (wantsHard !== ((bit & HARD_BITS) !== 0)) return;
      for (let row = 0; row < own.length; row += 1) {
        if (weighing[row] !== CONTRADICTS || granted[row] !== 0) continue;
        const families = own[row] ?? 0;
        const alone = families & ~(several[row] ?? 0);
        if ((families & bit) === 0 && (alone & (fragile[row] ?? 0)) === 0) granted[row] = index + 1;
      }
    });
  return granted;
}

/** The distance of one danger from a weighed body. */
export function distanceIn({ body, families, hard }: BodyWeighing, row: number, asked: 2 | 3): Distance {
  const set = families[row] ?? 0;
  const isHard = hard[row] === 1;
  const mistakes = countBits(set);
  return {
    body: body.body.id,
    mistakes,
    status: statusOf(mistakes, isHard, asked),
    families: set,
    hard: isHard,
  };
}

/** The status that so many families give, with a hard one among them or not. */
export function statusOf(mistakes: number, hard: boolean, asked: 2 | 3): Status {
  if (mistakes === 0) return "stands";
  if (mistakes < 2 || !hard) return "one-mistake";
  return mistakes >= asked ? "ruled-out" : "two-mistakes";
}

/** Why a danger stands where it does: what speaks against it, what a mask excused, what speaks for it. */
export interface Evidence {
  readonly points: readonly Point[];
  readonly masks: readonly MaskUse[];
  /** Looks that fit the danger's sheet, sure or not. */
  readonly speaksFor: readonly Look[];
}

/** The evidence about one danger on a weighed body, in words. */
export function evidenceIn(weighed: BodyWeighing, danger: Sheet, row: number): Evidence {
  const { dangers } = weighed;
  const points: Point[] = sizePoints(danger, weighed.body.body);
  const masks: MaskUse[] = [];
  const speaksFor: Look[] = [];
  for (const { look, at, weighing, point } of weighed.looks) {
    const kind = weighing[row];
    if (kind === AGREES) speaksFor.push(look);
    else if (kind === MASKED) tellMasks(masks, dangers, row, look, at);
    else if (kind === CONTRADICTS && look.sure) points.push(point(row));
  }
  for (const { look, at, weighing } of weighed.borrowed) {
    const kind = weighing[row];
    if (kind === AGREES) speaksFor.push(look);
    else if (kind === MASKED) tellMasks(masks, dangers, row, look, at);
  }
  const lent = weighed.borrowed[(weighed.granted[row] ?? 0) - 1];
  if (lent !== undefined) points.push(lent.point(row));
  // what adds no mistake of its own is no point
  const families = weighed.families[row] ?? 0;
  return { points: points.filter((point) => (families & familyBit(point.family)) !== 0), masks, speaksFor };
}

function tellMasks(told: MaskUse[], dangers: Tables, row: number, look: Look, at: BodyScene | undefined): void {
  for (const mask of masksBehind(dangers, row, look, at?.body.age, at?.conditions)) told.push(maskUse(mask, look));
}
