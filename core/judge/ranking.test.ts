import { expect } from "chai";
import { bodyOf, findOf, type Seen } from "../tests/build.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { likelinesses } from "./ranking.ts";
import { sceneOf } from "./scene.ts";

const likely = (id: string, words: Seen, more = {}) => {
  const tables = SHIPPED.dangers.some((sheet) => sheet.id === id) ? SHIPPED.dangerTables : SHIPPED.soughtTables;
  const row = tables.sheets.findIndex((sheet) => sheet.id === id);
  const likely = likelinesses(tables, sceneOf(findOf([bodyOf(words, { age: "mature", ...more })])))[row];
  if (likely === undefined) throw new Error(`no sheet ${id}`);
  return likely;
};

describe("the ranking, which sorts and nothing more", () => {
  it("puts a kind that always shows a state before one that rarely does, and that before one that never does", () => {
    const white = { "gill-colour": "white" };
    expect(likely("amanita-virosa", white)).to.be.greaterThan(likely("cantharellus-cibarius", white));
    expect(likely("cantharellus-cibarius", white)).to.be.greaterThan(likely("hypholoma-fasciculare", white));
  });
  it("says nothing of what a sheet says nothing of", () => {
    expect(likely("amanita-virosa", { "cap-zones": "distinct" })).to.equal(0);
  });
  it("counts a family once by the mean of its looks", () => {
    // worked by hand: always 0.9 for gills and print alike, so the mean of the logarithms is that of one alone
    expect(likely("amanita-virosa", { "gill-colour": "white", "spore-print": "white" })).to.be.closeTo(
      Math.log(0.9),
      1e-12,
    );
    expect(likely("amanita-virosa", { "gill-colour": "white" })).to.be.closeTo(Math.log(0.9), 1e-12);
  });
  it("adds families as independent evidence", () => {
    // always white gills 0.9, always a sac 0.9
    expect(likely("amanita-virosa", { "gill-colour": "white", base: "sac" })).to.be.closeTo(2 * Math.log(0.9), 1e-12);
  });
  it("takes an unsure look half as seriously", () => {
    const gap = (sign: string) =>
      likely("amanita-virosa", { base: `${sign}sac` }) - likely("agaricus-campestris", { base: `${sign}sac` });
    expect(gap("?")).to.be.greaterThan(0).and.to.be.lessThan(gap(""));
  });
});
