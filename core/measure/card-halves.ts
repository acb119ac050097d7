/**
 * On which half of the split card a deposit lies, by the card's own geometry and by what lies all around: not by a ring
 * that may itself be deposit.
 */
import { chromaOf, LINEAR, type Linear, labOf, luminance, meanOf } from "./colour.ts";
import type { Raster, Spot } from "./raster.ts";
import { reflectance } from "./reflectance.ts";

/** The half that a deposit lies on, with the light there. */
export interface Ground {
  /** `neither` where card and surroundings do not say the same: then nothing is sure. */
  readonly side: "white" | "black" | "neither";
  /** The white to calibrate by: that beside the deposit where it lies on white, else the marked one. */
  readonly white: Linear;
  /** The black beside the deposit where it lies on black, else the marked one. */
  readonly black: Linear;
  /** Whether the light around the deposit differs too much to read by. */
  readonly uneven: boolean;
  /** How far a place lies on the deposit's side of the seam, px; endless where the seam is not known. */
  readonly fromSeam: (x: number, y: number) => number;
}

/** What is known of the card before anything is looked for. */
export interface Card {
  readonly white: Linear;
  readonly black: Linear;
}

/** The picture is looked at in so many squares along its longer side. */
const SQUARES = 150;
/** Squares like the halves: share of the white's light, and how vivid. */
const LIKE = { white: 0.55, black: 0.25, blackTimes: 3, blackMore: 0.03, chroma: 10 } as const;
const WHITE = 1;
const BLACK = 2;

interface Squares {
  readonly across: number;
  readonly down: number;
  /** Side, px. */
  readonly side: number;
  /** Mean colours, linear, three a square. */
  readonly colours: Float64Array;
  /** 0 neither, 1 of the white half, 2 of the black half: joined with the mark on it, square by square. */
  readonly halves: Uint8Array;
}

/** Rays that are sent out from the deposit, and how many of those that arrive have to agree. */
const RAYS = 48;
const AGREE = 0.75;
const SECTORS = 4;
/** The light beside the deposit may differ so much from that on the marked half, as a ratio. */
const EVEN_WITHIN = 1.3;
/** The light on the black half may differ so much from that on the marked spot, as a share of the white's. */
const BLACK_WITHIN = 0.1;

/**
 * Finds the half under a deposit. Both halves are followed from their marks, square by square, so that a white deposit on
 * black is no part of the white half; then rays say what the deposit is surrounded by, and the seam between the halves says
 * on which side of it the deposit lies. Only where the two agree, or one of them is silent, is there a half.
 */
export function groundOf(raster: Raster, at: { white: Spot; black: Spot; deposit: Spot }, card: Card): Ground {
  const squares = squaresOf(raster, at, card);
  const seam = seamOf(squares);
  const hits = hitsOf(squares, at.deposit);
  const bySurroundings = sideByHits(hits);
  const bySeam = seam === undefined ? undefined : seam(at.deposit.x, at.deposit.y) > 0 ? WHITE : BLACK;
  const side = bySurroundings ?? bySeam;
  if (side === undefined || (bySeam !== undefined && bySeam !== side))
    return { side: "neither", ...card, uneven: false, fromSeam: () => Number.POSITIVE_INFINITY };
  const beside = hits.filter((hit) => hit.half === side);
  const fromSeam = (x: number, y: number) =>
    seam === undefined ? Number.POSITIVE_INFINITY : side === WHITE ? seam(x, y) : -seam(x, y);
  return { ...(side === WHITE ? onWhite(beside, card) : onBlack(beside, card)), fromSeam };
}

