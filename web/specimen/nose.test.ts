import { assess, type Change, type Entry, type Find } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { byNose, knowsAll, NAMED_SMELLS } from "./nose.ts";

const told = (states: string[], more: Partial<Entry> = {}): Change => ({
  kind: "observe",
  body: "A",
  character: "smell",
  ...(more.by === undefined ? {} : { by: more.by }),
  entries: [{ character: "smell", states, ...more }],
});
const sureness = (change: Change) => (change.kind === "observe" ? change.entries[0]?.sure : "no look");

describe("a nose", () => {
  it("makes a guess of a smell that it has never met, and leaves those that it knows", () => {
    const known = ["mushroomy", "aniseed"];
    expect(sureness(byNose(told(["aniseed"]), known))).to.equal(undefined);
    expect(sureness(byNose(told(["almond"]), known))).to.equal(false);
    expect(sureness(byNose(told(["aniseed", "almond"]), known))).to.equal(false);
  });

  it("needs no experience to find no smell, or one that it cannot name", () => {
    for (const state of ["none", "pleasant-unnamed", "unpleasant-unnamed"])
      expect(sureness(byNose(told([state]), ["mushroomy"]))).to.equal(undefined);
  });

  it("knows every smell where nothing was told of it, and never makes sure what was told unsure", () => {
    for (const smell of NAMED_SMELLS) expect(knowsAll([smell], [])).to.equal(true);
    expect(sureness(byNose(told(["aniseed"], { sure: false }), ["aniseed"]))).to.equal(false);
  });

  it("is the finder's: what another observer smelled, and every other character, is left as it was told", () => {
    expect(sureness(byNose(told(["almond"], { by: "ilva" }), ["mushroomy"]))).to.equal(undefined);
    const ring: Change = {
      kind: "observe",
      body: "A",
      character: "ring",
      entries: [{ character: "ring", states: ["skirt"] }],
    };
    expect(byNose(ring, ["mushroomy"])).to.equal(ring);
  });

  it("that knows less never permits more", () => {
    const knowledge = readKnowledge();
    const rank = { leave: 0, hold: 1, basket: 2 } as const;
    const smelled = (find: Find, known: readonly string[]): Find => ({
      ...find,
      bodies: find.bodies.map((body) => ({
        ...body,
        ...(body.seen === undefined
          ? {}
          : {
              seen: body.seen.map((entry) => {
                const made = byNose(
                  { kind: "observe", body: body.id, character: entry.character, entries: [entry] },
                  known,
                );
                return made.kind === "observe" ? (made.entries[0] ?? entry) : entry;
              }),
            }),
      })),
    });
    for (const find of seasonFinds()) {
      const whole = assess(find, knowledge);
      const guessed = assess(smelled(find, ["coconut"]), knowledge);
      expect(rank[guessed.verdict], find.label).to.be.at.most(rank[whole.verdict]);
      for (const danger of whole.dangers) {
        const now = guessed.dangers.find((one) => one.sheet === danger.sheet);
        expect(now?.mistakes, `${find.label} ${danger.sheet}`).to.be.at.most(danger.mistakes);
      }
    }
  });
});
