import { assess, CHARACTER_IDS, findSchema } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { actionOf } from "../find/use-keys.ts";
import { progressOf, STATION_IDS, STATIONS, stationOf, stationOfCharacter, stationOfTest } from "./stations.ts";

describe("the stations", () => {
  it("are nine, in the order of handling", () => {
    expect(STATIONS.map((station) => station.id)).to.deep.equal([...STATION_IDS]);
    expect(STATION_IDS).to.have.length(9);
  });

  it("ask for every character that a sheet speaks of, each in one place", () => {
    const asked = STATIONS.flatMap((station) =>
      station.questions.flatMap((question) => (question.kind === "character" ? [question.character] : [])),
    );
    expect(new Set(asked).size).to.equal(asked.length);
    const { sheets } = readKnowledge();
    const used = CHARACTER_IDS.filter((id) => sheets.some((sheet) => sheet.characters[id] !== undefined));
    for (const character of used) expect(stationOfCharacter(character), character).not.to.equal(undefined);
  });

  it("lead from every planned test to where what it opens is recorded", () => {
    const knowledge = readKnowledge();
    const words = { underside: "gills", "cap-colour": "white", ring: "skirt", "gill-colour": "pink" } as const;
    const seen = Object.entries(words).map(([character, state]) => ({ character, states: [state] }));
    const planned = (["button", "young", "mature"] as const).flatMap((age) => {
      const bodies = [{ id: "A", age, lifted: "pulled", seen }];
      const find = findSchema.parse({ format: "jittery-cap/find", version: 1, id: "plan", bodies });
      return assess(find, knowledge).next.tests;
    });
    expect(planned).not.to.be.empty;
    for (const test of planned) expect(stationOfTest(test), test.test).not.to.equal(undefined);
  });

  it("count what there is to look at: on a morel no gills and no pores, unless somebody told some", () => {
    const under = stationOf("under");
    const looked =
      (...told: readonly string[]) =>
      (character: string) =>
        told.includes(character);
    const { all } = progressOf(under, looked("underside"));
    expect(progressOf(under, looked("underside"), ["honeycomb"])).to.deep.equal({ done: 1, all: all - 8 });
    expect(progressOf(under, looked("underside", "gill-colour"), ["honeycomb"])).to.deep.equal({
      done: 2,
      all: all - 7,
    });
  });

  it("begin with the ground where the address names none", () => {
    expect(stationOf(undefined).id).to.equal("ground");
    expect(stationOf("moon").id).to.equal("ground");
  });
});

describe("the keys", () => {
  it("answer by digit, 0 for the tenth", () => {
    expect(actionOf("1")).to.deep.equal({ kind: "digit", index: 0 });
    expect(actionOf("0")).to.deep.equal({ kind: "digit", index: 9 });
    expect(actionOf("q")).to.equal(undefined);
  });
});
