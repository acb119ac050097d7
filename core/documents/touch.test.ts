import { expect } from "chai";
import fc from "fast-check";
import { canonicalFind, canonicalJson } from "../find/canonical.ts";
import type { Change } from "../find/changes.ts";
import type { Find } from "../find/schema.ts";
import { finds } from "../tests/arbitraries.ts";
import { bodyOf, findOf } from "../tests/build.ts";
import { anyChange } from "../tests/changes.ts";
import { findKind } from "./kinds/find.ts";
import { settingsKind } from "./kinds/settings.ts";
import { LOCAL_PERSON } from "./policy.ts";
import { type ArchiveChange, applyTouches, doMeet, touchSchemaOf } from "./touch.ts";

const RUNS = Number(process.env.LAW_RUNS ?? 150);

type Changes = { readonly changes: readonly (Change | ArchiveChange)[] };
const held = (find: Find) => ({ content: find, archived: false });
const after = (find: Find, touches: readonly Changes[]) => applyTouches(findKind, held(find), touches);
const text = (find: Find, touches: readonly Changes[]) => {
  const applied = after(find, touches);
  return applied.ok ? canonicalJson({ content: applied.value.content, archived: applied.value.archived }) : undefined;
};

const touchesOf = (find: Find, most = 3): fc.Arbitrary<Changes[]> =>
  fc.array(fc.record({ changes: fc.array(anyChange(find), { minLength: 1, maxLength: 3 }) }), {
    minLength: 1,
    maxLength: most,
  });

/** A record to the letter, but for the order of its bodies. */
const sorted = (find: Find) =>
  canonicalJson({ ...find, bodies: [...find.bodies].sort((one, other) => one.id.localeCompare(other.id)) });

/** A find of some bodies with the touches of two devices. */
const twoDevices = () =>
  finds().chain((drawn) => {
    const find = canonicalFind(drawn);
    return fc.tuple(fc.constant(find), touchesOf(find), touchesOf(find));
  });

/** All ways to lay two lists into one another that keep the order of each. */
function interleavings<One>(mine: readonly One[], theirs: readonly One[]): One[][] {
  const [first, other] = [mine[0], theirs[0]];
  if (first === undefined) return [[...theirs]];
  if (other === undefined) return [[...mine]];
  return [
    ...interleavings(mine.slice(1), theirs).map((rest) => [first, ...rest]),
    ...interleavings(mine, theirs.slice(1)).map((rest) => [other, ...rest]),
  ];
}

describe("the touches of two devices that do not meet", () => {
  it("give one record in any order, and none of them is refused", () => {
    let tried = 0;
    fc.assert(
      fc.property(twoDevices(), ([find, mine, theirs]) => {
        fc.pre(after(find, mine).ok && after(find, theirs).ok && !doMeet(findKind, mine, theirs));
        tried += 1;
        const orders = interleavings(mine, theirs).map((order) => text(find, order));
        expect(orders[0]).not.to.equal(undefined);
        expect(new Set(orders)).to.have.property("size", 1);
      }),
      { numRuns: RUNS },
    );
    expect(tried).to.be.at.least(RUNS);
  });

  it("meet where both look at one thing, where one takes out what the other looks at, and where one puts it all away", () => {
    const one = (change: Change | ArchiveChange) => [{ changes: [change] }];
    const ring: Change = {
      kind: "observe",
      body: "A",
      character: "ring",
      entries: [{ character: "ring", states: ["skirt"] }],
    };
    const base: Change = { kind: "unsee", body: "A", character: "base" };
    const meets = (mine: Change | ArchiveChange, theirs: Change | ArchiveChange) =>
      doMeet(findKind, one(mine), one(theirs));
    expect(meets(ring, base)).to.equal(false);
    expect(meets(ring, { kind: "unsee", body: "A", character: "ring" })).to.equal(true);
    expect(meets(ring, { kind: "unsee", body: "A", character: "ring", by: "ilta" })).to.equal(false);
    expect(meets(ring, { kind: "remove-body", body: "A" })).to.equal(true);
    expect(meets(ring, { kind: "remove-body", body: "B" })).to.equal(false);
    expect(meets({ kind: "remove-body", body: "A" }, { kind: "remove-body", body: "B" })).to.equal(true);
    expect(
      meets({ kind: "set-body", body: "B", field: "sameAs", value: "A" }, { kind: "remove-body", body: "A" }),
    ).to.equal(true);
    expect(meets({ kind: "archive" }, base)).to.equal(true);
  });
});

