import { type CharacterId, isMoot } from "@jittery-cap/core";
import { expect } from "chai";
import { itemOf, STATIONS } from "../specimen/stations.ts";
import { orderOf } from "./station-order.ts";

const never = () => false;
const names = (questions: readonly Parameters<typeof itemOf>[0][]) => questions.map(itemOf);

describe("what a station asks first", () => {
  it("loses no question, and asks none twice, whatever matters", () => {
    for (const station of STATIONS)
      for (const matters of [undefined, new Set<string>(), new Set(["ring", "base", "smell", "latex"])]) {
        const { first, also } = orderOf(station, matters, never, never);
        expect([...names(first), ...names(also)].sort(), station.id).to.deep.equal(names(station.questions).sort());
      }
  });

  it("puts what still matters under no fold", () => {
    const cut = STATIONS.find((station) => station.id === "cut");
    if (cut === undefined) throw new Error("no such station");
    for (const question of cut.questions) {
      if (question.kind !== "character") continue;
      const { first } = orderOf(cut, new Set([question.character]), never, never);
      expect(names(first)).to.include(question.character);
    }
  });

  it("leaves what was looked at where it can be seen, though it matters no more", () => {
    for (const station of STATIONS) {
      const last = names(station.questions.filter((question) => question.kind === "character")).at(-1);
      const { first } = orderOf(station, new Set(), (character) => character === last, never);
      if (last !== undefined) expect(names(first), station.id).to.include(last);
    }
  });

  it("folds what cannot be looked at for what the underside is, though it is early in the order or would matter", () => {
    const under = STATIONS.find((station) => station.id === "under");
    if (under === undefined) throw new Error("no such station");
    const below = (underside: string) => (character: CharacterId) => isMoot(character, [underside]);
    for (const matters of [undefined, new Set(["gill-attachment", "pore-colour"])]) {
      const bolete = names(orderOf(under, matters, never, below("pores")).first);
      expect(bolete).to.include("pore-colour");
      expect(bolete.filter((name) => name.startsWith("gill-"))).to.deep.equal([]);
      const gilled = names(orderOf(under, matters, never, below("gills")).first);
      expect(gilled).to.include("gill-attachment");
      expect(gilled).not.to.include("pore-colour");
    }
    const told = orderOf(under, undefined, (character) => character === "gill-colour", below("pores"));
    expect(names(told.first)).to.include("gill-colour");
  });

  it("asks only what separates the two where the find is checked against one danger", () => {
    for (const station of STATIONS) {
      const { first, also } = orderOf(station, undefined, never, never, new Set(["ring"]));
      expect(also).to.deep.equal([]);
      const characters = first.filter((question) => question.kind === "character");
      expect(names(characters)).to.deep.equal(station.id === "stem" ? ["ring"] : []);
    }
  });
});
