import { expect } from "chai";
import fc from "fast-check";
import { z } from "zod";
import { summarise } from "../answer/summary.ts";
import { canonicalJson } from "../find/canonical.ts";
import { HOUSE_RULES } from "../settings/house-rules.ts";
import { type Settings, settingsSchema } from "../settings/settings.ts";
import { borderFinds } from "../tests/border-finds.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { type DocumentKind, readContent } from "./kind.ts";
import { findKind } from "./kinds/find.ts";
import { settingsKind } from "./kinds/settings.ts";
import { KIND_NAMES, KINDS } from "./kinds.ts";
import { may } from "./policy.ts";
import { applyTouches } from "./touch.ts";

/** A kind of which the first version held a name, the second a list of names, the third a list with a count. */
const basketKind: DocumentKind<{ names: string[]; count: number }, never> = {
  kind: "toy",
  version: 3,
  schema: z.strictObject({ names: z.array(z.string()), count: z.number() }),
  upgrades: [
    (content) => ({ names: [z.object({ name: z.string() }).parse(content).name] }),
    (content) => {
      const { names } = z.object({ names: z.array(z.string()) }).parse(content);
      return { names, count: names.length };
    },
  ],
  canArchive: false,
  canonical: (content) => content,
  draft: (_content, change) => change,
  reach: (change) => change,
  merge: () => undefined,
  between: () => undefined,
  listed: () => ({}),
};

describe("a document of an older version", () => {
  it("is read through every upgrade behind it, and only through those", () => {
    const now = { ok: true, value: { names: ["bay bolete"], count: 1 } };
    expect(readContent(basketKind, { name: "bay bolete" }, 1)).to.deep.equal(now);
    expect(readContent(basketKind, { names: ["bay bolete"] }, 2)).to.deep.equal(now);
    expect(readContent(basketKind, { names: ["bay bolete"], count: 1 }, 3)).to.deep.equal(now);
    expect(readContent(basketKind, { names: ["bay bolete"] }, 3).ok).to.equal(false);
  });

  it("of a version that this program does not know is told apart, never guessed at", () => {
    for (const version of [4, 0, -1]) {
      const read = readContent(basketKind, { names: [], count: 0 }, version);
      expect(read.ok).to.equal(false);
      if (!read.ok) expect(read.faults[0]?.path).to.equal("version");
    }
  });
});

describe("the kinds", () => {
  it("are known by their own names, and each has an upgrade for every version behind its own", () => {
    for (const name of KIND_NAMES) {
      expect(KINDS[name].kind).to.equal(name);
      expect(KINDS[name].upgrades).to.have.length(KINDS[name].version - 1);
    }
    expect(Object.keys(KINDS).sort()).to.deep.equal([...KIND_NAMES].sort());
  });
});

describe("own settings", () => {
  const anySettings = (): fc.Arbitrary<Settings> =>
    fc
      .record({
        rules: fc.record(
          Object.fromEntries(
            HOUSE_RULES.map(({ rule, schools }) => [rule, fc.constantFrom(...schools.map((school) => school.value))]),
          ),
          { requiredKeys: [] },
        ),
        limits: fc.uniqueArray(
          fc.constantFrom(
            { kind: "all", grams: 1000 },
            { kind: "all", pieces: 20 },
            { kind: "imleria-badia", grams: 5 },
          ),
        ),
      })
      .map((drawn) => settingsSchema.parse(drawn));

  it("go from one to another by their changes, and back by what those leave", () => {
    fc.assert(
      fc.property(anySettings(), anySettings(), (one, other) => {
        const changes = settingsKind.between(one, other) ?? [];
        if (changes.length === 0) {
          expect(canonicalJson(one)).to.equal(canonicalJson(other));
          return;
        }
        const applied = applyTouches(settingsKind, { content: one, archived: false }, [{ changes }]);
        if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
        expect(canonicalJson(applied.value.content)).to.equal(canonicalJson(other));
        const back = applyTouches(settingsKind, applied.value, [{ changes: applied.value.inverses[0] ?? [] }]);
        expect(back.ok && canonicalJson(back.value.content)).to.equal(canonicalJson(one));
      }),
      { numRuns: 200 },
    );
  });

  it("merged keep every limit of both and loosen no rule of either, whichever came first", () => {
    fc.assert(
      fc.property(anySettings(), anySettings(), (one, other) => {
        const [merged, turned] = [settingsKind.merge(undefined, one, other), settingsKind.merge(one, other, one)];
        if (merged === undefined || turned === undefined) throw new Error("settings can always be merged");
        expect(merged.rules).to.deep.equal(turned.rules);
        expect(merged.limits).to.have.deep.members(turned.limits);
        for (const limit of [...one.limits, ...other.limits]) expect(merged.limits).to.deep.include(limit);
      }),
      { numRuns: 200 },
    );
  });
});

describe("two records of one find", () => {
  const PERMITS = { leave: 0, hold: 1, basket: 2 };
  it("of which one is what both began with are the other; else nothing of them is surer than in either", () => {
    fc.assert(
      fc.property(borderFinds(), borderFinds(), (mine, other) => {
        const theirs = { ...other, id: mine.id };
        expect(canonicalJson(findKind.merge(mine, mine, theirs))).to.equal(canonicalJson(theirs));
        expect(canonicalJson(findKind.merge(theirs, mine, theirs))).to.equal(canonicalJson(mine));
        const both = findKind.merge(undefined, mine, theirs);
        if (both === undefined) throw new Error("two finds can always be put together");
        const sure = (find: typeof mine, body: string) =>
          (find.bodies.find((one) => one.id === body)?.seen ?? []).filter(
            (entry) => entry.states !== undefined && entry.sure !== false,
          );
        for (const { id, seen = [] } of both.bodies)
          for (const entry of seen)
            if (entry.states !== undefined && entry.sure !== false) {
              const words = canonicalJson(entry);
              expect([...sure(mine, id), ...sure(theirs, id)].map((one) => canonicalJson(one))).to.include(words);
            }
        // most are stricter as well; the judge says of each before it is offered
        expect(PERMITS[summarise(both, SHIPPED).verdict]).to.be.within(0, 2);
      }),
      { numRuns: 30 },
    );
  });
});

describe("who may what", () => {
  const mine = { kind: "person", id: "0193a000-0000-7000-8000-000000000001" } as const;
  const stranger = { kind: "person", id: "0193a000-0000-7000-8000-000000000002" } as const;
  const bearer = { kind: "bearer", packet: "0193a000-0000-7000-8000-000000000003" } as const;
  const VERBS = ["read", "create", "touch", "share"] as const;

  it("is the owner's for all that is theirs, but for what is frozen or was said by others", () => {
    for (const kind of KIND_NAMES)
      for (const verb of VERBS) {
        const isFixed = verb === "touch" && (kind === "decision" || kind === "opinion");
        expect(may(mine, verb, { kind, ownerId: mine.id }), `${verb} ${kind}`).to.equal(!isFixed);
        expect(may(stranger, verb, { kind, ownerId: mine.id }), `${verb} ${kind}`).to.equal(false);
      }
  });

  it("is of a link's bearer one thing: to say what they saw", () => {
    for (const kind of KIND_NAMES)
      for (const verb of VERBS)
        expect(may(bearer, verb, { kind, ownerId: mine.id }), `${verb} ${kind}`).to.equal(
          verb === "create" && kind === "opinion",
        );
  });
});
