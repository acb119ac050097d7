import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { summaryOf } from "../answer/summary.ts";
import type { Find } from "../find/schema.ts";
import { ENDINGS } from "../find/vocabulary.ts";
import { DEFAULT_RULES } from "../judge/condition.ts";
import { experienceMissing, FIRST_YEARS, HOUSE_RULES, isDefault } from "../settings/house-rules.ts";
import { finds } from "../tests/arbitraries.ts";
import { bodyOf, FIELD_MUSHROOM, findOf, GRASS, OLDER, PALE_ON_GRASS } from "../tests/build.ts";
import { decideBy } from "../tests/decide-by.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { endingInForce, endingsFor, isAmongFood, permitsEnding, withEndingsInForce } from "./endings.ts";

const CLEAR = findOf([bodyOf(FIELD_MUSHROOM), OLDER], GRASS);
const OPEN = findOf([bodyOf(PALE_ON_GRASS), OLDER], GRASS);
const DEADLY_AMONG_GOOD = findOf(
  [
    bodyOf(FIELD_MUSHROOM),
    OLDER,
    bodyOf({ "cap-colour": "white", "gill-colour": "white", base: "sac", ring: "skirt" }, { id: "C" }),
  ],
  GRASS,
);
const endingsOf = (find: Find, ending: (typeof ENDINGS)[number], reason?: string) =>
  find.bodies.map(({ id }) => ({
    body: id,
    ending: id === "B" ? ("looked-at-only" as const) : ending,
    ...(reason === undefined ? {} : { reason }),
  }));

describe("how a body may end", () => {
  it("never among food where the answer does not clear it, whatever the find and whatever the ending", () => {
    fc.assert(
      fc.property(finds(), fc.constantFrom(...ENDINGS), (find, ending) => {
        const answer = assess(find, SHIPPED);
        for (const { id } of find.bodies) {
          const own = answer.bodies.find((one) => one.body === id);
          if (permitsEnding(answer, id, ending) && isAmongFood(ending))
            expect([answer.verdict, own?.verdict, own?.kept]).to.deep.equal(["basket", "basket", true]);
          const inForce = endingInForce(answer, id, ending);
          if (answer.verdict !== "basket" && inForce !== undefined) expect(isAmongFood(inForce)).to.equal(false);
        }
      }),
      { numRuns: 80 },
    );
  });

  it("stricter at any time: every ending that is not among food is open for every body", () => {
    for (const { ending, permitted } of endingsFor(assess(OPEN, SHIPPED), "A"))
      expect(permitted, ending).to.equal(!isAmongFood(ending));
    expect(endingsFor(assess(CLEAR, SHIPPED), "A").every((one) => one.permitted)).to.equal(true);
  });

  it("good ones beside a deadly one in one cluster stay out of the basket too", () => {
    const answer = assess(DEADLY_AMONG_GOOD, SHIPPED);
    for (const body of ["A", "B", "C"]) expect(permitsEnding(answer, body, "basket"), body).to.equal(false);
  });

  it("an ending that a file claims is read as home to finish, apart from food", () => {
    expect(endingInForce(assess(OPEN, SHIPPED), "A", "basket")).to.equal("home-to-finish");
    expect(endingInForce(assess(CLEAR, SHIPPED), "A", "basket")).to.equal("basket");
    expect(endingInForce(assess(OPEN, SHIPPED), "A", undefined)).to.equal(undefined);
    const claiming = (find: Find): Find => ({
      ...find,
      bodies: find.bodies.map((body) => ({ ...body, ending: "basket" })),
    });
    const endings = (find: Find) => find.bodies.map((body) => body.ending);
    const out = (find: Find) => endings(withEndingsInForce(claiming(find), assess(find, SHIPPED)));
    expect(out(OPEN)).to.deep.equal(OPEN.bodies.map(() => "home-to-finish"));
    expect(out(CLEAR)[0]).to.equal("basket");
    expect(endings(withEndingsInForce(claiming(CLEAR), undefined))).to.deep.equal(
      CLEAR.bodies.map(() => "home-to-finish"),
    );
  });
});