function squaresOf(raster: Raster, at: { white: Spot; black: Spot }, card: Card): Squares {
  const side = Math.max(1, Math.ceil(Math.max(raster.width, raster.height) / SQUARES));
  const across = Math.max(1, Math.floor(raster.width / side));
  const down = Math.max(1, Math.floor(raster.height / side));
  const colours = new Float64Array(across * down * 3);
  const labels = new Uint8Array(across * down);
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      const square = row * across + column;
      for (const channel of [0, 1, 2] as const) {
        let sum = 0;
        for (let y = row * side; y < (row + 1) * side; y++)
          for (let x = column * side; x < (column + 1) * side; x++)
            sum += LINEAR[raster.data[(y * raster.width + x) * 4 + channel] ?? 0] ?? 0;
        colours[square * 3 + channel] = sum / side ** 2;
      }
      labels[square] = labelOf(colourAt(colours, square), card);
    }
  const squareAt = ({ x, y }: Spot) =>
    Math.min(down - 1, Math.floor(y / side)) * across + Math.min(across - 1, Math.floor(x / side));
  const halves = new Uint8Array(across * down);
  follow(labels, across, squareAt(at.white), WHITE, halves);
  follow(labels, across, squareAt(at.black), BLACK, halves);
  return { across, down, side, colours, halves };
}

const colourAt = (colours: Float64Array, square: number): Linear => [
  colours[square * 3] ?? 0,
  colours[square * 3 + 1] ?? 0,
  colours[square * 3 + 2] ?? 0,
];

function labelOf(colour: Linear, { white, black }: Card): number {
  const share = luminance(colour) / luminance(white);
  const blackShare = luminance(black) / luminance(white);
  if (share < LIKE.black && share < LIKE.blackTimes * blackShare + LIKE.blackMore) return BLACK;
  if (share < LIKE.white) return 0;
  return chromaOf(labOf(reflectance(colour, white, black))) < LIKE.chroma ? WHITE : 0;
}

/** Follows a half from the mark on it to all squares that touch and are like it. */
function follow(labels: Uint8Array, across: number, from: number, half: number, into: Uint8Array): void {
  const open = [from];
  // the mark itself is the half, whatever noise made of its square
  labels[from] = half;
  while (open.length > 0) {
    const square = open.pop() ?? 0;
    if (labels[square] !== half || into[square] === half) continue;
    into[square] = half;
    const column = square % across;
    if (column > 0) open.push(square - 1);
    if (column < across - 1) open.push(square + 1);
    if (square >= across) open.push(square - across);
    if (square + across < labels.length) open.push(square + across);
  }
}

interface Hit {
  readonly half: number;
  readonly colour: Linear;
  /** 0 to 3, by the direction of the ray. */
  readonly sector: number;
}

/** How many squares in a row have to belong to a half for a ray to have arrived there, and how many more are looked at. */
const ARRIVED = 3;
const FOLLOWED = 12;

/** Where the rays from the deposit first come to a half; those that leave the picture before are left out. */
function hitsOf({ across, down, side, colours, halves }: Squares, { x, y }: Spot): readonly Hit[] {
  return Array.from({ length: RAYS }, (_, ray): Hit | undefined => {
    const angle = (ray / RAYS) * 2 * Math.PI;
    let run: number[] = [];
    for (let far = 0; run.length < FOLLOWED; far++) {
      const column = Math.floor(x / side + far * Math.cos(angle));
      const row = Math.floor(y / side + far * Math.sin(angle));
      const isInPicture = column >= 0 && row >= 0 && column < across && row < down;
      const square = row * across + column;
      const goesOn =
        isInPicture && halves[square] !== 0 && (run.length === 0 || halves[run[0] ?? 0] === halves[square]);
      if (goesOn) run.push(square);
      else if (run.length >= ARRIVED) break;
      else if (!isInPicture) return undefined;
      else run = halves[square] === 0 ? [] : [square];
    }
    const half = halves[run[0] ?? 0] ?? 0;
    // the plainest of them: what shows between lines of spores is tinted by these
    const sign = half === WHITE ? 1 : -1;
    const plainest = run
      .map((square) => colourAt(colours, square))
      .sort((one, other) => sign * (luminance(other) - luminance(one)))
      .slice(0, ARRIVED);
    return { half, colour: meanOf(plainest), sector: Math.floor((ray * SECTORS) / RAYS) };
  }).filter((hit) => hit !== undefined);
}

function sideByHits(hits: readonly Hit[]): number | undefined {
  if (hits.length < RAYS / 4) return undefined;
  const white = hits.filter((hit) => hit.half === WHITE).length / hits.length;
  return white >= AGREE ? WHITE : 1 - white >= AGREE ? BLACK : undefined;
}

