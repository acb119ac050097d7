/** How many separate mistakes away every danger is from one body. */
import { type CharacterId, isHardLook, isSmell } from "../find/vocabulary.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { countBits, type Tables } from "../knowledge/tables.ts";
import { agreementOf, type MaskUse, maskUse, type Point, pointsOf } from "./contradictions.ts";
import { familyBit, familyBitOf } from "./families.ts";
import type { Look } from "./looks.ts";
import { type BodyScene, hangsOnTheRing, type Inherited, undoesQuickLook } from "./scene.ts";
import { sizePoints, weighSizes } from "./sizes.ts";
import { AGREES, isAgainst, MASKED, NEVER, SILENT, type Weighing, weigh } from "./weigh.ts";

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
  /** Families of which a second look at what the danger never shows counts once more. */
  readonly twice: number;
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
  /** Number of the borrowed look that is granted, from one; zero or nothing where none is. */
  readonly granted: Uint8Array;
  readonly families: Uint16Array;
  /** Families in which something that the danger never shows was looked at twice: they count twice. */
  readonly twice: Uint16Array;
  readonly hard: Uint8Array;
  /** Rows against which what is borrowed is soft, however hard it is where it was seen. */
  readonly softened: Uint8Array;
}

/** The looks of one body, weighed. */
export interface WeighedBody {
  readonly body: BodyScene;
  readonly looks: readonly WeighedLook[];
}

/** Weighs the looks of one body against all dangers, each by itself. */
export function weighLooks(dangers: Tables, body: BodyScene): WeighedBody {
  return { body, looks: [...body.looks.values()].map((look) => weighedLook(dangers, look, body)) };
}

/**
 * Weighs what the site and one body show against all dangers.
 * @param site the site's looks, weighed once for the find
 * @param others the other bodies: what a danger never shows counts twice where it was looked at on two of them
 */
export function weighBody(
  dangers: Tables,
  site: readonly WeighedLook[],
  { body, looks: mine }: WeighedBody,
  others: readonly WeighedBody[],
  inherited: readonly Inherited[],
): BodyWeighing {
  const size = dangers.sheets.length;
  const looks = [...site, ...mine];
  const borrowed = inherited.map(({ look, from }) => weighedLook(dangers, look, from));
  const own = new Uint16Array(size);
  /** Families with more than one point, and families with a point of which the quick look depends. */
  const several = new Uint16Array(size);
  const fragile = new Uint16Array(size);
  // a soft look on which the quick look depends would speak against them, were it not for a mask
  const softened = new Uint8Array(size);
  const twice = new Uint16Array(size);
  const never = new Uint16Array(size);
  const hard = new Uint8Array(size);
  weighSizes(dangers, body.body, (row, family, isHard) => {
    const bit = familyBit(family);
    const before = own[row] ?? 0;
    several[row] = (several[row] ?? 0) | (before & bit);
    own[row] = before | bit;
    if (isHard) hard[row] = 1;
  });
  for (const { look, weighing } of looks) {
    if (!look.sure) continue;
    const bit = familyBitOf(look.character);
    const undoes = undoesQuickLook(body, restsOn(body, look.character)) ? bit : 0;
    const isHard = isHardLook(look.character, body.body.age, look.states) ? 1 : 0;
    const isNose = isSmell(look.character);
    const again = isNose
      ? []
      : others.flatMap((other) => other.looks.filter((one) => one.look.character === look.character && one.look.sure));
    const mayClear = undoes !== 0 && isHard === 0;
    for (let row = 0; row < size; row += 1) {
      const kind = weighing[row] ?? SILENT;
      if (kind < MASKED) continue;
      if (kind === MASKED) {
        if (mayClear) softened[row] = 1;
        continue;
      }
      const before = own[row] ?? 0;
      several[row] = (several[row] ?? 0) | (before & bit);
      own[row] = before | bit;
      if (undoes !== 0) fragile[row] = (fragile[row] ?? 0) | undoes;
      if (isHard !== 0) hard[row] = 1;
      if (kind !== NEVER) continue;
      hard[row] = 1;
      // gills and print are one family, and two looks: two slips would be needed here as well
      if (!isNose && ((never[row] ?? 0) & bit) !== 0) twice[row] = (twice[row] ?? 0) | bit;
      never[row] = (never[row] ?? 0) | bit;
      if (look.repeated || again.some((one) => one.weighing[row] === NEVER)) twice[row] = (twice[row] ?? 0) | bit;
    }
  }
  joinLooks(body, mine, { own, several, twice });
  const families = own.slice();
  if (borrowed.length === 0 || hangsOnTheRing(body))
    return { dangers, body, looks, borrowed, own, granted: NONE_GRANTED, families, twice, hard, softened };
  const granted = grantedLooks(borrowed, mine, own, several, fragile, hard);
  for (let row = 0; row < size; row += 1) {
    const lent = borrowed[(granted[row] ?? 0) - 1];
    if (lent === undefined) continue;
    families[row] = (families[row] ?? 0) | familyBitOf(lent.look.character);
    if (softened[row] === 0 && isHardLook(lent.look.character, lent.at?.body.age, lent.look.states)) hard[row] = 1;
  }
  return { dangers, body, looks, borrowed, own, granted, families, twice, hard, softened };
}

