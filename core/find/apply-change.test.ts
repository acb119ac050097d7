import { expect } from "chai";
import fc from "fast-check";
import { finds } from "../tests/arbitraries.ts";
import { bodyOf, findOf } from "../tests/build.ts";
import { applyChange, newFind, nextBodyId } from "./apply-change.ts";
import { canonicalFind, canonicalJson } from "./canonical.ts";
import type { Change } from "./changes.ts";
import type { Entry } from "./entry.ts";
import type { Find } from "./schema.ts";

const apply = (find: Find, change: Change) => {
  const applied = applyChange(find, change);
  if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
  return applied.value;
};

const changes = (find: Find): fc.Arbitrary<Change> => {
  const body = fc.constantFrom(...find.bodies.map((one) => one.id));
  return fc.oneof(
    fc.record({
      kind: fc.constant("observe" as const),
      body,
      character: fc.constant("ring" as const),
      entries: fc.constantFrom<Entry[]>(
        [{ character: "ring", states: ["skirt"] }],
        [{ character: "ring", unseen: "too dark" }],
      ),
    }),
    fc.record({
      kind: fc.constant("unsee" as const),
      body,
      character: fc.constantFrom("ring" as const, "base" as const, "smell" as const),
    }),
    fc.record({
      kind: fc.constant("set-body" as const),
      body,
      field: fc.constant("age" as const),
      value: fc.constantFrom("button", "old", null),
    }),
    fc.record({
      kind: fc.constant("set-body" as const),
      body,
      field: fc.constant("measures" as const),
      value: fc.constantFrom<{ capCm: number } | null>({ capCm: 4 }, null),
    }),
    fc.record({
      kind: fc.constant("set-site" as const),
      field: fc.constant("habitat" as const),
      value: fc.constantFrom<string[] | null>(["bog"], null),
    }),
    fc.record({
      kind: fc.constant("set-weather" as const),
      field: fc.constant("frostLastNight" as const),
      value: fc.constantFrom(true, null),
    }),
    fc.record({
      kind: fc.constant("set-rule" as const),
      field: fc.constant("distance" as const),
      value: fc.constantFrom(3, null),
    }),
    fc.record({
      kind: fc.constant("set-place" as const),
      field: fc.constant("name" as const),
      value: fc.constantFrom("the alder bank", null),
    }),
    fc.record({
      kind: fc.constant("set-find" as const),
      field: fc.constant("label" as const),
      value: fc.constantFrom("pale one", null),
    }),
    fc.constant({ kind: "add-body" as const, body: { id: "Z", age: "old" as const }, index: 1 }),
    ...(find.bodies.length > 1 ? [fc.record({ kind: fc.constant("remove-body" as const), body })] : []),
  );
};

describe("an edit", () => {
  it("taken back leaves the record as it was, byte for byte", () => {
    fc.assert(
      fc.property(
        finds().chain((find) =>
          fc.tuple(fc.constant(canonicalFind(find)), fc.array(changes(find), { minLength: 1, maxLength: 6 })),
        ),
        ([find, list]) => {
          const undo: Change[] = [];
          let current = find;
          for (const change of list) {
            const applied = applyChange(current, change);
            if (!applied.ok) continue;
            current = applied.value.find;
            undo.unshift(applied.value.inverse);
          }
          for (const inverse of undo) current = apply(current, inverse).find;
          expect(canonicalJson(current)).to.equal(canonicalJson(find));
        },
      ),
      { numRuns: 200 },
    );
  });

  it("leaves the find it was given untouched", () => {
    const find = findOf([bodyOf({ ring: "skirt" })]);
    const before = canonicalJson(find);
    apply(find, { kind: "unsee", body: "A", character: "ring" });
    expect(canonicalJson(find)).to.equal(before);
  });

  it("that would make no valid find is refused with the path, and changes nothing", () => {
    const find = findOf([bodyOf({})]);
    const refused = applyChange(find, { kind: "set-body", body: "A", field: "sameAs", value: "Q" });
    expect(refused.ok).to.equal(false);
    if (!refused.ok) expect(refused.faults[0]?.path).to.equal("bodies[0].sameAs");
    expect(applyChange(find, { kind: "unsee", body: "Q", character: "ring" }).ok).to.equal(false);
    expect(applyChange(find, { kind: "remove-body", body: "A" }).ok, "the last body").to.equal(false);
  });

  it("of one observer leaves another's look alone", () => {
    const find = findOf([{ id: "A", seen: [{ character: "smell", states: ["aniseed"], by: "ilta" }] }]);
    const both = apply(find, {
      kind: "observe",
      body: "A",
      character: "smell",
      by: "orvo",
      entries: [{ character: "smell", states: ["none"], by: "orvo" }],
    });
    expect(both.find.bodies[0]?.seen).to.have.length(2);
  });
});

describe("a new find", () => {
  it("has one body of which nothing is supposed, not even its age", () => {
    const find = newFind("0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10", "2026-09-14T10:20:00Z");
    expect(find.bodies).to.have.length(1);
    expect(find.bodies[0]?.age).to.equal(undefined);
    expect(find.bodies[0]?.seen).to.equal(undefined);
    expect(nextBodyId(find)).to.equal("B");
  });
});
