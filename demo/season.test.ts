import { readdirSync, readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { assess, canonicalFind, canonicalJson, findSchema, permitsEnding, summarise } from "@jittery-cap/core";
import { KINDS } from "@jittery-cap/core/documents";
import { outingSchema } from "@jittery-cap/core/season";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "./season.ts";
import { twoSeasons } from "./two-seasons.ts";

const knowledge = readKnowledge();
const answerTo = (label: string) => {
  const find = seasonFinds().find((one) => one.label?.startsWith(label));
  if (find === undefined) throw new Error(`no find ${label}`);
  return assess(find, knowledge);
};
const codes = (label: string) => answerTo(label).reasons.map((reason) => reason.code);

describe("the invented season", () => {
  it("has a good troop that is decided as a group of kinds", () => {
    const answer = answerTo("white ones in an arc");
    expect(answer.verdict).to.equal("basket");
    expect(answer.restsOn.length).to.be.greaterThan(1);
  });
  it("has a deadly one among good ones in the same cluster", () => {
    const answer = answerTo("cluster on the birch stump");
    expect(answer.verdict).to.equal("leave");
    expect(answer.bodies.find((body) => body.body === "C")?.verdict).to.equal("leave");
  });
  it("has a find that hangs on a print still under its cup", () =>
    expect(codes("orange cluster")).to.include("print-pending"));
  it("has a base lost to the mower", () => expect(codes("behind the bowling green")).to.include("base-lost"));
  it("has a frost morning when stain and nose are silent", () => {
    const answer = answerTo("white ones, morning after frost");
    expect(answer.verdict).to.equal("hold");
    const near = answer.dangers.filter(({ aside, mistakes }) => aside !== true && mistakes === 0);
    expect(near.map(({ sheet }) => sheet)).to.include("agaricus-xanthodermus");
  });
  it("has a sodden basket-filler", () => expect(codes("yellow basket-filler")).to.include("sodden"));
  it("has a first tasting in progress", () => expect(answerTo("chanterelles").verdict).to.equal("basket"));
  it("has one that stayed unknown", () => expect(codes("grey brittle")).to.include("unknown-kind"));
  it("has a pale one that nobody has dug", () => {
    const answer = answerTo("pale one under the birches");
    expect(answer.verdict).to.equal("hold");
    expect(answer.next.tests.map(({ test }) => test)).to.include("lift-base-whole");
  });

  it("is on the disk as the script writes it", () => {
    const folder = fileURLToPath(new URL("finds", import.meta.url));
    const onDisk = readdirSync(folder).map((name) =>
      canonicalJson(JSON.parse(readFileSync(`${folder}/${name}`, "utf8"))),
    );
    expect(onDisk.sort()).to.deep.equal(
      seasonFinds()
        .map((find) => canonicalJson(canonicalFind(find)))
        .sort(),
    );
  });
});

describe("the two invented seasons", () => {
  const documents = twoSeasons(knowledge);
  const outings = documents.flatMap(({ kind, content }) => (kind === "outing" ? [outingSchema.parse(content)] : []));

  it("hold nothing that could not be written: every document is one of its kind, under an id of its own", () => {
    for (const { kind, id, content } of documents) {
      const read = KINDS[kind].schema.safeParse(content);
      expect(read.success, `${kind} ${id}: ${JSON.stringify(read.error?.issues)}`).to.equal(true);
    }
    expect(new Set(documents.map(({ id }) => id)).size).to.equal(documents.length);
  });

  it("are some sixty outings of two years, many of their searches empty", () => {
    expect(outings.length).to.be.within(55, 70);
    const searches = outings.flatMap((one) => one.searches);
    const empty = searches.filter(({ nothing }) => nothing === true).length;
    expect(empty / searches.length).to.be.within(0.25, 0.6);
  });

  it("carry nothing home that the sheets of today do not clear", () => {
    for (const { kind, content } of documents) {
      if (kind !== "find") continue;
      const find = findSchema.parse(content);
      const answer = summarise(find, knowledge);
      for (const { id, ending } of find.bodies)
        if (ending !== undefined) expect(permitsEnding(answer, id, ending), `${find.label} ${id}`).to.equal(true);
    }
  }).timeout(60_000);
});
