import "fake-indexeddb/auto";
import { assess, canonicalFind, type Find, type Standing } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { seasonFinds } from "../../demo/season.ts";
import { EDITION, judged, judgeHere } from "../tests/judge-here.ts";
import { decideFind, decisionsOf, latestDecisions } from "./decisions.ts";
import { device } from "./device.ts";
import { keepTouch, makeDocument, readKept, setArchived, touchNow } from "./documents.ts";
import { standingSummary } from "./verdicts.ts";

const knowledge = readKnowledge();
const GOOD = canonicalFind(seasonFinds().find((one) => one.label?.startsWith("white ones in an arc")) as Find);
const KEPT = GOOD.bodies.filter((body) => body.keep !== false).map((body) => body.id);

describe("decisions on a device", () => {
  const realFetch = globalThis.fetch;
  /** How the server says that decisions stand; undefined: nobody answers. */
  let server: { id: string; standing?: Standing }[] | undefined;
  let stop: () => void;
  before(() => {
    stop = judgeHere();
    globalThis.fetch = () =>
      server === undefined
        ? Promise.reject(new TypeError("no network"))
        : Promise.resolve(
            Response.json({
              edition: EDITION,
              decisions: server.map((one) => ({ about: GOOD.id, decidedAt: "2026-09-14T12:00:00Z", ...one })),
            }),
          );
  });
  after(() => {
    stop();
    globalThis.fetch = realFetch;
  });
  beforeEach(async () => {
    server = undefined;
    judged.broken = false;
    await device.delete();
    await device.open();
    await makeDocument("find", GOOD.id, GOOD);
  });

  const endings = (ending: "basket" | "looked-at-only") =>
    GOOD.bodies.map((body) => ({ body: body.id, ending: body.keep === false ? ("looked-at-only" as const) : ending }));
  const decide = async () => {
    const decided = await decideFind(GOOD, endings("basket"), assess(GOOD, knowledge));
    if (!decided.ok) throw new Error(JSON.stringify(decided.faults));
    return decided.value;
  };
  const cleared = async () => (await latestDecisions())[0]?.today.cleared;
  /** As if the server had heard of a document. */
  const heard = (id: string) => device.documents.update(id, { version: 1 });

  it("are made without a network and stand by the device's own judge, told as not heard yet", async () => {
    const id = await decide();
    const [one] = await latestDecisions();
    expect(one).to.deep.include({ id, isHeard: false, refused: undefined });
    expect(one?.today).to.deep.include({ verdict: "basket", cleared: KEPT, edition: EDITION });
    expect((await decisionsOf(GOOD.id)).map((decision) => decision.id)).to.deep.equal([id]);
  });

  it("are refused where the answer does not permit them, and by a rule that wants experience", async () => {
    const held = { ...GOOD, bodies: GOOD.bodies.map(({ seen: _seen, ...body }) => body) };
    const refused = await decideFind(held, endings("basket"), assess(held, knowledge));
    expect(refused.ok).to.equal(false);
    const known: Find = { ...GOOD, rules: { smallBrown: "known" } };
    const unpractised = await decideFind(known, endings("basket"), assess(known, knowledge));
    expect(!unpractised.ok && unpractised.faults[0]?.path).to.equal("rules.smallBrown");
    expect(await latestDecisions()).to.deep.equal([]);
  });

  it("clear nothing any more that the record as it is does not", async () => {
    await decide();
    await keepTouch("find", GOOD.id, touchNow([{ kind: "set-body", body: "A", field: "keep", value: false }]));
    expect(await cleared()).not.to.include("A");
    await keepTouch(
      "find",
      GOOD.id,
      touchNow([{ kind: "observe", body: "C", character: "base", entries: [{ character: "base", states: ["sac"] }] }]),
    );
    expect(await cleared()).to.deep.equal([]);
  });

  it("clear what the server clears as well, and nothing where it does not know them", async () => {
    const id = await decide();
    await heard(id);
    const standing = { verdict: "basket", cleared: ["A"], restsOn: [], conditions: ["boil-first"] } as const;
    server = [{ id, standing: { ...standing, cleared: [...standing.cleared] } }];
    const [one] = await latestDecisions();
    expect(one?.today.cleared).to.deep.equal(["A"]);
    expect(one?.today.conditions).to.include("boil-first");
    server = [{ id }];
    expect(await cleared()).to.deep.equal([]);
    server = [];
    expect(await cleared()).to.deep.equal([]);
  });

  it("that the server did not take clear nothing, and say why", async () => {
    const id = await decide();
    await device.troubles.put({ documentId: id, kind: "refused", text: "the answer does not clear A" });
    const [one] = await latestDecisions();
    expect(one?.refused).to.contain("does not clear A");
    expect(one?.today.cleared).to.deep.equal([]);
  });

  it("clear nothing while the judge cannot be had, and of a find that was put away are not carried", async () => {
    await decide();
    judged.broken = true;
    expect(await cleared()).to.deep.equal([]);
    judged.broken = false;
    expect(await cleared()).to.deep.equal(KEPT);
    await setArchived("find", GOOD.id, true);
    expect(await latestDecisions()).to.deep.equal([]);
    expect((await decisionsOf(GOOD.id))[0]?.today.cleared).to.deep.equal([]);
  });

  it("of several the latest of a find counts", async () => {
    await decide();
    await new Promise((later) => setTimeout(later, 5));
    const left = GOOD.bodies.map((body) => ({ body: body.id, ending: "left-to-grow" as const, reason: "enough" }));
    const second = await decideFind(GOOD, left, assess(GOOD, knowledge));
    expect((await latestDecisions()).map((one) => one.id)).to.deep.equal([second.ok ? second.value : ""]);
    expect(await decisionsOf(GOOD.id)).to.have.length(2);
  });

  it("rest on an answer that is worked out once for a record, and anew for the next", async () => {
    const find = await readKept("find", GOOD.id);
    if (find === undefined) throw new Error("the find is not here");
    const before = judged.summaries;
    await standingSummary(find);
    await standingSummary(find);
    expect(judged.summaries).to.equal(before + 1);
    await keepTouch("find", GOOD.id, touchNow([{ kind: "set-find", field: "note", value: uuidv7() }]));
    const next = await readKept("find", GOOD.id);
    await standingSummary(next ?? find);
    expect(judged.summaries).to.equal(before + 2);
    // by other sheets than those that judged it, what is remembered counts for nothing
    await device.verdicts.update(GOOD.id, { edition: "older" });
    await standingSummary(next ?? find);
    expect(judged.summaries).to.equal(before + 3);
  });
});
