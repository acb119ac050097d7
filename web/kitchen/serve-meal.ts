/** A serving written down: what was had, what left basket and store by it, and the tastings that begin with it. */
import { kindKey, type Meal, type Portion, type Share, TASTING_STEPS } from "@jittery-cap/core/kitchen";
import { type Kept, keepTouch, together, touchNow } from "../documents/documents.ts";
import { make, setFields } from "../documents/keep-fields.ts";

interface Serving {
  readonly id: string;
  readonly meal: Meal;
  readonly portions: readonly Portion[];
  readonly shares: readonly Share[];
  readonly batches: readonly Kept<"batch">[];
}

/** A serving that cannot be written down whole. */
class Refused extends Error {}

/**
 * Writes a serving down, takes what was cooked out of basket and store, and begins the tastings of those to whom a kind is new:
 * all of it or nothing.
 * @returns what was wrong with it; then nothing was done
 */
export async function serveMeal(serving: Serving): Promise<string | undefined> {
  try {
    await together(() => written(serving));
    return undefined;
  } catch (error) {
    if (error instanceof Refused) return error.message;
    throw error;
  }
}

async function written({ id, meal, portions, shares, batches }: Serving): Promise<void> {
  const at = new Date().toISOString();
  orThrow(await setFields("meal", id, { served: { at, portions: [...portions] } }));
  for (const item of meal.items) {
    const jar = batches.find((one) => one.id === item.batch);
    if (jar !== undefined)
      orThrow(
        await setFields("batch", jar.id, { took: [...jar.content.took, { at, grams: item.grams, how: "eaten" }] }),
      );
    else if (item.batch === undefined)
      // a find that this device does not hold any more cannot be emptied here; that it was eaten is told all the same
      await keepTouch(
        "find",
        item.find,
        touchNow([{ kind: "set-body", body: item.body, field: "parted", value: { how: "emptied", at } }]),
      );
  }
  for (const { person, kind, grams } of portions) {
    const isNew = shares.some((one) => one.person === person && one.kind === kind && one.refusals.includes("new-kind"));
    const item = meal.items.find((one) => kindKey(one.kinds) === kind);
    if (!isNew || item === undefined) continue;
    await make("tasting", {
      person,
      kinds: item.kinds,
      find: item.find,
      body: item.body,
      begunAt: at,
      portions: [{ at, grams: Math.min(grams, TASTING_STEPS[0].grams) }],
      // that one is kept back raw was ticked before anything came to the pot
      raw: { where: "kept back when it was cooked", at },
      felt: [],
    });
  }
}

function orThrow(fault: string | undefined): void {
  if (fault !== undefined) throw new Refused(fault);
}
