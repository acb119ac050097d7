import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { expect } from "chai";
import { uuidv7 as uuid } from "uuidv7";
import { asks, type ScratchApp, scratchApp, touchOf } from "../tests/scratch-app.ts";

describe("own settings", () => {
  let made: ScratchApp;
  let api: ReturnType<typeof asks>;
  before(async () => {
    made = await scratchApp();
    api = asks(made.app);
  });
  after(() => made.end());

  const make = (content: object) => api.write(LOCAL_PERSON, { kind: "settings", known: 0, create: content });
  const set = (known: number, ...changes: object[]) =>
    api.write(LOCAL_PERSON, { kind: "settings", known, touches: [touchOf(...changes)] });

  it("are one document a person, under the person's own id", async () => {
    expect((await make({ rules: { distance: 3 }, limits: [] })).status).to.equal(201);
    const elsewhere = await api.write(uuid(), { kind: "settings", known: 0, create: { rules: {}, limits: [] } });
    expect(elsewhere.status).to.equal(400);
    const other = await make({ rules: {}, limits: [{ kind: "all", grams: 5 }] });
    expect(other.status).to.equal(409);
    expect(other.body.current.content.rules).to.deep.equal({ distance: 3 });
  });

  it("set in different matters on two devices hold both; in one matter they collide", async () => {
    expect((await set(1, { kind: "set-rule", field: "amanitas", value: "never" })).body.version).to.equal(2);
    const limits = await set(1, { kind: "set-limits", limits: [{ kind: "all", grams: 1000 }] });
    expect(limits.body.content).to.deep.equal({
      rules: { distance: 3, amanitas: "never" },
      limits: [{ kind: "all", grams: 1000 }],
    });
    expect((await set(1, { kind: "set-rule", field: "amanitas", value: "known" })).status).to.equal(409);
  });

  it("that are not well formed are refused by their field, and cannot be put away", async () => {
    for (const [changes, path] of [
      [{ kind: "set-rule", field: "amanitas", value: "often" }, "touches[0].changes[0].value"],
      [{ kind: "set-limits", limits: [{ kind: "all", grams: -1 }] }, "touches[0].changes[0].limits[0].grams"],
      [{ kind: "set-limits", limits: [{ kind: "all" }] }, "touches[0].changes[0].limits[0]"],
      [{ kind: "archive" }, "touches[0].changes[0].kind"],
    ] as const) {
      const refused = await set(3, changes);
      expect(refused.status, path).to.equal(400);
      expect(refused.body.errors[0].path).to.equal(path);
    }
  });
});
