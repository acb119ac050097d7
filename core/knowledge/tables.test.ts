import { expect } from "chai";
import { AGES, CHARACTER_IDS, definitionOf } from "../find/vocabulary.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { FREQUENCIES, tablesOf } from "./state-tables.ts";
import { bitsOf, countBits, stateBits } from "./tables.ts";

describe("the compiled tables", () => {
  it("hold for every sheet, character and age the states that the sheet lists, each at its frequency", () => {
    for (const tables of [SHIPPED.dangerTables, SHIPPED.soughtTables])
      tables.sheets.forEach((sheet, row) => {
        for (const character of CHARACTER_IDS)
          for (const age of AGES) {
            const [listed] = tablesOf(sheet.characters[character], [age]);
            const column = tables.column(character, age);
            expect(column.listed[row]).to.equal(bitsOf(character, Object.keys(listed ?? {})));
            for (const frequency of FREQUENCIES) {
              const states = Object.entries(listed ?? {}).flatMap(([state, often]) =>
                often === frequency ? [state] : [],
              );
              expect(column.by[frequency][row]).to.equal(bitsOf(character, states));
            }
          }
      });
  });
  it("leave a sheet silent at an untold age unless it speaks of every age", () => {
    const { sheets, column } = SHIPPED.soughtTables;
    const field = sheets.findIndex((sheet) => sheet.id === "agaricus-campestris");
    expect(column("gill-colour", undefined).listed[field]).to.equal(0);
    expect(column("gill-colour", "young").listed[field]).to.be.greaterThan(0);
  });
  it("have room for every state of every character in one small integer", () => {
    for (const character of CHARACTER_IDS) {
      expect(definitionOf(character).states.length).to.be.at.most(32);
      expect(new Set(stateBits(character).values()).size).to.equal(definitionOf(character).states.length);
    }
  });
  it("count the bits of a set", () => {
    expect([0, 1, 0b1011, 0x7fffffff, -1].map(countBits)).to.deep.equal([0, 1, 3, 31, 32]);
  });
});