describe("what lies between two records", () => {
  it("makes the one of the other, and is nothing where they are the same", () => {
    fc.assert(
      fc.property(twoDevices(), ([find, mine, theirs]) => {
        const [one, other] = [after(find, mine), after(find, theirs)];
        fc.pre(one.ok && other.ok);
        if (!one.ok || !other.ok) return;
        const changes = findKind.between(one.value.content, other.value.content) ?? [];
        const made = changes.length === 0 ? one : after(one.value.content, [{ changes }]);
        expect(made.ok && sorted(made.value.content)).to.equal(sorted(other.value.content));
        expect(findKind.between(find, find)).to.deep.equal([]);
      }),
      { numRuns: RUNS },
    );
  });
});

describe("a touch", () => {
  it("taken back as one leaves the record as it was, to the letter, putting away among its changes", () => {
    fc.assert(
      fc.property(twoDevices(), fc.boolean(), ([find, touches], puts) => {
        const all: Changes[] = puts ? [...touches, { changes: [{ kind: "archive" }] }] : touches;
        const applied = after(find, all);
        fc.pre(applied.ok);
        if (!applied.ok) return;
        const back = [...applied.value.inverses].reverse().map((changes) => ({ changes }));
        const undone = applyTouches(findKind, applied.value, back);
        expect(undone.ok && canonicalJson(undone.value.content)).to.equal(canonicalJson(find));
        expect(undone.ok && undone.value.archived).to.equal(false);
      }),
      { numRuns: RUNS },
    );
  });

  it("among many at once does what it does after those before it", () => {
    fc.assert(
      fc.property(twoDevices(), ([find, mine, theirs]) => {
        const list = [...mine, ...theirs];
        const together = after(find, list);
        let content = find;
        const inverses: unknown[] = [];
        for (const touch of list) {
          const one = after(content, [touch]);
          // what a later touch of the batch mends was never stored as it was
          if (!one.ok) return;
          content = one.value.content;
          inverses.push(...one.value.inverses);
        }
        expect(together.ok && canonicalJson(together.value.content)).to.equal(canonicalJson(content));
        expect(together.ok && together.value.inverses).to.deep.equal(inverses);
      }),
      { numRuns: RUNS },
    );
  });

  it("that makes no sound record is refused with its place, and changes nothing", () => {
    const find = findOf([bodyOf({ ring: "skirt" })]);
    const before = canonicalJson(find);
    const label: Changes = { changes: [{ kind: "set-find", field: "label", value: "x" }] };
    const stray: Changes = { changes: [{ kind: "set-body", body: "A", field: "sameAs", value: "Q" }] };
    const nobody: Changes = { changes: [{ kind: "remove-body", body: "Q" }] };
    const pathOf = (touches: readonly Changes[]) => {
      const refused = after(find, touches);
      return refused.ok ? undefined : refused.faults[0]?.path;
    };
    expect(pathOf([label, stray, label])).to.equal("touches[1].bodies[0].sameAs");
    expect(pathOf([label, nobody])).to.equal("touches[1].changes[0].body");
    expect(pathOf([{ changes: [{ kind: "restore" }] }])).to.equal("touches[0].changes[0]");
    expect(pathOf([{ changes: [{ kind: "archive" }] }, label])).to.equal("touches[1].changes[0]");
    expect(canonicalJson(find)).to.equal(before);
  });

  it("sets a field only to what the field holds", () => {
    const schema = touchSchemaOf(findKind);
    const touch = (change: object) => ({
      id: "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10",
      at: "2026-09-14T10:20:00Z",
      by: LOCAL_PERSON,
      changes: [change],
    });
    const isTaken = (change: object) => schema.safeParse(touch(change)).success;
    expect(isTaken({ kind: "set-body", body: "A", field: "age", value: "old" })).to.equal(true);
    expect(isTaken({ kind: "set-body", body: "A", field: "age", value: null })).to.equal(true);
    expect(isTaken({ kind: "set-body", body: "A", field: "age", value: "ancient" })).to.equal(false);
    expect(isTaken({ kind: "set-body", body: "A", field: "seen", value: [] })).to.equal(false);
    expect(isTaken({ kind: "set-weather", field: "rain24hMm", value: "much" })).to.equal(false);
    expect(isTaken({ kind: "set-weather", field: "habitat", value: ["bog"] })).to.equal(false);
    expect(isTaken({ kind: "archive" })).to.equal(true);
    expect(touchSchemaOf(settingsKind).safeParse(touch({ kind: "archive" })).success).to.equal(false);
  });
});
