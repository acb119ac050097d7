import { expect } from "chai";
import { uuidv7 as uuid } from "uuidv7";
import { asks, type ScratchApp, scratchApp, touchOf } from "../tests/scratch-app.ts";

const HANNE = uuid();
const FIND = uuid();
const meal = () => ({
  at: "2026-09-27T19:00:00+02:00",
  items: [{ find: FIND, body: "A", kinds: ["boletus-edulis"], grams: 240 }],
  seats: [{ person: HANNE }],
  ticks: [],
  stove: { rings: 4, pans: 2, pots: 1, hands: 1 },
  pans: [],
});
const set = (field: string, value: unknown) => touchOf({ kind: "set-field", field, value });

describe("documents of the kitchen in MariaDB", () => {
  let made: ScratchApp;
  let api: ReturnType<typeof asks>;
  before(async () => {
    made = await scratchApp();
    api = asks(made.app);
  });
  after(() => made.end());

  const begin = async () => {
    const id = uuid();
    const reply = await api.write(id, { kind: "meal", known: 0, create: meal() });
    expect(reply.status, JSON.stringify(reply.body)).to.equal(201);
    return id;
  };
  const touch = (id: string, known: number, ...touches: readonly unknown[]) =>
    api.write(id, { kind: "meal", known, touches });

  it("are made, changed field by field, and come back as they were written; the same again changes nothing", async () => {
    const id = await begin();
    const served = set("served", {
      at: "2026-09-27T19:05:00+02:00",
      portions: [{ person: HANNE, kind: "boletus-edulis", grams: 150 }],
    });
    expect((await touch(id, 1, served)).body.version).to.equal(2);
    expect((await touch(id, 1, served)).body.version).to.equal(2);
    const { body } = await api.read(id);
    expect(body.content.served.portions).to.deep.equal([{ person: HANNE, kind: "boletus-edulis", grams: 150 }]);
    expect(body.content.items).to.deep.equal(meal().items);
  });

  it("changed on two devices in two fields are one document; in one field they are before somebody, and nothing is lost", async () => {
    const id = await begin();
    expect((await touch(id, 1, set("note", "in the big pan"))).status).to.equal(200);
    expect((await touch(id, 1, set("stove", { rings: 2, pans: 2, pots: 1, hands: 1 }))).status).to.equal(200);
    const met = await touch(id, 1, set("note", "in the small pan"));
    expect(met.status).to.equal(409);
    expect(met.body.current.content.note).to.equal("in the big pan");
    expect(met.body.current.content.stove.rings).to.equal(2);
  });

  it("are refused by the field that is wrong: nought, a body twice, an unknown kind, somebody's health", async () => {
    const refused = async (content: object) => {
      const reply = await api.write(uuid(), { kind: "meal", known: 0, create: content });
      expect(reply.status).to.equal(400);
      return reply.body.detail as string;
    };
    const [item] = meal().items;
    expect(await refused({ ...meal(), items: [{ ...item, grams: 0 }] }))
      .to.contain("items[0].grams")
      .and.contain("more than");
    expect(await refused({ ...meal(), items: [item, item] }))
      .to.contain("items[1]")
      .and.contain("in the pot twice");
    expect(await refused({ ...meal(), items: [{ ...item, kinds: ["good-one"] }] })).to.contain("items[0].kinds[0]");
    // what is told of people has no place in what is sent
    expect(await refused({ ...meal(), seats: [{ person: HANNE, matters: ["pregnant"] }] })).to.contain("seats[0]");
    const id = await begin();
    const odd = await touch(id, 1, set("items", [{ ...item, grams: -1 }]));
    expect(odd.status).to.equal(400);
    expect((await api.read(id)).body.version).to.equal(1);
    const unknown = await touch(id, 1, set("cleared", true));
    expect(unknown.status).to.equal(400);
  });

  it("of a jar keep its code and what was taken; of a tasting its portions in their order", async () => {
    const jar = uuid();
    const batch = {
      code: "7K2QX",
      way: "dried",
      kinds: ["boletus-edulis"],
      from: [{ find: FIND, body: "A" }],
      madeAt: "2026-09-27T18:00:00Z",
      gramsIn: 240,
      ticks: [],
      took: [],
      recalls: [],
    };
    expect((await api.write(jar, { kind: "batch", known: 0, create: batch })).status).to.equal(201);
    const tasting = {
      person: HANNE,
      kinds: ["boletus-edulis"],
      find: FIND,
      body: "A",
      begunAt: "2026-09-27T18:00:00Z",
      portions: [],
      felt: [],
    };
    const id = uuid();
    expect((await api.write(id, { kind: "tasting", known: 0, create: tasting })).status).to.equal(201);
    const backwards = [
      { at: "2026-09-28T18:00:00Z", grams: 15 },
      { at: "2026-09-27T18:00:00Z", grams: 30 },
    ];
    const reply = await api.write(id, { kind: "tasting", known: 1, touches: [set("portions", backwards)] });
    expect(reply.status).to.equal(400);
    expect(reply.body.detail).to.contain("not after the portion before");
    expect((await api.read(jar)).body.content.code).to.equal("7K2QX");
  });
});
