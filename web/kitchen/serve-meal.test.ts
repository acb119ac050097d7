import "fake-indexeddb/auto";
import { newFind } from "@jittery-cap/core";
import { batchSchema, leftOf, mealSchema, type Share } from "@jittery-cap/core/kitchen";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { device } from "../documents/device.ts";
import { isReadable, listKept, makeDocument, readKept } from "../documents/documents.ts";
import { make } from "../documents/keep-fields.ts";
import { serveMeal } from "./serve-meal.ts";

const AT = "2026-09-27T17:00:00Z";
const [HANNE, JORUN] = [uuidv7(), uuidv7()];

describe("a served meal", () => {
  it("is written down, empties basket and jar of what was cooked, and begins the tasting of whoever had a spoon of a new kind", async () => {
    const find = newFind(uuidv7(), AT);
    await makeDocument("find", find.id, find);
    const jar = await make(
      "batch",
      batchSchema.parse({
        code: "7K2QX",
        way: "dried",
        kinds: ["hydnum-repandum"],
        from: [{ find: find.id, body: "A" }],
        madeAt: AT,
        gramsIn: 400,
        gramsOut: 40,
        ticks: [],
        took: [],
        recalls: [],
      }),
    );
    const meal = mealSchema.parse({
      at: AT,
      items: [
        { find: find.id, body: "A", kinds: ["boletus-edulis"], grams: 200 },
        { find: find.id, body: "A", batch: jar, kinds: ["hydnum-repandum"], grams: 15 },
      ],
      seats: [{ person: HANNE }, { person: JORUN }],
      ticks: [],
      stove: { rings: 2, pans: 2, pots: 1, hands: 1 },
      pans: [],
    });
    const id = await make("meal", meal);
    const share = (person: string, most: number, refusals: Share["refusals"]): Share => ({
      person,
      kind: "boletus-edulis",
      most,
      refusals,
      why: undefined,
    });
    const batches = (await listKept("batch", 10)).filter(isReadable);
    const portions = [
      { person: HANNE, kind: "boletus-edulis", grams: 150 },
      { person: JORUN, kind: "boletus-edulis", grams: 15 },
    ];
    const wrong = await serveMeal({
      id,
      meal,
      portions,
      shares: [share(HANNE, 150, []), share(JORUN, 15, ["new-kind"])],
      batches,
    });
    expect(wrong).to.equal(undefined);
    expect((await readKept("meal", id))?.content.served?.portions).to.deep.equal(portions);
    expect((await readKept("find", find.id))?.content.bodies[0]?.parted?.how).to.equal("emptied");
    const left = await readKept("batch", jar);
    expect(left === undefined ? undefined : leftOf(left.content)).to.equal(25);
    const tastings = (await listKept("tasting", 10)).filter(isReadable).map(({ content }) => content);
    expect(tastings.map(({ person, portions: had }) => [person, had[0]?.grams])).to.deep.equal([[JORUN, 15]]);
  });

  it("that cannot be written down empties nothing", async () => {
    const find = newFind(uuidv7(), AT);
    await makeDocument("find", find.id, find);
    const meal = mealSchema.parse({
      at: AT,
      items: [{ find: find.id, body: "A", kinds: ["boletus-edulis"], grams: 200 }],
      seats: [],
      ticks: [],
      stove: { rings: 1, pans: 1, pots: 0, hands: 1 },
      pans: [],
    });
    const id = await make("meal", meal);
    const wrong = await serveMeal({
      id,
      meal,
      portions: [{ person: HANNE, kind: "boletus-edulis", grams: -3 }],
      shares: [],
      batches: [],
    });
    expect(wrong).to.contain("grams");
    expect((await readKept("find", find.id))?.content.bodies[0]?.parted).to.equal(undefined);
  });

  it("is written down whole or not at all, when this device breaks off in the middle", async () => {
    const find = newFind(uuidv7(), AT);
    await makeDocument("find", find.id, find);
    const id = await make(
      "meal",
      mealSchema.parse({
        at: AT,
        items: [{ find: find.id, body: "A", kinds: ["boletus-edulis"], grams: 200 }],
        seats: [{ person: JORUN }],
        ticks: [],
        stove: { rings: 1, pans: 1, pots: 0, hands: 1 },
        pans: [],
      }),
    );
    const before = (await listKept("tasting", 10)).length;
    const waiting = await device.queue.count();
    const serving = {
      id,
      meal: (await readKept("meal", id))?.content ?? expect.fail("there is no meal"),
      portions: [{ person: JORUN, kind: "boletus-edulis", grams: 15 }],
      shares: [{ person: JORUN, kind: "boletus-edulis", most: 15, refusals: ["new-kind" as const], why: undefined }],
      batches: [],
    };
    const full = () => {
      throw new DOMException("the disk is full", "QuotaExceededError");
    };
    // the tasting is the last that is written
    device.documents.hook("creating", full);
    const ended = await serveMeal(serving).then(
      () => "kept",
      () => "broken off",
    );
    device.documents.hook("creating").unsubscribe(full);
    expect(ended).to.equal("broken off");
    expect((await readKept("meal", id))?.content.served).to.equal(undefined);
    expect((await readKept("find", find.id))?.content.bodies[0]?.parted).to.equal(undefined);
    expect(await device.queue.count()).to.equal(waiting);
    expect(await serveMeal(serving)).to.equal(undefined);
    expect((await listKept("tasting", 10)).length).to.equal(before + 1);
  });
});