describe("a decision", () => {
  it("is frozen with record, rules, edition and answer", () => {
    const decided = decideBy(CLEAR, endingsOf(CLEAR, "basket"), SHIPPED);
    if (!decided.ok) throw new Error(JSON.stringify(decided.faults));
    expect(decided.value).to.deep.include({ find: CLEAR, rules: DEFAULT_RULES, edition: SHIPPED.edition });
    expect(decided.value.answer).to.deep.equal(summaryOf(assess(CLEAR, SHIPPED)));
  });

  it("is refused where it would permit more than the answer, and says at most what", () => {
    const decided = decideBy(OPEN, endingsOf(OPEN, "basket"), SHIPPED);
    expect(decided.ok).to.equal(false);
    expect(JSON.stringify(decided)).to.contain("endings[0].ending").and.to.contain("home to finish");
    expect(decideBy(OPEN, endingsOf(OPEN, "home-to-finish"), SHIPPED).ok).to.equal(true);
  });

  it("wants a reason where it is stricter than the answer", () => {
    expect(JSON.stringify(decideBy(CLEAR, endingsOf(CLEAR, "left-to-grow"), SHIPPED))).to.contain("endings[0].reason");
    expect(decideBy(CLEAR, endingsOf(CLEAR, "left-to-grow", "a wet day"), SHIPPED).ok).to.equal(true);
  });

  it("decides every body once, and no stranger", () => {
    const [first] = endingsOf(CLEAR, "basket");
    if (first === undefined) throw new Error("no body");
    expect(JSON.stringify(decideBy(CLEAR, [first], SHIPPED))).to.contain("B is not decided");
    expect(JSON.stringify(decideBy(CLEAR, [...endingsOf(CLEAR, "basket"), first], SHIPPED))).to.contain(
      "decided twice",
    );
    expect(
      JSON.stringify(decideBy(CLEAR, [...endingsOf(CLEAR, "basket"), { body: "Q", ending: "left-unknown" }], SHIPPED)),
    ).to.contain("no body Q");
  });
});

describe("house rules", () => {
  it("each have both schools with their reasons, and a default among them", () => {
    for (const { rule, schools } of HOUSE_RULES) {
      expect(schools.length, rule).to.be.at.least(2);
      expect(
        schools.filter((school) => isDefault(rule, school.value)),
        rule,
      ).to.have.length(1);
      for (const school of schools) expect(school.reason.length).to.be.above(20);
    }
    expect(HOUSE_RULES.map(({ rule }) => rule)).to.have.members(Object.keys(DEFAULT_RULES));
  });

  it("of the first years never permit what the defaults do not", () => {
    const rank = { leave: 0, hold: 1, basket: 2 };
    fc.assert(
      fc.property(finds(), (find) => {
        const { rules: _rules, ...plain } = find;
        const strict = assess({ ...plain, rules: FIRST_YEARS }, SHIPPED).verdict;
        expect(rank[strict]).to.be.at.most(rank[assess(plain, SHIPPED).verdict]);
      }),
      { numRuns: 60 },
    );
  });

  it("the woodtuft may be allowed only where the record shows a funeral bell that was looked at", () => {
    expect(experienceMissing("smallBrown", "known", [CLEAR])).to.contain("funeral bell");
    const bell = findOf(
      [
        bodyOf(
          {
            ring: "skirt",
            underside: "gills",
            "gill-colour": "brown",
            "cap-colour": "brown",
            "stem-surface": "smooth",
          },
          { ending: "looked-at-only" },
        ),
      ],
      { takenFor: "galerina-marginata" },
    );
    expect(experienceMissing("smallBrown", "known", [CLEAR, bell])).to.equal(undefined);
    const [body] = bell.bodies;
    const glance: Find = { ...bell, bodies: body === undefined ? [] : [{ ...body, seen: body.seen?.slice(0, 2) }] };
    expect(experienceMissing("smallBrown", "known", [glance])).not.to.equal(undefined);
    expect(experienceMissing("amanitas", "known", [])).to.equal(undefined);
  });
});
