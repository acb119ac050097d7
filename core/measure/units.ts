/** Lengths and temperatures in a person's own units. The record keeps cm, mm and °C, whatever is shown. */
import { CM_PER_INCH } from "./size.ts";

export const LENGTH_UNITS = ["cm", "in"] as const;
export const TEMPERATURE_UNITS = ["°C", "°F"] as const;

/** In which units a person wants lengths and temperatures. Inches stand for mm as well, of sizes and of rain. */
export interface Units {
  readonly length: (typeof LENGTH_UNITS)[number];
  readonly temperature: (typeof TEMPERATURE_UNITS)[number];
}

/** A unit as it is shown, and the way there and back. */
export interface ShownUnit {
  readonly unit: string;
  /** What is kept, as it is shown. */
  readonly shown: (kept: number) => number;
  /** What was typed, as it is kept. */
  readonly kept: (shown: number) => number;
}

const rounded = (digits: number) => (value: number) => Number(value.toFixed(digits));
const itself = (value: number) => value;
const HUNDREDTHS = rounded(2);
const TENTHS = rounded(1);
const MM_PER_INCH = CM_PER_INCH * 10;

const inches = (perInch: number): ShownUnit => ({
  unit: "in",
  shown: (kept) => HUNDREDTHS(kept / perInch),
  kept: (shown) => HUNDREDTHS(shown * perInch),
});
const FAHRENHEIT: ShownUnit = {
  unit: "°F",
  shown: (kept) => TENTHS(kept * 1.8 + 32),
  kept: (shown) => HUNDREDTHS((shown - 32) / 1.8),
};

/**
 * How a number of the record is shown and typed.
 * @param unit in which it is kept: cm, mm, °C, or any other, which is shown as it is
 */
export function unitShown(unit: string, { length, temperature }: Units): ShownUnit {
  if (length === "in" && unit === "cm") return inches(CM_PER_INCH);
  if (length === "in" && unit === "mm") return inches(MM_PER_INCH);
  if (temperature === "°F" && unit === "°C") return FAHRENHEIT;
  return { unit, shown: itself, kept: itself };
}
