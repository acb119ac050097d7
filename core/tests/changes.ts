/** Changes of a find by chance: of every kind, some of bodies that are not there. */
import fc from "fast-check";
import { type Change, changeSchema } from "../find/changes.ts";
import type { Find } from "../find/schema.ts";

const BY: readonly (string | undefined)[] = [undefined, "ilta"];

/** Any change that makes sense for a find with these bodies; `Z` is of nobody yet. */
export function anyChange(find: Find): fc.Arbitrary<Change> {
  const ids = find.bodies.map((one) => one.id);
  const body = fc.constantFrom(...ids);
  const raw = fc.oneof(
    fc
      .record({
        body,
        by: fc.constantFrom(...BY),
        look: fc.constantFrom(
          { character: "ring", states: ["skirt"] },
          { character: "ring", unseen: "too dark" },
          { character: "base", states: ["sac"] },
          { character: "smell", states: ["aniseed"], sure: false },
          { character: "gill-colour", states: ["white"] },
        ),
      })
      .map(({ body: of, by, look }) => {
        const own = by === undefined ? {} : { by };
        return { kind: "observe", body: of, character: look.character, ...own, entries: [{ ...look, ...own }] };
      }),
    fc
      .record({ body, by: fc.constantFrom(...BY), character: fc.constantFrom("ring", "base", "smell") })
      .map(({ body: of, by, character }) => ({
        kind: "unsee",
        body: of,
        character,
        ...(by === undefined ? {} : { by }),
      })),
    fc
      .record({
        body,
        set: fc.constantFrom<{ field: string; value: unknown }>(
          { field: "age", value: "button" },
          { field: "age", value: "old" },
          { field: "lifted", value: "cut" },
          { field: "wear", value: ["rained-on"] },
          { field: "keep", value: false },
          { field: "measures", value: { capCm: 4 } },
          { field: "measures", value: null },
          { field: "print", value: { laidAt: "2026-09-14T10:20:00Z" } },
          { field: "sameAs", value: ids[0] },
          { field: "sameAs", value: null },
          { field: "ending", value: "left-in-the-ground" },
        ),
      })
      .map(({ body: of, set }) => ({ kind: "set-body", body: of, ...set })),
    fc.constantFrom<object>(
      { kind: "set-site", field: "habitat", value: ["bog"] },
      { kind: "set-site", field: "habitat", value: null },
      { kind: "set-site", field: "host", value: ["birch"] },
      { kind: "set-weather", field: "frostLastNight", value: true },
      { kind: "set-weather", field: "rain24hMm", value: 4 },
      { kind: "set-rule", field: "distance", value: 3 },
      { kind: "set-place", field: "name", value: "the alder bank" },
      { kind: "set-place", field: "name", value: null },
      { kind: "set-find", field: "label", value: "pale one" },
      { kind: "set-find", field: "observers", value: [{ id: "ilta" }] },
      { kind: "add-body", body: { id: "Z", age: "old" }, index: 1 },
      { kind: "add-body", body: { id: "Y", sameAs: ids[0] } },
    ),
    ...(ids.length > 1 ? [body.map((of) => ({ kind: "remove-body", body: of }))] : []),
  );
  return raw.filter((change) => changeSchema.safeParse(change).success).map((change) => changeSchema.parse(change));
}
