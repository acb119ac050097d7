/** A find under what hides the truth: weather, hours and wear, each by its name. */
import type { Find } from "../find/schema.ts";
import { WEARS } from "../find/vocabulary.ts";

/** The same find after frost, drought, cold, rain or hours, or with bodies worn in one way. */
export function masked(find: Find, mask: string): Find {
  const weather = find.weather ?? {};
  switch (mask) {
    case "frost":
      return { ...find, weather: { ...weather, frostLastNight: true } };
    case "drought":
      return { ...find, weather: { ...weather, drySpellDays: 60 } };
    case "cold":
      return { ...find, weather: { ...weather, airTempC: -20 } };
    case "rain":
      return { ...find, weather: { ...weather, rain24hMm: 40 } };
    case "stale":
      return { ...find, bodies: find.bodies.map((body) => ({ ...body, hoursSincePicked: 30 })) };
    default: {
      const wear = WEARS.filter((one) => one === mask);
      return {
        ...find,
        bodies: find.bodies.map((body) => ({ ...body, wear: [...new Set([...(body.wear ?? []), ...wear])] })),
      };
    }
  }
}
