/** A serving written down: what was had, what left basket and store by it, and the tastings that begin with it. */
import { kindKey, type Meal, type Portion, type Share, TASTING_STEPS } from "@jittery-cap/core/kitchen";
import { type Kept, keepTouch, touchNow } from "../documents/documents.ts";
import { make, setFields } from "../documents/keep-fields.ts";

interface Serving {
  readonly id: string;
  readonly meal: Meal;
  readonly portions: readonly Portion[];
  readonly shares: readonly Share[];
  readonly batches: readonly Kept<"batch">[];
}

/**
 * Writes a serving down, takes what was cooked out of basket and store, and begins the tastings of those to whom a kind is new.
 * @returns what was wrong with it; then nothing was done
 */
export async function serveMeal({ id, meal, portions, shares, batches }: Serving): Promise<string | undefined> {
  const at = new Date().toISOString();
  const refused = await setFields("meal", id, { served: { at, portions: [...portions] } });
  if (refused !== undefined) return refused;
  for (const item of meal.items) {
    const jar = batches.find((one) => one.id === item.batch);
    if (jar !== undefined)
      await setFields("batch", jar.id, { took: [...jar.content.took, { at, grams: item.grams, how: "eaten" }] });
    else if (item.batch === undefined)
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
  return undefined;
}
