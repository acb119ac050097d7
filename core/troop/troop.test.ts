import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { applyChange } from "../find/apply-change.ts";
import { canonicalFind } from "../find/canonical.ts";
import type { Body, Find } from "../find/schema.ts";
import { CHARACTERS } from "../find/vocabulary.ts";
import { finds } from "../tests/arbitraries.ts";
import { answerTo, bodyOf, FIELD_MUSHROOM, findOf, GRASS, mistakesTo, OLDER, type Seen } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { disagreements } from "./disagreements.ts";
import { bodyLike, quickLookCount, sameAsModel, TOUCHES, touchesOf } from "./quick-look.ts";
import { splitOff } from "./split.ts";

const FULL: Seen = { ...FIELD_MUSHROOM, "flesh-colour": "white" };
const GROWN: Partial<Body> = { age: "mature" };
const bodiesOf = (...all: readonly [string, Seen, Partial<Body>?][]) =>
  findOf(all.map(([id, words, more]) => bodyOf(words, { id, ...more })));
const applied = (find: Find, changes: readonly Parameters<typeof applyChange>[1][]): Find =>
  changes.reduce((current, change) => {
    const next = applyChange(current, change);
    if (!next.ok) throw new Error(JSON.stringify(next.faults));
    return next.value.find;
  }, find);

describe("a further body like another", () => {
  it("takes over what a glance shows, and nothing of foot, cut, nose or print", () => {
    const like = bodyLike(bodyOf({ ...FULL, "spore-print": "chocolate-brown" }), "C");
    const characters = like.seen?.map((entry) => entry.character) ?? [];
    expect(characters).to.include.members(["underside", "gill-colour", "ring"]);
    expect(characters).not.to.include.members(["base"]);
    for (const hidden of ["base", "stain-base", "flesh-colour", "smell", "spore-print"] as const)
      expect(characters).not.to.include(hidden);
    expect(like.seen?.every((entry) => entry.sure === false)).to.equal(true);
    expect(like.measures).to.equal(undefined);
  });

  it("moves no danger away: every danger is as near to it as to a body nobody has looked at", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const model = find.bodies[0];
        if (model === undefined) return;
        const like = bodyLike(model, "Z9");
        const bare: Body = { ...like, seen: [] };
        const distances = (body: Body) =>
          assess({ ...find, bodies: [body] }, SHIPPED)
            .dangers.map(({ sheet, mistakes }) => `${sheet} ${mistakes}`)
            .sort();
        expect(distances(like)).to.deep.equal(distances(bare));
      }),
      { numRuns: 60 },
    );
  });

  it("keeps a find from the basket until it has been looked at", () => {
    const one = bodyOf(FULL, { id: "A" });
    expect(answerTo([one, OLDER], GRASS).verdict).to.equal("basket");
    expect(answerTo([one, OLDER, bodyLike(one, "C")], GRASS).verdict).to.equal("hold");
  });
});

describe("the quick look", () => {
  it("is four touches, and each is done once one of its characters was surely seen", () => {
    const find = bodiesOf(["A", FULL], ["C", { ring: "none" }]);
    const states = touchesOf(find, find.bodies[1] as Body, find.bodies[0]);
    expect(states.map(({ touch, done }) => [touch, done])).to.deep.equal([
      ["under", false],
      ["stem", true],
      ["foot", false],
      ["cut", false],
    ]);
    expect(quickLookCount(find)).to.deep.equal({ done: 1, all: 2 });
  });

  it("records what the model shows as seen on this body, and leaves alone what this body shows otherwise", () => {
    const find = bodiesOf(["A", FULL], ["C", { "gill-colour": "white" }]);
    const changes = touchesOf(find, find.bodies[1] as Body, find.bodies[0]).flatMap((touch) =>
      sameAsModel(find.bodies[1] as Body, touch),
    );
    const after = applied(find, changes);
    expect(quickLookCount(after)).to.deep.equal({ done: 2, all: 2 });
    const gills = after.bodies[1]?.seen?.filter((entry) => entry.character === "gill-colour");
    expect(gills).to.deep.equal([{ character: "gill-colour", states: ["white"] }]);
  });

  it("makes sure what was taken over at a glance", () => {
    const model = bodyOf(FULL, { id: "A" });
    const find = findOf([model, bodyLike(model, "C")]);
    const changes = touchesOf(find, find.bodies[1] as Body, model).flatMap((touch) =>
      sameAsModel(find.bodies[1] as Body, touch),
    );
    const after = applied(find, changes);
    expect(after.bodies[1]?.seen?.find(({ character }) => character === "ring")).to.deep.equal({
      character: "ring",
      states: ["skirt"],
    });
    // what belongs to no touch stays unsure
    expect(after.bodies[1]?.seen?.find(({ character }) => character === "cap-colour")?.sure).to.equal(false);
    expect(quickLookCount(after)).to.deep.equal({ done: 2, all: 2 });
  });

  it("offers nothing to take over from a body that was not looked at there, or only in a picture", () => {
    const find = findOf([
      bodyOf({}, { id: "A", seen: [{ character: "base", states: ["plain"], method: "picture" }] }),
      bodyOf({}, { id: "C" }),
    ]);
    for (const state of touchesOf(find, find.bodies[1] as Body, find.bodies[0])) expect(state.model).to.deep.equal([]);
    expect(TOUCHES).to.have.lengthOf(4);
  });
});

