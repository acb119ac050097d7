import { expect } from "chai";
import { shelve } from "../knowledge/knowledge.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { lintKnowledge, separabilities } from "./lint.ts";

/** A small shelf, so that a broken sheet is found quickly. */
const only = (ids: readonly string[], change: (sheet: Sheet) => Sheet) =>
  shelve(SHIPPED.sheets.filter((sheet) => ids.includes(sheet.id)).map(change));
const rules = (findings: ReturnType<typeof lintKnowledge>, sheet: string) =>
  findings.filter((finding) => finding.sheet === sheet).map((finding) => finding.rule);

describe("the knowledge lint", () => {
  const findings = lintKnowledge(SHIPPED);

  it("finds nothing in the shipped sheets that they do not excuse with a reason", () => {
    expect(findings.filter((finding) => finding.excused === undefined)).to.deep.equal([]);
  });

  it("finds every exception still needed", () => {
    for (const sheet of SHIPPED.sheets)
      for (const exception of sheet.exceptions)
        expect(
          findings.some((one) => one.sheet === sheet.id && one.rule === exception.rule && one.with === exception.with),
          `${sheet.id}: ${exception.rule}`,
        ).to.equal(true);
  });

  it("finds a lookalike that is not mutual, and one without a sheet", () => {
    const shelf = only(["agaricus-campestris", "amanita-virosa"], (sheet) =>
      sheet.id === "amanita-virosa" ? { ...sheet, lookalikes: [] } : sheet,
    );
    expect(rules(lintKnowledge(shelf), "agaricus-campestris")).to.include("lookalike-not-mutual");
    const alone = only(["agaricus-campestris"], (sheet) => sheet);
    expect(rules(lintKnowledge(alone), "agaricus-campestris")).to.include("lookalike-not-mutual");
  });

  it("finds a pair that nothing separates, and a sought kind that can then never come to basket", () => {
    const pair = ["agaricus-campestris", "amanita-virosa"];
    const field = SHIPPED.byId.get("agaricus-campestris");
    const shelf = only(pair, (sheet) => (field === undefined ? sheet : { ...sheet, characters: field.characters }));
    const found = lintKnowledge(shelf);
    expect(rules(found, "amanita-virosa")).to.include("pair-not-separable");
    expect(rules(found, "agaricus-campestris")).to.include.members(["typical-find", "pair-of-practice"]);
  });

  it("finds a sheet with too few characters, a month told twice, a wrong count of its genus, a basis of nothing", () => {
    const shelf = only(["hydnum-repandum"], (sheet) => ({
      ...sheet,
      characters: { underside: sheet.characters.underside },
      months: { europe: [9, 10, 9] },
      genus: { ...sheet.genus, kindsKnown: 5 },
      basis: { ...sheet.basis, "characters.pore-colour": "memory" },
    }));
    expect(rules(lintKnowledge(shelf), "hydnum-repandum")).to.include.members([
      "too-few-characters",
      "months",
      "genus-count",
      "basis-of-nothing",
    ]);
  });

  it("finds a veil that is shut on buttons and never on the young", () => {
    const shelf = only(["stropharia-coronilla"], (sheet) => ({
      ...sheet,
      characters: { ...sheet.characters, ring: { button: { closed: "always" }, young: { skirt: "usual" } } },
    }));
    expect(rules(lintKnowledge(shelf), "stropharia-coronilla")).to.include("veil-at-the-border");
    const shipped = lintKnowledge(only(["stropharia-coronilla"], (sheet) => sheet));
    expect(rules(shipped, "stropharia-coronilla")).not.to.include("veil-at-the-border");
  });

  it("finds months out of order, and lets a winter kind pass the turn of the year", () => {
    const withMonths = (europe: number[]) =>
      rules(lintKnowledge(only(["hydnum-repandum"], (sheet) => ({ ...sheet, months: { europe } }))), "hydnum-repandum");
    expect(withMonths([9, 11, 10])).to.include("months");
    expect(withMonths([11, 1, 12, 2])).to.include("months");
    expect(withMonths([11, 12, 1, 2])).not.to.include("months");
    expect(withMonths([1, 2, 11, 12])).not.to.include("months");
  });

  it("excuses what a sheet excuses, with the reason", () => {
    const shelf = only(["hydnum-repandum"], (sheet) => ({
      ...sheet,
      genus: { ...sheet.genus, kindsKnown: 5 },
      exceptions: [{ rule: "genus-count", reason: "told so for this test" }],
    }));
    expect(lintKnowledge(shelf).find((finding) => finding.rule === "genus-count")?.excused).to.equal(
      "told so for this test",
    );
  });

  it("sorts the pairs by how hardly they are told apart", () => {
    const shares = separabilities(SHIPPED).map((pair) => pair.share);
    expect(shares).to.deep.equal([...shares].sort((one, other) => one - other));
    expect(shares.length).to.equal(SHIPPED.dangers.length * SHIPPED.sought.length);
    expect(shares[0]).to.be.greaterThan(0).and.at.most(1);
  });
});
