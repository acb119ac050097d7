/**
 * One invented autumn in an invented lakeland of birch, spruce, hazel and old pasture.
 * Places, people and finds are made up; the mushrooms behave as mushrooms do.
 */
import { type Find, findSchema } from "@jittery-cap/core";
import { FROM_OCTOBER } from "./season-october.ts";
import { SEPTEMBER } from "./season-september.ts";

const FIRST_ID = 0x700000000001n;

/** The finds of the season, in the order told, with ids that never change. */
export function seasonFinds(): readonly Find[] {
  return [...SEPTEMBER, ...FROM_OCTOBER].map((told, index) => {
    const time = BigInt(Date.parse(told.foundAt ?? ""))
      .toString(16)
      .padStart(12, "0");
    const tail = (FIRST_ID + BigInt(index)).toString(16).padStart(12, "0");
    const id = `${time.slice(0, 8)}-${time.slice(8, 12)}-7000-8000-${tail}`;
    return findSchema.parse({ format: "jittery-cap/find", version: 1, id, ...told });
  });
}