/** Nothing is borrowed: no row has anything granted. */
const NONE_GRANTED = new Uint8Array(0);

/** The look that a look stands or falls with: young gills count only where the veil was seen open. */
export function restsOn(body: BodyScene, character: CharacterId): CharacterId {
  return character === "gill-colour" && body.body.age === "young" ? "ring" : character;
}

/**
 * Two looks that are one thing to the eye: the second is dropped where the family of the first speaks against a danger as
 * well. Asked of the second alone: were the first asked too, striking it or making it unsure would set the second free.
 */
interface Joined {
  readonly kept: CharacterId;
  readonly dropped: CharacterId;
  readonly when: (body: BodyScene, dropped: Look) => boolean;
}

const shows = (look: Look, ...states: string[]): boolean => look.states.some((state) => states.includes(state));

const JOINED: readonly Joined[] = [
  // one slip at a young ring would undo the gills that it hides as well
  { kept: "ring", dropped: "gill-colour", when: ({ body }) => body.age === "young" },
  { kept: "ring", dropped: "stem-surface", when: (_, stem) => shows(stem, "scaly-below-ring") },
  // one with the ring both, they are one with each other too: else the ring, struck, would set two free for one
  {
    kept: "gill-colour",
    dropped: "stem-surface",
    when: ({ body }, stem) => body.age === "young" && shows(stem, "scaly-below-ring"),
  },
  {
    kept: "base",
    dropped: "veil-on-cap",
    when: (_, veil) => shows(veil, "white-warts", "grey-warts", "tan-warts", "yellow-warts", "sheets"),
  },
];

/**
 * Counts two joined looks as the one that weighs more, where nothing else speaks in the family of the second: that family
 * is dropped, or counts once where it was looked at twice and the first was not. Dropped whole in that case too, striking
 * the first would set two mistakes free for one.
 */
function joinLooks(
  body: BodyScene,
  mine: readonly WeighedLook[],
  { own, several, twice }: { own: Uint16Array; several: Uint16Array; twice: Uint16Array },
): void {
  const find = (character: CharacterId) => mine.find(({ look }) => look.character === character && look.sure);
  for (const joined of JOINED) {
    const dropped = find(joined.dropped);
    if (dropped === undefined || !joined.when(body, dropped.look)) continue;
    const bit = familyBitOf(joined.dropped);
    const keptBit = familyBitOf(joined.kept);
    for (let row = 0; row < own.length; row += 1) {
      const families = own[row] ?? 0;
      // asked of the family and not of the look alone: a mask on that look must not set the other free
      if ((families & keptBit) === 0 || !isAgainst(dropped.weighing[row]) || ((several[row] ?? 0) & bit) !== 0)
        continue;
      const double = twice[row] ?? 0;
      twice[row] = double & ~bit;
      if ((double & bit) === 0 || (double & keptBit) !== 0) own[row] = families & ~bit;
    }
  }
}

/** Weighs one look against all dangers: any state that fits keeps the danger standing. */
export function weighedLook(dangers: Tables, look: Look, at: BodyScene | undefined): WeighedLook {
  const age = at?.body.age;
  return { look, at, weighing: weigh(dangers, look, age, at?.conditions, false), point: pointsOf(dangers, look, age) };
}

/**
 * All that a body inherits rests on its quick look: one mistake there undoes all of it, so it is worth one mistake at
 * most, and none where a point of the body's own rests on that same quick look alone. A hard one of another family is
 * granted first; else a family that speaks softly already is made hard by it (a print behind the gills of a young body),
 * else a soft one is granted. None is hard where a soft look would take its place were it not masked: else a mask could clear.
 */
