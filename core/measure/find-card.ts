/** Proposes where the halves of the split card and the deposit lie in a picture; the person puts it right. */
import { linearOf } from "./colour.ts";
import { patchOf, type Raster } from "./raster.ts";
import type { Marks } from "./read-colour.ts";

/** How many squares a side the picture is looked at in. */
const GRID = 24;
/** A square belongs to a half if its light is within this share of the half's. */
const LIKE_WHITE = 0.72;
const LIKE_BLACK = 0.2;
/** A deposit is at least this part of the picture's squares, and at most the other. */
const SMALLEST = 3;
const LARGEST_SHARE = 0.35;

interface Square {
  readonly column: number;
  readonly row: number;
  readonly light: number;
  readonly colour: readonly [number, number, number];
}

/**
 * Looks for two plain halves, one bright and one dark, and for the patch that is like neither the half around it.
 * @returns undefined where there are no two halves, or nothing lies on them
 */
export function findCard(raster: Raster): Marks | undefined {
  const wide = raster.width / GRID;
  const high = raster.height / GRID;
  const squares: Square[] = [];
  for (let row = 0; row < GRID; row++)
    for (let column = 0; column < GRID; column++) {
      const patch = patchOf(
        raster,
        { x: (column + 0.5) * wide, y: (row + 0.5) * high },
        Math.max(1, Math.min(wide, high) * 0.4),
      );
      if (patch === undefined) continue;
      const [red, green, blue] = patch.channels;
      squares.push({
        column,
        row,
        light: 0.2126 * linearOf(red) + 0.7152 * linearOf(green) + 0.0722 * linearOf(blue),
        colour: patch.channels,
      });
    }
  const lights = squares.map((square) => square.light).sort((one, other) => one - other);
  const bright = lights[Math.floor(lights.length * 0.9)] ?? 0;
  const whites = squares.filter((square) => square.light >= LIKE_WHITE * bright);
  const blacks = squares.filter((square) => square.light <= LIKE_BLACK * bright);
  if (bright === 0 || whites.length < squares.length * 0.12 || blacks.length < squares.length * 0.12) return undefined;
  const white = middleOf(whites);
  const black = middleOf(blacks);
  const strange = squares.filter((square) => isStrange(square, white, black));
  const deposit = largestPatch(strange);
  if (deposit.length < SMALLEST || deposit.length > squares.length * LARGEST_SHARE) return undefined;
  const at = (square: { column: number; row: number }) => ({
    x: (square.column + 0.5) * wide,
    y: (square.row + 0.5) * high,
  });
  const centre = middleOf(deposit);
  const spread = Math.sqrt((deposit.length * wide * high) / Math.PI);
  return {
    white: at(farthestFrom(whites, centre)),
    black: at(farthestFrom(blacks, centre)),
    deposit: at(centre),
    radius: Math.max(2, spread * 0.85),
  };
}

interface Middle {
  readonly column: number;
  readonly row: number;
  readonly colour: readonly [number, number, number];
}

function middleOf(squares: readonly Square[]): Middle {
  const mean = (value: (square: Square) => number) =>
    squares.reduce((sum, one) => sum + value(one), 0) / Math.max(1, squares.length);
  return {
    column: mean((one) => one.column),
    row: mean((one) => one.row),
    colour: [mean((one) => one.colour[0]), mean((one) => one.colour[1]), mean((one) => one.colour[2])],
  };
}

/** Colours this far apart, in channel units, are not one half. */
const APART = 34;
/** The seam between the halves is left out, squares. */
const SEAM = 1.2;

/** Whether a square is like the half on whose side of the seam it lies: a white deposit is strange on black alone. */
function isStrange({ colour, column, row }: Square, white: Middle, black: Middle): boolean {
  const [dx, dy] = [white.column - black.column, white.row - black.row];
  const length = Math.hypot(dx, dy);
  if (length === 0) return false;
  const along = ((column - (white.column + black.column) / 2) * dx + (row - (white.row + black.row) / 2) * dy) / length;
  if (Math.abs(along) < SEAM) return false;
  const half = along > 0 ? white.colour : black.colour;
  return Math.hypot(colour[0] - half[0], colour[1] - half[1], colour[2] - half[2]) > APART;
}

/** The largest group of squares that touch. */
function largestPatch(squares: readonly Square[]): readonly Square[] {
  const open = new Map(squares.map((square) => [`${square.column} ${square.row}`, square]));
  let largest: Square[] = [];
  for (const start of squares) {
    const patch: Square[] = [];
    const next = [start];
    while (next.length > 0) {
      const square = next.pop();
      if (square === undefined || !open.delete(`${square.column} ${square.row}`)) continue;
      patch.push(square);
      for (const [column, row] of [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ] as const) {
        const beside = open.get(`${square.column + column} ${square.row + row}`);
        if (beside !== undefined) next.push(beside);
      }
    }
    // the seam between the halves is one square thin: it is no deposit
    const broad = patch.filter(
      ({ column }) =>
        patch.some((other) => other.column === column + 1) || patch.some((other) => other.column === column - 1),
    );
    if (broad.length > largest.length) largest = broad;
  }
  return largest;
}

/** A square of a half that has others of the half all around, and lies well away from the deposit. */
function farthestFrom(half: readonly Square[], centre: Middle): Square {
  const is = new Set(half.map((square) => `${square.column} ${square.row}`));
  const inner = half.filter(({ column, row }) =>
    [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ].every(([x = 0, y = 0]) => is.has(`${column + x} ${row + y}`)),
  );
  const candidates = inner.length > 0 ? inner : half;
  return candidates.reduce((best, square) =>
    Math.hypot(square.column - centre.column, square.row - centre.row) >
    Math.hypot(best.column - centre.column, best.row - centre.row)
      ? square
      : best,
  );
}
