import "fake-indexeddb/auto";
import { FIRST_YEARS } from "@jittery-cap/core";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { expect } from "chai";
import { device } from "./device.ts";
import { readKept } from "./documents.ts";
import { keepSettings, ownRules, settle, useSettings } from "./settings.ts";

describe("own settings on a device", () => {
  beforeEach(async () => {
    await device.delete();
    await device.open();
  });
  const until = async (holds: () => boolean) => {
    for (let wait = 0; wait < 200 && !holds(); wait++) await new Promise((later) => setTimeout(later, 5));
    expect(holds()).to.equal(true);
  };

  it("are the strictest until this device has looked, then what was settled", async () => {
    expect(useSettings.getState()).to.deep.include({ isKnown: false });
    expect(useSettings.getState().settings.rules).to.deep.equal(FIRST_YEARS);
    const stop = keepSettings();
    await until(() => useSettings.getState().isKnown);
    expect(useSettings.getState().settings.rules).to.deep.equal({});
    expect(await ownRules()).to.equal(undefined);
    expect(await settle({ rules: { distance: 3 } })).to.equal(true);
    await until(() => useSettings.getState().settings.rules.distance === 3);
    expect(useSettings.getState().unsent).to.equal(true);
    expect(await ownRules()).to.deep.equal({ distance: 3 });
    stop();
  });

  it("settled in one go are one touch, and settled as they are none", async () => {
    await settle({ limits: [{ kind: "all", grams: 500 }] });
    await settle({ rules: { distance: 3, amanitas: "never" }, limits: [] });
    expect(await device.queue.count()).to.equal(1);
    expect((await readKept("settings", LOCAL_PERSON))?.content.limits).to.deep.equal([]);
    await settle({ limits: [] });
    expect(await device.queue.count()).to.equal(1);
  });

  it("that cannot be read any more hold as the strictest, and are not written over", async () => {
    await settle({ rules: { distance: 3 } });
    await device.documents.update(LOCAL_PERSON, { content: { rules: { amanitas: "often" } } });
    expect(await ownRules()).to.deep.equal(FIRST_YEARS);
    expect(await settle({ limits: [{ kind: "all", grams: 5 }] })).to.equal(false);
    expect((await device.documents.get(LOCAL_PERSON))?.content).to.deep.equal({ rules: { amanitas: "often" } });
  });
});
