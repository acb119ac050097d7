import { expect } from "chai";
import { assess } from "../answer/answer.ts";
import { DANGER_TIERS } from "../find/taxa.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { afterLooks, isSameLook, makeFind, offeredLooks, takeLook } from "./made-find.ts";
import { isRightVerdict, shortestWay, wholeResult } from "./whole-result.ts";

const sheetOf = (id: string) => {
  const sheet = SHIPPED.byId.get(id);
  if (sheet === undefined) throw new Error(`no sheet ${id}`);
  return sheet;
};

describe("the shortest way through a made find", () => {
  it("brings no danger to the basket", () => {
    for (const sheet of SHIPPED.dangers)
      expect(shortestWay(makeFind(sheet, "way"), SHIPPED).verdict, sheet.id).not.to.equal("basket");
  });
  it("brings most penny buns and chanterelles of ordinary days to the basket, and costs what its looks cost", () => {
    const ways = ["boletus-edulis", "cantharellus-cibarius", "agaricus-campestris"].flatMap((id) =>
      Array.from({ length: 6 }, (_unused, index) =>
        shortestWay(makeFind(sheetOf(id), `w${index}`, "ordinary"), SHIPPED),
      ),
    );
    expect(ways.filter((way) => way.verdict === "basket").length).to.be.at.least(9);
    for (const way of ways)
      expect(way.minutes).to.be.closeTo(
        way.looks.reduce((sum, look) => sum + look.minutes, 0),
        1e-9,
      );
  });
  it("does not end at a kind that the house refuses while a measure of a grown body would tell it apart", () => {
    for (let index = 0; index < 6; index += 1) {
      const made = makeFind(sheetOf("boletus-edulis"), `w${index}`, "ordinary");
      const { find } = afterLooks(made, shortestWay(made, SHIPPED).looks);
      const { reasons } = assess(find, SHIPPED);
      if (!reasons.some((one) => one.code === "refused-kind-fits")) continue;
      // no red-cracking bolete has a cap of sixteen centimetres
      const grown = find.bodies.filter(({ age, keep }) => age === "mature" && keep !== false);
      for (const { id, measures } of grown) expect(measures?.capCm, `w${index}, ${id}`).not.to.equal(undefined);
    }
  });
  it("can be gone by the learner look by look, to the same answer", () => {
    const made = makeFind(sheetOf("boletus-edulis"), "same", "ordinary");
    const way = shortestWay(made, SHIPPED);
    const result = wholeResult(afterLooks(made, way.looks), { verdict: way.verdict, sure: 0.9 }, SHIPPED);
    expect(result.answer.verdict).to.equal(way.verdict);
    expect(result.isRight).to.equal(true);
  });
});

describe("what came of a whole find", () => {
  const angel = makeFind(sheetOf("amanita-virosa"), "angel");
  const bun = makeFind(sheetOf("boletus-edulis"), "bun", "ordinary");
  it("calls a danger in the basket let through, whatever was seen", () => {
    const result = wholeResult(angel, { verdict: "basket", sure: 0.9 }, SHIPPED);
    expect(result).to.include({ isDanger: true, isLetThrough: true, isTooEarly: true, isRight: false });
  });
  it("calls leaving a danger right, and holding it where the core holds: what it leaves nobody holds rightly", () => {
    expect(wholeResult(angel, { verdict: "leave", sure: 0.9 }, SHIPPED)).to.include({
      isLetThrough: false,
      isRight: true,
    });
    const all = offeredLooks(angel).filter(({ test }) => test !== "put-aside");
    for (const made of [angel, afterLooks(angel, all)]) {
      const held = wholeResult(made, { verdict: "hold", sure: 0.9 }, SHIPPED);
      expect(held.isRight).to.equal(held.answer.verdict !== "leave");
      expect(held.isRight && held.isTooEarly).to.equal(false);
    }
  });
  it("is judged by the learner's own house rules, and by the strict defaults where none are told", () => {
    const blusher = sheetOf("amanita-rubescens");
    const strict = Array.from({ length: 6 }, (_unused, index) =>
      shortestWay(makeFind(blusher, `b${index}`, "ordinary"), SHIPPED),
    );
    expect(strict.every((way) => way.verdict !== "basket")).to.equal(true);
    expect(makeFind(blusher, "b", "ordinary", { amanitas: "known" }).find.rules).to.deep.equal({ amanitas: "known" });
    expect(makeFind(blusher, "b").find.rules).to.deep.equal({});
  });
  it("calls a basket of which nothing was seen too early, also of a good kind", () => {
    expect(wholeResult(bun, { verdict: "basket", sure: 0.9 }, SHIPPED)).to.include({
      isLetThrough: false,
      isTooEarly: true,
      isRight: false,
    });
  });
  it("calls a good one thrown away where it was left and nothing asked for it", () => {
    expect(wholeResult(bun, { verdict: "leave", sure: 0.9 }, SHIPPED)).to.include({
      isThrownAway: true,
      isRight: false,
    });
    expect(wholeResult(bun, { verdict: "hold", sure: 0.9 }, SHIPPED)).to.include({
      isThrownAway: false,
      isRight: true,
    });
  });
  it("agrees with the core on the nearest danger and its distance, and says nothing where nothing was said", () => {
    const [nearest] = wholeResult(bun, { verdict: "hold", sure: 0.9 }, SHIPPED).answer.dangers;
    const said = { verdict: "hold", sure: 0.9, nearest: nearest?.sheet, mistakes: nearest?.mistakes } as const;
    expect(wholeResult(bun, said, SHIPPED)).to.include({ isNearestRight: true, isDistanceRight: true });
    expect(wholeResult(bun, { ...said, mistakes: 3 }, SHIPPED).isDistanceRight).to.equal(false);
    expect(wholeResult(bun, { verdict: "hold", sure: 0.9 }, SHIPPED).isNearestRight).to.equal(undefined);
  });
  it("tells of every look that was or could be had what it moves, and never that a look brings a danger nearer", () => {
    const made = takeLook(bun, { test: "look-under", body: "A" });
    const { looks, shortest } = wholeResult(made, { verdict: "hold", sure: 0.9 }, SHIPPED);
    const offers = offeredLooks(bun);
    expect(looks.length).to.be.at.least(offers.length - 1);
    expect(looks.filter((look) => look.isTaken)).to.have.length(1);
    expect(looks.find((look) => look.isTaken)?.movesAway.length).to.be.greaterThan(0);
    for (const look of shortest.looks.slice(0, 2))
      expect(looks.some((one) => isSameLook(one, look) && one.isOnShortest)).to.equal(true);
  });
});

it("nothing is right that permits more than the core, of a danger or of anything else", () => {
  const order = ["leave", "hold", "basket"] as const;
  for (const said of order)
    for (const core of order) {
      for (const isDanger of [true, false])
        if (order.indexOf(said) > order.indexOf(core)) expect(isRightVerdict(said, core, isDanger)).to.equal(false);
      expect(isRightVerdict("basket", core, true)).to.equal(false);
      expect(isRightVerdict("leave", core, true)).to.equal(true);
      expect(isRightVerdict(said, core, false)).to.equal(said === core);
    }
  expect(DANGER_TIERS.size).to.equal(3);
});
