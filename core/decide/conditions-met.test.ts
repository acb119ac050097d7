import { expect } from "chai";
import { assess } from "../answer/answer.ts";
import { generaOf } from "../people/circle.ts";
import { basketFinds } from "../tests/border-finds.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { conditionsMet, isSeenForLearner, OWN_LOOKS, restsOnCharacters, type Said } from "./conditions-met.ts";
import type { OpinionLook } from "./packet.ts";

const [made] = basketFinds();
if (made === undefined) throw new Error("no find comes to basket");
const { full: find } = made;
const answer = assess(find, SHIPPED);
const met = (...said: (Partial<Said> & Pick<Said, "kind">)[]) => [
  ...conditionsMet(
    find,
    answer,
    said.map((one) => ({ name: "Ilva Marrund", looks: [], ...one })),
  ),
];
const [kept] = find.bodies.filter((body) => body.keep !== false);
if (kept === undefined) throw new Error("nothing kept");
const rests = restsOnCharacters(answer);
/** What somebody sees who sees the same as the finder, at what the answer rests on. */
const same: readonly OpinionLook[] = (kept.seen ?? [])
  .filter((entry) => rests.has(entry.character) && entry.states !== undefined)
  .map(({ character, states }) => ({ body: kept.id, entry: { character, states: [...(states ?? [])] } }));

describe("conditions of an answer", () => {
  it("rest on looks that speak hard against dangers, on kept bodies", () => {
    expect(rests.size).to.be.at.least(OWN_LOOKS);
    expect(same.length).to.be.at.least(OWN_LOOKS);
  });

  it("a second person meets theirs with the specimen in hand and looks of their own at what the answer rests on", () => {
    expect(met({ kind: "in-hand", looks: same })).to.deep.equal(["second-person"]);
  });

  it("whoever is known counts as their circle trusts them, and differs whoever they are", () => {
    const genera = [...generaOf(answer.restsOn)];
    const by = { person: "p", circle: "c", role: "knows" as const, trusted: genera };
    expect(met({ kind: "in-hand", looks: same, by })).to.deep.equal(["second-person"]);
    expect(met({ kind: "in-hand", looks: same, by: { ...by, trusted: ["hydnum"] } })).to.deep.equal([]);
    expect(met({ kind: "in-hand", looks: same, by: { ...by, role: "learner" } })).to.deep.equal([]);
    const otherwise: OpinionLook = { body: kept.id, entry: { character: "base", states: ["sac"] } };
    const learner = { ...by, role: "learner" as const };
    expect(
      met({ kind: "in-hand", looks: same, by }, { kind: "in-hand", looks: [otherwise], by: learner }),
    ).to.deep.equal([]);
  });

  it("a learner's find is seen by one who knows in each circle that they learn in, and by nobody with a link", () => {
    const genera = [...generaOf(answer.restsOn)];
    const by = { person: "p", circle: "c", role: "knows" as const, trusted: genera };
    const said = (...all: Partial<Said>[]): Said[] =>
      all.map((one) => ({ kind: "in-hand", name: "x", looks: same, ...one }));
    expect(isSeenForLearner(find, answer, [], [])).to.equal(true);
    expect(isSeenForLearner(find, answer, said({}), ["c"])).to.equal(false);
    expect(isSeenForLearner(find, answer, said({ by }), ["c"])).to.equal(true);
    expect(isSeenForLearner(find, answer, said({ by }), ["c", "d"])).to.equal(false);
    expect(isSeenForLearner(find, answer, said({ by }, { by: { ...by, circle: "d" } }), ["c", "d"])).to.equal(true);
    const otherwise: OpinionLook = { body: kept.id, entry: { character: "base", states: ["sac"] } };
    expect(isSeenForLearner(find, answer, said({ by }, { looks: [otherwise] }), ["c"])).to.equal(false);
  });

  it("not from pictures, not simulated, and not while they differ", () => {
    expect(met({ kind: "from-pictures", looks: same })).to.deep.equal([]);
    expect(met({ kind: "simulated", looks: same })).to.deep.equal([]);
    const otherwise: OpinionLook = { body: kept.id, entry: { character: "base", states: ["sac"] } };
    expect(met({ kind: "in-hand", looks: [...same, otherwise] })).to.deep.equal([]);
    expect(met({ kind: "in-hand", looks: same }, { kind: "in-hand", looks: [otherwise] })).to.deep.equal([]);
  });

  it("not by a look at a body that is not there, nor by one that could not be had or is not sure", () => {
    const elsewhere = same.map((look) => ({ ...look, body: "ZZ" }));
    expect(met({ kind: "in-hand", looks: elsewhere })).to.deep.equal([]);
    const unseen = same.map(({ body, entry }) => ({
      body,
      entry: { character: entry.character, unseen: "not-looked" as const },
    }));
    expect(met({ kind: "in-hand", looks: unseen })).to.deep.equal([]);
    const unsure = same.map(({ body, entry }) => ({ body, entry: { ...entry, sure: false } }));
    expect(met({ kind: "in-hand", looks: unsure })).to.deep.equal([]);
  });

  it("not by one or two looks, nor by many at what the answer does not rest on", () => {
    expect(met({ kind: "in-hand", looks: same.slice(0, OWN_LOOKS - 1) })).to.deep.equal([]);
    const beside = (kept.seen ?? [])
      .filter((entry) => !rests.has(entry.character) && entry.states !== undefined)
      .map(({ character, states }) => ({ body: kept.id, entry: { character, states: [...(states ?? [])] } }));
    expect(met({ kind: "in-hand", looks: beside })).to.deep.equal([]);
  });

  it("not by one look at a body of which the answer asks only one: the other characters are asked of it as well", () => {
    const [danger] = answer.dangers;
    const point = danger?.points.find((one) => one.hard);
    if (danger === undefined || point === undefined) throw new Error("nothing speaks hard against the nearest danger");
    // the only hard point of the last kept body
    const last = find.bodies.filter((body) => body.keep !== false).at(-1);
    const lone = {
      ...answer,
      dangers: [...answer.dangers, { ...danger, points: [{ ...point, body: last?.id ?? "" }] }],
    };
    const entry = last?.seen?.find((one) => one.character === point.character && one.states !== undefined);
    if (last === undefined || entry?.states === undefined) throw new Error("the last body does not show it");
    const one: OpinionLook = { body: last.id, entry: { character: entry.character, states: [...entry.states] } };
    const said: Said[] = [{ kind: "in-hand", name: "Ilva Marrund", looks: [one] }];
    expect([...conditionsMet(find, lone, said)]).to.deep.equal([]);
  });

  it("two books that agree meet theirs, one does not, nor the same one twice, and one that disagrees undoes it", () => {
    const book = (name: string, agrees = true) => ({ kind: "book" as const, name, agrees });
    expect(met(book("Caps of the North"))).to.deep.equal([]);
    expect(met(book("Caps of the North"), book(" caps of the north. "))).to.deep.equal([]);
    expect(met(book("Caps of the North"), book("A Wet Walk"))).to.deep.equal(["two-books"]);
    expect(met(book("Caps of the North"), book("A Wet Walk"), book("Third", false))).to.deep.equal([]);
  });
});
