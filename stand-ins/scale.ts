/** A kitchen scale that does not exist: it settles on a weight after a moment, to its own five grams. */

const STEP_G = 5;
/** A mushroom of a cap's breadth weighs about so much, g for a square centimetre; made up. */
const G_PER_SQUARE_CM = 0.62;

/** What the scale shows with a body of that breadth on it; without one, of a middling body. */
export function scaleReading(capCm: number | undefined): { readonly grams: number; readonly simulated: true } {
  const cap = capCm ?? 7;
  return { grams: Math.max(STEP_G, Math.round((G_PER_SQUARE_CM * cap * cap) / STEP_G) * STEP_G), simulated: true };
}
