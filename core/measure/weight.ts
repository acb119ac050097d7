/** Weights as people have them: grams and kilograms, ounces and pounds (avoirdupois; international pound of 1959). */

export const WEIGHT_UNITS = ["g", "kg", "oz", "lb"] as const;
export type WeightUnit = (typeof WEIGHT_UNITS)[number];

const GRAMS: Readonly<Record<WeightUnit, number>> = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 };

/** A weight in whole grams. @param value above 0 */
export const gramsOf = (value: number, unit: WeightUnit): number => Math.round(value * GRAMS[unit]);

/** Grams in another unit. */
export const weightIn = (grams: number, unit: WeightUnit): number => grams / GRAMS[unit];
