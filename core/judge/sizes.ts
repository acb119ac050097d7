/** What a measure says about a sheet. Books are short-sighted, so little is made of it. */
import type { Body } from "../find/schema.ts";
import { theKind } from "../find/the-kind.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import type { Tables } from "../knowledge/tables.ts";
import type { Point } from "./contradictions.ts";

/** Up to this many times the sheet's range is no contradiction at all (common practice: books stop near 15 cm, 20 is met). */
export const LENIENCY = 1.5;
/** Beyond this many times a danger's largest size the point is hard. */
export const HARD_TIMES = 2;

const MEASURES = ["capCm", "stemLengthCm", "stemWidthMm", "thicknessMm"] as const;
const MEASURE_WORDS = {
  capCm: "cap",
  stemLengthCm: "stem length",
  stemWidthMm: "stem width",
  thicknessMm: "thickness",
};

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

const isGrown = (body: Body): boolean => body.age === "mature" || body.age === "old";

/** Whether a value lies outside a range, generously read; only a grown body can be too small. */
function isOff(value: number, smallest: number, largest: number, grown: boolean): boolean {
  return value > largest * LENIENCY || (grown && value < smallest / LENIENCY);
}

/**
 * Weighs a body's measures against every sheet on the tables. Same meaning as `sizePoints`.
 * @param tell called for each point with its row, its family and whether it is hard
 */
export function weighSizes(
  tables: Tables,
  body: Body,
  tell: (row: number, family: "size" | "spore-size", hard: boolean) => void,
): void {
  for (const measure of MEASURES) {
    const value = body.measures?.[measure];
    if (value === undefined) continue;
    const { low, high } = tables.range(measure);
    for (let row = 0; row < low.length; row += 1) {
      const largest = high[row] ?? Number.NaN;
      // a range that a sheet does not give is NaN, and no comparison with it holds
      if (isOff(value, low[row] ?? Number.NaN, largest, isGrown(body))) tell(row, "size", value > largest * HARD_TIMES);
    }
  }
  for (const measure of ["sporeLengthUm", "sporeWidthUm"] as const) {
    const values = body.measures?.[measure];
    if (values === undefined) continue;
    const average = mean(values);
    const { low, high } = tables.range(measure);
    for (let row = 0; row < low.length; row += 1)
      if (isOff(average, low[row] ?? Number.NaN, high[row] ?? Number.NaN, true)) tell(row, "spore-size", false);
  }
}

/** The points that a body's measures make against a sheet, at most one a measure. */
export function sizePoints(sheet: Sheet, body: Body): Point[] {
  const points: Point[] = [];
  for (const measure of MEASURES) {
    const value = body.measures?.[measure];
    const range = sheet.sizes[measure];
    if (value === undefined || range === undefined) continue;
    const [smallest, largest] = range;
    if (!isOff(value, smallest, largest, isGrown(body))) continue;
    const unit = measure.endsWith("Cm") ? "cm" : "mm";
    points.push({
      family: "size",
      character: measure,
      body: body.id,
      hard: value > largest * HARD_TIMES,
      text: `${MEASURE_WORDS[measure]} ${value} ${unit} on ${body.id}; ${theKind(sheet.names.common)} has ${smallest} to ${largest} ${unit}`,
    });
  }
  for (const measure of ["sporeLengthUm", "sporeWidthUm"] as const) {
    const values = body.measures?.[measure];
    const range = sheet.sizes[measure];
    if (values === undefined || range === undefined) continue;
    const average = mean(values);
    if (!isOff(average, range[0], range[1], true)) continue;
    points.push({
      family: "spore-size",
      character: measure,
      body: body.id,
      hard: false,
      text: `spores of ${average.toFixed(1)} µm on ${body.id}; ${theKind(sheet.names.common)} has ${range[0]} to ${range[1]} µm`,
    });
  }
  return points;
}
