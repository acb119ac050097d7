import { applyChange, type Body, type Change, findSchema } from "@jittery-cap/core";
import { expect } from "chai";
import { chooseState, chosenStates, couldNot, turnSureness } from "./observing.ts";

const start = findSchema.parse({ format: "jittery-cap/find", version: 1, id: "t", bodies: [{ id: "A" }] });
const bodyOf = (find: typeof start): Body => {
  const body = find.bodies[0];
  if (body === undefined) throw new Error("no body");
  return body;
};
const after = (find: typeof start, change: Change | undefined) => {
  const applied = change === undefined ? undefined : applyChange(find, change);
  if (applied?.ok !== true) throw new Error("refused");
  return applied.value.find;
};

describe("touching a state", () => {
  it("chooses it, touches it away, and replaces the other where only one may hold", () => {
    const plain = after(start, chooseState(start, bodyOf(start), "base", "plain"));
    expect(chosenStates(plain, bodyOf(plain), "base")).to.deep.equal(["plain"]);
    const sac = after(plain, chooseState(plain, bodyOf(plain), "base", "sac"));
    expect(chosenStates(sac, bodyOf(sac), "base")).to.deep.equal(["sac"]);
    const none = after(sac, chooseState(sac, bodyOf(sac), "base", "sac"));
    expect(bodyOf(none).seen).to.equal(undefined);
  });

  it("adds to the others where several may hold, but none stands alone", () => {
    const one = after(start, chooseState(start, bodyOf(start), "smell", "sweet"));
    const two = after(one, chooseState(one, bodyOf(one), "smell", "nutty"));
    expect(chosenStates(two, bodyOf(two), "smell")).to.deep.equal(["sweet", "nutty"]);
    const none = after(two, chooseState(two, bodyOf(two), "smell", "none"));
    expect(chosenStates(none, bodyOf(none), "smell")).to.deep.equal(["none"]);
  });

  it("records the site once for the find", () => {
    const grass = after(start, chooseState(start, bodyOf(start), "habitat", "grassland"));
    expect(grass.site?.habitat).to.deep.equal(["grassland"]);
    expect(after(grass, chooseState(grass, bodyOf(grass), "habitat", "grassland")).site).to.equal(undefined);
  });

  it("keeps a doubt when the state is changed, and turns it over on demand", () => {
    const plain = after(start, chooseState(start, bodyOf(start), "ring", "skirt"));
    const doubted = after(plain, turnSureness(bodyOf(plain), "ring"));
    expect(bodyOf(doubted).seen?.[0]?.sure).to.equal(false);
    const changed = after(doubted, chooseState(doubted, bodyOf(doubted), "ring", "remnants"));
    expect(bodyOf(changed).seen?.[0]?.sure).to.equal(false);
    expect(bodyOf(after(changed, turnSureness(bodyOf(changed), "ring"))).seen?.[0]).not.to.have.property("sure");
  });

  it("never makes a state out of what could not be looked at, nor a doubt out of nothing", () => {
    const unseen = after(start, couldNot(bodyOf(start), "base", "too dark"));
    expect(bodyOf(unseen).seen).to.deep.equal([{ character: "base", unseen: "too dark" }]);
    expect(turnSureness(bodyOf(unseen), "base")).to.equal(undefined);
  });
});
