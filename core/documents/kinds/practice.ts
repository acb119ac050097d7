/** Sittings of practice as documents: what two devices tried is all kept. */
import { type Sitting, sittingSchema } from "../../practice/sitting.ts";
import { allOf, fieldKind, keyed } from "./fields.ts";

export const sittingKind = fieldKind<Sitting>({
  kind: "sitting",
  schema: sittingSchema,
  fields: ["begunAt", "test", "tries"],
  joins: { tries: allOf(keyed("id")) },
  listed: ({ begunAt }) => ({ at: begunAt }),
});
