/** The camera's stand-in: prints of known colour on the split card, under warm light. */
import type { Raster } from "@jittery-cap/core";
import { DEPOSITS, drawSetting, syntheticPicture } from "@jittery-cap/core/synthetic";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

/** What the stand-in can show. */
export const SIMULATED: readonly string[] = Object.keys(DEPOSITS);

/**
 * A picture of a deposit under warm light. The same name and take give the same picture, so that what somebody
 * is shown today can be shown again tomorrow; the next take is another print of the same kind in another noise.
 * @param name a state of `spore-print` the generator knows
 * @param take counted from 0
 * @throws where the name is none of `SIMULATED`
 */
export function simulatedPicture(name: string, take = 0): Raster {
  const index = SIMULATED.indexOf(name);
  if (index < 0) throw new RangeError(`the simulated camera has no ${name}`);
  const random = xoroshiro128plus(1 + index + take * SIMULATED.length);
  const chance = { next: () => uniformFloat64(random) };
  const setting = { ...drawSetting(name, chance), kelvin: 2900, balanced: 0.3, exposure: 0.6, noise: 2 };
  return syntheticPicture(setting, chance).raster;
}
