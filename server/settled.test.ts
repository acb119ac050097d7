import { expect } from "chai";
import type { Express } from "express";
import request from "supertest";
import { LOCAL_PERSON } from "./store/local-person.ts";
import { SettledStore } from "./store/settled.ts";
import { type ScratchApp, scratchApp } from "./tests/scratch-app.ts";

const KILO = { kind: "all", grams: 1000 };

describe("what a person has settled", () => {
  let scratched: ScratchApp;
  let app: Express;
  before(async () => {
    scratched = await scratchApp();
    ({ app } = scratched);
  });
  after(() => scratched.scratch.drop());
  const put = (version: number, settled: object) => request(app).put("/api/settled").send({ version, settled });

  it("is nothing at first, and then what was written, version by version", async () => {
    expect((await request(app).get("/api/settled")).body).to.deep.equal({
      version: 0,
      settled: { rules: {}, limits: [] },
    });
    const first = await put(0, { rules: { distance: 3 }, limits: [KILO] });
    expect(first.status).to.equal(200);
    expect(first.body.version).to.equal(1);
    const placed = { ...KILO, place: "Upper pasture" };
    expect((await put(1, { rules: { distance: 3 }, limits: [placed] })).body.version).to.equal(2);
    expect((await request(app).get("/api/settled")).body.settled.limits).to.deep.equal([placed]);
  });

  it("sent again is the same, and over an older version a conflict that shows what is there", async () => {
    const { body: there } = await request(app).get("/api/settled");
    expect((await put(there.version - 1, there.settled)).body).to.deep.equal(there);
    const late = await put(there.version - 1, { rules: {}, limits: [] });
    expect(late.status).to.equal(409);
    expect(late.body.current).to.deep.equal(there);
  });

  it("by two devices at the same moment is one of them, and a conflict for the other", async () => {
    const { body: there } = await request(app).get("/api/settled");
    const answers = await Promise.all(
      [1, 2, 3].map((grams) => put(there.version, { rules: {}, limits: [{ kind: "all", grams }] })),
    );
    expect(answers.map((one) => one.status).sort()).to.deep.equal([200, 409, 409]);
    const first = new SettledStore(scratched.scratch.database, scratched.models);
    const other = "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a99";
    expect((await first.read(other)).version).to.equal(0);
    expect((await first.read(LOCAL_PERSON)).version).to.equal(there.version + 1);
  });

  it("that is not well formed is refused by its field, and nothing is stored", async () => {
    const { body: there } = await request(app).get("/api/settled");
    for (const [settled, path] of [
      [{ rules: { amanitas: "often" }, limits: [] }, "settled.rules.amanitas"],
      [{ rules: {}, limits: [{ kind: "all", grams: -1 }] }, "settled.limits[0].grams"],
      [{ rules: {}, limits: [{ kind: "all" }] }, "settled.limits[0]"],
      [{ rules: {} }, "settled.limits"],
    ] as const) {
      const refused = await put(there.version, settled);
      expect(refused.status, path).to.equal(400);
      expect(refused.body.errors[0].path).to.equal(path);
    }
    expect((await request(app).get("/api/settled")).body).to.deep.equal(there);
  });
});
