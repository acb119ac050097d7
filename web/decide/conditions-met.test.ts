import { findSchema, type WitnessLook } from "@jittery-cap/core";
import { expect } from "chai";
import { conditionsMet } from "./conditions-met.ts";

const find = findSchema.parse({
  format: "jittery-cap/find",
  version: 1,
  id: "t",
  bodies: [{ id: "A", seen: [{ character: "ring", states: ["skirt"] }] }],
});
const look = (state: string): WitnessLook[] => [{ body: "A", entry: { character: "ring", states: [state] } }];
const met = (...said: Parameters<typeof conditionsMet>[1]) => [...conditionsMet(find, said)];

describe("conditions of an answer", () => {
  it("a second person meets theirs with the specimen in hand", () => {
    expect(met({ kind: "in-hand", looks: look("skirt") })).to.deep.equal(["second-person"]);
  });
  it("not from pictures, not simulated, and not while they differ", () => {
    expect(met({ kind: "from-pictures", looks: look("skirt") })).to.deep.equal([]);
    expect(met({ kind: "simulated", looks: look("skirt") })).to.deep.equal([]);
    expect(met({ kind: "in-hand", looks: look("none") })).to.deep.equal([]);
    expect(met({ kind: "in-hand", looks: look("skirt") }, { kind: "in-hand", looks: look("none") })).to.deep.equal([]);
  });
  it("two books that agree meet theirs, one does not, and one that disagrees undoes it", () => {
    const book = (agrees: boolean) => ({ kind: "book" as const, agrees, looks: [] });
    expect(met(book(true))).to.deep.equal([]);
    expect(met(book(true), book(true))).to.deep.equal(["two-books"]);
    expect(met(book(true), book(true), book(false))).to.deep.equal([]);
  });
});