/** Directions in which the seam is looked for, and steps along each. */
const TURNS = 36;
const STEPS = 96;
/** Part of either half that may lie on the wrong side of a straight seam. */
const STRAY = 0.12;

/**
 * The straight line that parts the two halves best.
 * @returns how far a place, px, lies on the white side of it, px; undefined where no line parts them
 */
function seamOf({ across, down, side, halves }: Squares): ((x: number, y: number) => number) | undefined {
  const longest = Math.hypot(across, down);
  const middle = { x: across / 2, y: down / 2 };
  let best: { stray: number; angle: number; offset: number } | undefined;
  for (let turn = 0; turn < TURNS; turn++) {
    const angle = (turn / TURNS) * 2 * Math.PI;
    const [cosine, sine] = [Math.cos(angle), Math.sin(angle)];
    const counts = [new Float64Array(STEPS), new Float64Array(STEPS), new Float64Array(STEPS)] as const;
    halves.forEach((half, square) => {
      if (half !== WHITE && half !== BLACK) return;
      const along = ((square % across) - middle.x) * cosine + (Math.floor(square / across) - middle.y) * sine;
      const step = Math.min(STEPS - 1, Math.max(0, Math.floor((along / longest + 0.5) * STEPS)));
      counts[half][step] = (counts[half][step] ?? 0) + 1;
    });
    const all = [0, sumOf(counts[WHITE]), sumOf(counts[BLACK])] as const;
    if (all[WHITE] === 0 || all[BLACK] === 0) return undefined;
    let [whiteBelow, blackBelow] = [0, 0];
    for (let step = 0; step < STEPS; step++) {
      whiteBelow += counts[WHITE][step] ?? 0;
      blackBelow += counts[BLACK][step] ?? 0;
      // white above the line, black below
      const stray = Math.max(whiteBelow / all[WHITE], 1 - blackBelow / all[BLACK]);
      if (best === undefined || stray < best.stray)
        best = { stray, angle, offset: ((step + 1) / STEPS - 0.5) * longest };
    }
  }
  if (best === undefined || best.stray > STRAY) return undefined;
  const { angle, offset } = best;
  return (x, y) => ((x / side - middle.x) * Math.cos(angle) + (y / side - middle.y) * Math.sin(angle) - offset) * side;
}

const sumOf = (counts: Float64Array): number => counts.reduce((sum, one) => sum + one, 0);

/**
 * The brighter, or darker, half of what the rays of a sector came to: what shows between lines of spores is tinted by them.
 * @param sign 1 for the brighter, -1 for the darker
 */
function plainestOf(hits: readonly Hit[], sign: 1 | -1): readonly Linear[] {
  return Array.from({ length: SECTORS }, (_, sector) => {
    const here = hits
      .filter((hit) => hit.sector === sector)
      .sort((one, other) => sign * (luminance(other.colour) - luminance(one.colour)));
    return here.length === 0 ? undefined : meanOf(here.slice(0, Math.ceil(here.length / 2)).map((hit) => hit.colour));
  }).filter((colour) => colour !== undefined);
}

function onWhite(hits: readonly Hit[], card: Card): Omit<Ground, "fromSeam"> {
  const parts = plainestOf(hits, 1);
  if (parts.length === 0) return { side: "white", ...card, uneven: false };
  const lights = parts.map(luminance);
  const white = meanOf(parts);
  const ratio = luminance(white) / luminance(card.white);
  const uneven = Math.max(...lights) / Math.min(...lights) > EVEN_WITHIN || Math.max(ratio, 1 / ratio) > EVEN_WITHIN;
  return { side: "white", white, black: card.black, uneven };
}

function onBlack(hits: readonly Hit[], card: Card): Omit<Ground, "fromSeam"> {
  const off = plainestOf(hits, -1).map(
    (part) => Math.abs(luminance(part) - luminance(card.black)) / luminance(card.white),
  );
  return { side: "black", ...card, uneven: off.length > 0 && Math.max(...off) > BLACK_WITHIN };
}
