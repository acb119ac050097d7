import { expect } from "chai";
import fc from "fast-check";
import { changeSchema } from "../find/changes.ts";
import { genusSchema, isTrustedWith, mayChangeShared, ROLES } from "./circle.ts";
import { newPasswordSchema, signInNameSchema, toldCodeSchema } from "./person.ts";

const ME = "0193a000-0000-7000-8000-000000000002";
const OTHER = "0193a000-0000-7000-8000-000000000003";
const shared = { place: "none", mayRecord: true } as const;
const look = (by: string | undefined, inner: string | undefined = by) =>
  changeSchema.parse({
    kind: "observe",
    body: "A",
    character: "ring",
    ...(by === undefined ? {} : { by }),
    entries: [{ character: "ring", states: ["skirt"], ...(inner === undefined ? {} : { by: inner }) }],
  });

describe("somebody at another's find", () => {
  it("adds looks under their own name, and takes them back; never under another's or the finder's", () => {
    expect(mayChangeShared(look(ME), shared, ME)).to.equal(true);
    expect(
      mayChangeShared(changeSchema.parse({ kind: "unsee", body: "A", character: "ring", by: ME }), shared, ME),
    ).to.equal(true);
    expect(mayChangeShared(changeSchema.parse({ kind: "unsee", body: "A", character: "ring" }), shared, ME)).to.equal(
      false,
    );
    for (const change of [look(undefined), look(OTHER), look(ME, OTHER), look(ME, undefined)])
      expect(mayChangeShared(change, shared, change === undefined ? "" : ME), JSON.stringify(change)).to.equal(
        JSON.stringify(change) === JSON.stringify(look(ME)),
      );
  });

  it("changes nothing where it is shared to be looked at", () => {
    expect(mayChangeShared(look(ME), { ...shared, mayRecord: false }, ME)).to.equal(false);
  });
});

describe("whom a circle trusts", () => {
  const by = (role: (typeof ROLES)[number], ...trusted: string[]) => ({ person: ME, circle: OTHER, role, trusted });

  it("counts for the genera that they are trusted with, all of those that an answer rests on", () => {
    expect(isTrustedWith(by("knows", "boletus"), ["boletus-edulis"])).to.equal(true);
    expect(isTrustedWith(by("knows", "boletus"), ["boletus-edulis", "leccinum-scabrum"])).to.equal(false);
    expect(isTrustedWith(by("knows", "boletus", "leccinum"), ["boletus-edulis", "leccinum-scabrum"])).to.equal(true);
    expect(isTrustedWith(by("knows"), ["boletus-edulis"])).to.equal(false);
  });

  it("counts for nothing where an answer rests on nothing, and only whoever knows counts at all", () => {
    expect(isTrustedWith(by("knows", "boletus"), [])).to.equal(false);
    for (const role of ROLES.filter((one) => one !== "knows"))
      expect(isTrustedWith(by(role, "boletus"), ["boletus-edulis"]), role).to.equal(false);
  });

  it("is never trusted with more for being trusted with less", () => {
    const genera = fc.subarray(["boletus", "leccinum", "russula", "agaricus"]);
    fc.assert(
      fc.property(genera, genera, genera, (trusted, more, asked) => {
        const sheets = asked.map((genus) => `${genus}-x`);
        const few = isTrustedWith(by("knows", ...trusted), sheets);
        const many = isTrustedWith(by("knows", ...new Set([...trusted, ...more])), sheets);
        expect(!few || many).to.equal(true);
      }),
    );
  });
});

describe("what somebody signs in with", () => {
  it("is a name of small letters, a password as long as a person counts, a code however it is typed", () => {
    expect(signInNameSchema.parse("  Ilva.M-2 ")).to.equal("ilva.m-2");
    for (const name of ["a", "-ilva", "ilva marrund", "ilvä", "x".repeat(41)])
      expect(signInNameSchema.safeParse(name).success, name).to.equal(false);
    expect(newPasswordSchema.safeParse("😀".repeat(11)).success, "eleven characters of two halves each").to.equal(
      false,
    );
    expect(newPasswordSchema.safeParse("😀".repeat(12)).success).to.equal(true);
    expect(newPasswordSchema.parse("e\u0301".repeat(12))).to.equal("é".repeat(12));
    expect(newPasswordSchema.safeParse("x".repeat(129)).success).to.equal(false);
    expect(toldCodeSchema.parse(" ABCD-efgh 2345")).to.equal("abcdefgh2345");
    expect(genusSchema.parse(" Boletus ")).to.equal("boletus");
  });
});