function grantedLooks(
  borrowed: readonly WeighedLook[],
  mine: readonly WeighedLook[],
  own: Uint16Array,
  several: Uint16Array,
  fragile: Uint16Array,
  hard: Uint8Array,
): Uint8Array {
  const granted = new Uint8Array(own.length);
  for (const [wantsHard, wantsFamily] of [
    [true, true],
    [true, false],
    [false, true],
  ] as const)
    borrowed.forEach(({ look, at, weighing }, index) => {
      if (!look.sure) return;
      const bit = familyBitOf(look.character);
      if (wantsHard !== isHardLook(look.character, at?.body.age, look.states)) return;
      // what this body shows of it itself, be it in doubt, is not outweighed by what another shows
      const itself = mine.find((one) => one.look.character === look.character)?.weighing;
      for (let row = 0; row < own.length; row += 1) {
        if (!isAgainst(weighing[row]) || granted[row] !== 0 || itself?.[row] === AGREES) continue;
        const families = own[row] ?? 0;
        const alone = families & ~(several[row] ?? 0);
        const adds = wantsFamily ? (families & bit) === 0 : (families & bit) !== 0 && hard[row] === 0;
        if (adds && (alone & (fragile[row] ?? 0)) === 0) granted[row] = index + 1;
      }
    });
  return granted;
}

/** How many mistakes one danger is away from a weighed body. */
export function mistakesIn({ families, twice }: BodyWeighing, row: number): number {
  const set = families[row] ?? 0;
  return countBits(set) + countBits(set & (twice[row] ?? 0));
}

/** How one danger stands on a weighed body. */
export const statusIn = (weighed: BodyWeighing, row: number, asked: 2 | 3): Status =>
  statusOf(mistakesIn(weighed, row), weighed.hard[row] === 1, asked);

/** Whether one danger is ruled out on a weighed body: asked of very many. */
export const isRuledOutIn = (weighed: BodyWeighing, row: number, asked: 2 | 3): boolean =>
  weighed.hard[row] === 1 && mistakesIn(weighed, row) >= asked;

/** The distance of one danger from a weighed body. */
export function distanceIn(weighed: BodyWeighing, row: number, asked: 2 | 3): Distance {
  const { body, families, twice, hard } = weighed;
  const set = families[row] ?? 0;
  const isHard = hard[row] === 1;
  const mistakes = mistakesIn(weighed, row);
  return {
    body: body.body.id,
    mistakes,
    status: statusOf(mistakes, isHard, asked),
    families: set,
    twice: twice[row] ?? 0,
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
  const points: Point[] = sizePoints(danger, weighed.body.body);
  const families = weighed.families[row] ?? 0;
  let twice = families & (weighed.twice[row] ?? 0);
  const masks: MaskUse[] = [];
  const speaksFor: Look[] = [];
  for (const { look, at, weighing, point } of weighed.looks) {
    const kind = weighing[row];
    if (kind === AGREES) speaksFor.push(look);
    else if (kind === MASKED) tellMasks(masks, danger, look, at);
    else if (isAgainst(kind) && look.sure) {
      const bit = kind === NEVER ? twice & familyBitOf(look.character) : 0;
      twice &= ~bit;
      points.push(bit === 0 ? point(row) : { ...point(row), again: true });
    }
  }
  for (const { look, at, weighing } of weighed.borrowed) {
    const kind = weighing[row];
    if (kind === AGREES) speaksFor.push(look);
    else if (kind === MASKED) tellMasks(masks, danger, look, at);
  }
  const lent = weighed.borrowed[(weighed.granted[row] ?? 0) - 1];
  if (lent !== undefined)
    points.push(weighed.softened[row] === 0 ? lent.point(row) : { ...lent.point(row), hard: false });
  // what adds no mistake of its own is no point
  return { points: points.filter((point) => (families & familyBit(point.family)) !== 0), masks, speaksFor };
}

/** The masks that keep a row from contradicting a look which it does not agree with, in their own order. */
function tellMasks(told: MaskUse[], danger: Sheet, look: Look, at: BodyScene | undefined): void {
  const agreement = agreementOf(danger, look, at?.body.age, at?.conditions, false);
  if (agreement.kind === "masked") told.push(...agreement.masks.map((mask) => maskUse(mask, look)));
}
