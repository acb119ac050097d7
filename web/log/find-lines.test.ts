import "fake-indexeddb/auto";
import { type Find, newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { device } from "../documents/device.ts";
import { isReadable, makeDocument } from "../documents/documents.ts";
import { EVERYTHING, findOf, type LogQuery, logPage, outcomeWords, yearsOfFinds } from "./find-lines.ts";

const find = (foundAt: string, more: Partial<Find>): Find => ({ ...newFind(uuidv7(), foundAt), ...more });
const FINDS: readonly Find[] = [
  find("2024-08-30T09:00:00Z", {
    label: "ridged ones",
    place: { name: "Ammerbog" },
    takenFor: "cantharellus-cibarius",
  }),
  find("2025-09-14T09:00:00Z", {
    label: "pale one",
    place: { name: "Skirrow Wood" },
    bodies: [{ id: "A", ending: "left-unknown", note: "smelt of nothing" }],
  }),
  find("2026-10-02T09:00:00Z", {
    label: "cluster",
    bodies: [
      { id: "A", ending: "basket" },
      { id: "B", ending: "infusion-only", print: { laidAt: "2026-10-02T18:00:00Z" } },
    ],
  }),
];

describe("the log", () => {
  before(async () => {
    await device.documents.clear();
    for (const one of FINDS) await makeDocument("find", one.id, one);
    const row = await device.documents.toCollection().first();
    if (row !== undefined)
      await device.documents.put({ ...row, id: uuidv7(), content: { broken: true }, listedAt: "" });
  });
  after(() => device.documents.clear());
  const pageOf = async (query: LogQuery, most: number) => (await logPage(query, most)).rows.map(findOf);
  const met = async (query: Partial<LogQuery>, most = 10) =>
    (await pageOf({ ...EVERYTHING, ...query }, most)).map((one) =>
      isReadable(one) ? one.content.label : "unreadable",
    );

  it("finds by name, place, note and kind, whatever the order of the words", async () => {
    expect(await met({ words: "bog ridged" })).to.deep.equal(["ridged ones"]);
    expect(await met({ words: "cantharellus cibarius" })).to.deep.equal(["ridged ones"]);
    expect(await met({ words: "smelt of nothing" })).to.deep.equal(["pale one"]);
    expect(await met({ words: "no such word" })).to.deep.equal([]);
  });

  it("finds by what became of them, by year, and by prints that nobody has read", async () => {
    expect(await met({ outcome: "infusion-only" })).to.deep.equal(["cluster"]);
    expect(await met({ outcome: "undecided" })).to.deep.equal(["ridged ones"]);
    expect(await met({ year: "2025" })).to.deep.equal(["pale one"]);
    expect(await met({ hasOpenPrint: true })).to.deep.equal(["cluster"]);
    expect(await yearsOfFinds()).to.deep.equal(["2026", "2025", "2024"]);
    expect(await met({ order: "earliest", year: "202" })).to.deep.equal(["ridged ones", "pale one", "cluster"]);
  });

  it("lists what cannot be read, says where there is more, and tells what became of each", async () => {
    expect(await met({})).to.include("unreadable");
    expect((await logPage(EVERYTHING, 2)).more).to.equal(true);
    const [latest] = (await pageOf(EVERYTHING, 1)).filter(isReadable);
    expect(latest === undefined ? undefined : outcomeWords(latest.content)).to.equal(
      "in the basket, for infusion only",
    );
  });

  it("has at hand what it read, and never what was changed since", async () => {
    const [before] = (await pageOf(EVERYTHING, 1)).filter(isReadable);
    expect((await pageOf(EVERYTHING, 2))[0]).to.equal(before);
    const row = before && (await device.documents.get(before.id));
    if (row === undefined) throw new Error("there is no find");
    // under the same revision as well: what somebody else wrote over it counts what it wants
    const content = { ...(row.content as Find), label: "renamed" };
    await device.documents.put({ ...row, content });
    expect(await met({}, 1)).to.deep.equal(["renamed"]);
    await device.documents.put(row);
  });
});