describe("bodies that contradict each other", () => {
  it("are told for a hard character: white gills beside pink ones of one age", () => {
    const find = bodiesOf(
      ["A", { "gill-colour": "pink" }, GROWN],
      ["B", { "gill-colour": "white" }, GROWN],
      ["C", { "gill-colour": "pink" }, GROWN],
    );
    expect(disagreements(find)).to.deep.equal([
      {
        character: "gill-colour",
        groups: [
          { states: ["pink"], bodies: ["A", "C"] },
          { states: ["white"], bodies: ["B"] },
        ],
      },
    ]);
  });

  it("are no contradiction where age explains it", () => {
    expect(
      disagreements(
        bodiesOf(["A", { "gill-colour": "pink" }], ["B", { "gill-colour": "chocolate-brown" }, { age: "old" }]),
      ),
    ).to.deep.equal([]);
  });

  it("are told of feet at any age, but not of a foot that was cut off, nor of an unsure one", () => {
    expect(disagreements(bodiesOf(["A", { base: "sac" }], ["B", { base: "plain" }, GROWN]))).to.have.lengthOf(1);
    expect(disagreements(bodiesOf(["A", { base: "sac" }], ["B", { base: "plain" }, { lifted: "cut" }]))).to.deep.equal(
      [],
    );
    expect(disagreements(bodiesOf(["A", { base: "sac" }], ["B", { base: "?plain" }]))).to.deep.equal([]);
  });

  it("colour of the cap is no contradiction: it changes with sun and rain", () => {
    expect(disagreements(bodiesOf(["A", { "cap-colour": "white" }], ["B", { "cap-colour": "brown" }]))).to.deep.equal(
      [],
    );
  });

  it("are never found in a find of one body, whatever it holds", () => {
    fc.assert(
      fc.property(finds(), (find) => {
        const [only] = find.bodies;
        if (only === undefined) return;
        const { sameAs: _sameAs, ...alone } = only;
        expect(disagreements({ ...find, bodies: [alone] })).to.deep.equal([]);
      }),
      { numRuns: 80 },
    );
  });
});

describe("splitting a find in two", () => {
  const find = findOf(
    [
      bodyOf(FULL, { id: "A" }),
      OLDER,
      bodyOf({ "cap-colour": "white", "gill-colour": "white", base: "sac" }, { id: "C" }),
    ],
    { ...GRASS, label: "pale ones" },
  );

  it("gives the second kind its own find on the same ground and takes it out of the first", () => {
    const split = splitOff(find, ["C"], "other");
    expect(split?.apart.bodies.map((body) => body.id)).to.deep.equal(["C"]);
    expect(split?.apart.site?.habitat).to.deep.equal(["grassland"]);
    const rest = applied(find, split?.changes ?? []);
    expect(rest.bodies.map((body) => body.id)).to.deep.equal(["A", "B"]);
    expect(rest.site?.neighbours).to.deep.equal(["note:another kind stood among these"]);
    expect(split?.apart.site?.neighbours).to.deep.equal(rest.site?.neighbours);
  });

  it("loses no observation, and the deadly one stays deadly in its own find", () => {
    const split = splitOff(find, ["C"], "other");
    expect(split?.apart.bodies[0]?.seen).to.deep.equal(find.bodies[2]?.seen);
    const answer = assess(split?.apart as Find, SHIPPED);
    expect(answer.verdict).to.equal("leave");
    expect(mistakesTo(answer, "amanita-virosa")).to.equal(0);
  });

  it("can be undone body by body", () => {
    let current = find;
    const inverses: Parameters<typeof applyChange>[1][] = [];
    for (const change of splitOff(find, ["C"], "other")?.changes ?? []) {
      const next = applyChange(current, change);
      if (!next.ok) throw new Error("refused");
      current = next.value.find;
      inverses.unshift(next.value.inverse);
    }
    expect(canonicalFind(applied(current, inverses))).to.deep.equal(canonicalFind(find));
  });

  it("is refused where nothing, everything or a stranger would go", () => {
    expect(splitOff(find, [], "other")).to.equal(undefined);
    expect(splitOff(find, ["A", "B", "C"], "other")).to.equal(undefined);
    expect(splitOff(find, ["Q"], "other")).to.equal(undefined);
  });

  it("a second look whose first look went elsewhere stands by itself", () => {
    const twice = findOf([bodyOf({}, { id: "A" }), bodyOf({}, { id: "B", sameAs: "A" })]);
    expect(applied(twice, splitOff(twice, ["A"], "other")?.changes ?? []).bodies[0]?.sameAs).to.equal(undefined);
    expect(splitOff(twice, ["B"], "other")?.apart.bodies[0]?.sameAs).to.equal(undefined);
    expect(CHARACTERS.base.states).to.include("sac");
  });
});
