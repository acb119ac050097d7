import { CHARACTER_IDS } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { STATION_IDS, STATIONS, stationOf, stationOfCharacter, TEST_LOOKS_AT } from "./stations.ts";
import { actionOf } from "./use-keys.ts";

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
    const used = CHARACTER_IDS.filter((id) =>
      readKnowledge().sheets.some((sheet) => sheet.characters[id] !== undefined),
    );
    for (const character of used) expect(stationOfCharacter(character), character).not.to.equal(undefined);
  });

  it("lead from every planned test to what it looks at", () => {
    for (const character of Object.values(TEST_LOOKS_AT))
      expect(stationOfCharacter(character), character).not.to.equal(undefined);
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
