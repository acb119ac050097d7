/** What the kitchen keeps, as documents: meals, batches in the store, first tastings. */
import { type Batch, batchSchema } from "../../kitchen/batch.ts";
import { type Meal, mealSchema } from "../../kitchen/meal.ts";
import { type Tasting, tastingSchema } from "../../kitchen/tasting.ts";
import { allOf, fieldKind, heldBy, keyed } from "./fields.ts";

export const mealKind = fieldKind<Meal>({
  kind: "meal",
  schema: mealSchema,
  fields: ["at", "items", "seats", "ticks", "stove", "begun", "pans", "served", "thrownAway", "note"],
  joins: {
    items: heldBy(keyed("find", "body", "batch")),
    seats: heldBy(keyed("person")),
    ticks: heldBy(keyed("find", "code")),
    pans: allOf(),
    // what somebody was served is known of whoever was served on either device
    served: (mine, theirs) => {
      const [one, other] = [mealSchema.shape.served.safeParse(mine), mealSchema.shape.served.safeParse(theirs)];
      if (!one.success || !other.success || one.data === undefined || other.data === undefined) return mine ?? theirs;
      const portions = new Map(
        [...one.data.portions, ...other.data.portions].map((portion) => [`${portion.person} ${portion.kind}`, portion]),
      );
      return { ...other.data, portions: [...portions.values()] };
    },
    thrownAway: (mine, theirs) => theirs ?? mine,
  },
  listed: ({ at }) => ({ at }),
});

export const batchKind = fieldKind<Batch>({
  kind: "batch",
  schema: batchSchema,
  fields: [
    "code",
    "way",
    "kinds",
    "from",
    "madeAt",
    "gramsIn",
    "gramsOut",
    "where",
    "ticks",
    "took",
    "recalls",
    "note",
  ],
  joins: { took: allOf(), recalls: allOf(), from: heldBy(keyed("find", "body")), ticks: heldBy(keyed("find", "code")) },
  listed: ({ madeAt }) => ({ at: madeAt }),
});

export const tastingKind = fieldKind<Tasting>({
  kind: "tasting",
  schema: tastingSchema,
  fields: ["person", "kinds", "find", "body", "begunAt", "portions", "raw", "slice", "felt", "givenUpAt"],
  joins: { portions: allOf(), felt: allOf(), givenUpAt: (mine, theirs) => theirs ?? mine },
  listed: ({ begunAt, find }) => ({ at: begunAt, about: find }),
});
