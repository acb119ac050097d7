import { type Change, definitionOf, type Find, newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { act, type BenchHands } from "./bench-actions.ts";

const fresh = newFind("0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10", "2026-09-14T10:00:00Z");
const find: Find = { ...fresh, bodies: [{ id: "A", age: "mature" }, { id: "B" }] };
const [first] = find.bodies;
if (first === undefined) throw new Error("no body");

/** Hands at one question, and what they did. */
function at(character: BenchHands["place"]["character"]) {
  const done: string[] = [];
  const changes: Change[] = [];
  const does = (what: string) => () => void done.push(what);
  const place = {
    body: first,
    character,
    current: character,
    alsoOpen: false,
    move: (by: number) => void done.push(`move ${by}`),
    moveStation: (by: number) => void done.push(`station ${by}`),
    setBodyId: (id: string) => void done.push(`body ${id}`),
    setAlsoOpen: (open: boolean) => void done.push(`also ${open}`),
  } as unknown as BenchHands["place"];
  const hands: BenchHands = {
    find,
    place,
    observer: undefined,
    change: (change) => void changes.push(change),
    add: (isLike) => void done.push(isLike ? "add like" : "add"),
    same: does("same"),
    turnStopwatch: does("stopwatch"),
    goHandsFree: does("hands-free"),
    turnAgainst: does("against"),
    undo: does("undo"),
    redo: does("redo"),
    showKeys: does("keys"),
  };
  return { hands, done, changes };
}

describe("what a key does at the bench", () => {
  it("a digit records that state of the question in hand, on the body in hand", () => {
    const { hands, changes } = at("ring");
    act({ kind: "digit", index: 1 }, hands);
    const wanted = definitionOf("ring").states[1] ?? "";
    expect(changes).to.deep.equal([
      { kind: "observe", body: "A", character: "ring", entries: [{ character: "ring", states: [wanted] }] },
    ]);
  });

  it("a digit past the last state records nothing", () => {
    const { hands, changes } = at("bend");
    act({ kind: "digit", index: 9 }, hands);
    expect(changes).to.deep.equal([]);
  });

  it("looked and there is none is an answer only where none is a state", () => {
    const ring = at("ring");
    act({ kind: "none" }, ring.hands);
    expect(ring.changes).to.have.length(1);
    const under = at("underside");
    act({ kind: "none" }, under.hands);
    expect(under.changes).to.deep.equal([]);
  });

  it("could not look and cannot tell never make a state", () => {
    for (const kind of ["could-not", "cannot-tell"] as const) {
      const { hands, changes } = at("base");
      act({ kind }, hands);
      const [change] = changes;
      if (change?.kind !== "observe") throw new Error("nothing was recorded");
      expect(change.entries[0]).to.have.property("unseen");
      expect(change.entries[0]).not.to.have.property("states");
    }
  });

  it("what is asked once for the find has no such answers", () => {
    const { hands, changes } = at("habitat");
    act({ kind: "could-not" }, hands);
    act({ kind: "unsure" }, hands);
    expect(changes).to.deep.equal([]);
  });

  it("the next body follows the last by the first, and every other key does its one thing", () => {
    const { hands, done } = at("ring");
    act({ kind: "next-body" }, hands);
    for (const kind of ["add-body", "add-like", "same", "also", "stopwatch", "hands-free", "against"] as const)
      act({ kind }, hands);
    for (const kind of ["undo", "redo", "help"] as const) act({ kind }, hands);
    act({ kind: "move", by: -1 }, hands);
    act({ kind: "station", by: 1 }, hands);
    expect(done).to.deep.equal([
      "body B",
      "add",
      "add like",
      "same",
      "also true",
      "stopwatch",
      "hands-free",
      "against",
      "undo",
      "redo",
      "keys",
      "move -1",
      "station 1",
    ]);
  });
});
