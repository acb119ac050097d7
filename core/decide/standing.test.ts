import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { applyChange } from "../find/apply-change.ts";
import type { Change } from "../find/changes.ts";
import type { Find } from "../find/schema.ts";
import { basketFinds } from "../tests/border-finds.ts";
import { decideBy } from "../tests/decide-by.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { basketOf } from "./basket.ts";
import { NOTHING_CLEARED, type Standing, standingOf, stricterStanding } from "./standing.ts";

const RUNS = Number(process.env.LAW_RUNS ?? 60);

/** A change of the record after it was decided, chosen by two numbers. */
const KINDS = ["strike", "unsure", "other-state", "set-aside", "remove", "another-body", "weather"] as const;
const steps = fc.array(fc.tuple(fc.constantFrom(...KINDS), fc.nat(), fc.nat()), { minLength: 1, maxLength: 8 });

function changeOf(find: Find, [kind, bodyPick, entryPick]: [(typeof KINDS)[number], number, number]): Change[] {
  const body = find.bodies[bodyPick % Math.max(1, find.bodies.length)];
  if (body === undefined) return [];
  const entry = body.seen?.[entryPick % Math.max(1, body.seen.length)];
  const at = { body: body.id, character: entry?.character ?? "base" } as const;
  switch (kind) {
    case "strike":
      return [{ kind: "unsee", ...at }];
    case "unsure":
      return entry === undefined ? [] : [{ kind: "observe", ...at, entries: [{ ...entry, sure: false }] }];
    case "other-state":
      return [{ kind: "observe", body: body.id, character: "base", entries: [{ character: "base", states: ["sac"] }] }];
    case "set-aside":
      return [{ kind: "set-body", body: body.id, field: "keep", value: false }];
    case "remove":
      return [{ kind: "remove-body", body: body.id }];
    case "another-body":
      return [{ kind: "add-body", body: { id: `N${entryPick % 1000}`, age: "mature" } }];
    case "weather":
      return [{ kind: "set-weather", field: "frostLastNight", value: true }];
  }
}

describe("a decision as it stands now", () => {
  it("clears nothing where nothing is known, and only what every answer clears", () => {
    expect(standingOf([])).to.deep.include({ verdict: "hold", cleared: [] });
    const answer = (verdict: "basket" | "hold", bodies: [string, boolean, "basket" | "hold"][], restsOn: string[]) => ({
      verdict,
      bodies: bodies.map(([body, kept, own]) => ({ body, kept, verdict: own, reasons: [] })),
      restsOn,
      conditions: [],
    });
    const both = answer(
      "basket",
      [
        ["A", true, "basket"],
        ["B", true, "basket"],
      ],
      ["x"],
    );
    const one = answer(
      "basket",
      [
        ["A", false, "basket"],
        ["B", true, "basket"],
      ],
      ["y"],
    );
    const none = answer(
      "hold",
      [
        ["A", true, "basket"],
        ["B", true, "hold"],
      ],
      [],
    );
    expect(standingOf([both])).to.deep.include({ verdict: "basket", cleared: ["A", "B"], restsOn: ["x"] });
    expect(standingOf([both, one])).to.deep.include({ verdict: "basket", cleared: ["B"], restsOn: ["x", "y"] });
    expect(standingOf([both, none])).to.deep.include({ verdict: "hold", cleared: [] });
    expect(standingOf([both, answer("basket", [["A", true, "basket"]], ["x"])]).cleared).to.deep.equal(["A"]);
  });

  it("of two that are told the stricter is taken, whichever comes first, and each thing is kept that either asks for", () => {
    const one: Standing = { verdict: "basket", cleared: ["A", "B"], restsOn: ["x"], conditions: ["cook-through"] };
    const other: Standing = { verdict: "hold", cleared: ["B", "C"], restsOn: ["y"], conditions: ["boil-first"] };
    for (const both of [stricterStanding(one, other), stricterStanding(other, one)]) {
      expect(both.verdict).to.equal("hold");
      expect(both.cleared).to.deep.equal(["B"]);
      expect(both.restsOn).to.have.members(["x", "y"]);
      expect(both.conditions).to.have.members(["cook-through", "boil-first"]);
    }
    expect(stricterStanding(one, NOTHING_CLEARED).cleared).to.deep.equal([]);
    expect(stricterStanding(one, one)).to.deep.equal(one);
  });

  it("never leaves a body among food that the judge does not clear, whatever is changed after it was decided", function () {
    this.timeout(600_000);
    let stillFood = 0;
    let takenBack = 0;
    fc.assert(
      fc.property(fc.constantFrom(...basketFinds()), steps, ({ full }, after) => {
        const decided = decideBy(
          full,
          full.bodies.map(({ id, keep }) => ({ body: id, ending: keep === false ? "looked-at-only" : "basket" })),
          SHIPPED,
        );
        if (!decided.ok) throw new Error(decided.faults.map((fault) => fault.message).join());
        let find = full;
        for (const step of after)
          for (const change of changeOf(find, step)) {
            const applied = applyChange(find, change);
            if (applied.ok) find = applied.value.find;
          }
        const now = assess(find, SHIPPED);
        const today = standingOf([decided.value.answer, now]);
        const carried = basketOf([
          { find: full, current: find, decidedAt: "2026-09-14T12:00:00Z", endings: decided.value.endings, today },
        ]);
        for (const one of carried) {
          if (one.compartment === "apart-from-food") {
            expect(one.takenBack, one.body).not.to.equal(undefined);
            takenBack += 1;
            continue;
          }
          stillFood += 1;
          const record = find.bodies.find((body) => body.id === one.body);
          expect(record, one.body).not.to.equal(undefined);
          expect(record?.keep, one.body).not.to.equal(false);
          expect(now.verdict).to.equal("basket");
          // asked of the distances themselves, and not of the verdict on the body
          for (const { sheet, aside, bodies } of now.dangers)
            if (aside !== true)
              expect(bodies.find((distance) => distance.body === one.body)?.status, sheet).to.equal("ruled-out");
        }
      }),
      { numRuns: RUNS },
    );
    expect(stillFood, "bodies still among food").to.be.above(0);
    expect(takenBack, "bodies taken back").to.be.above(0);
  });
});
