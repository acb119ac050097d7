import "fake-indexeddb/auto";
import { generateKeyPairSync } from "node:crypto";
import { newFind } from "@jittery-cap/core";
import { expect } from "chai";
import Dexie from "dexie";
import { uuidv7 } from "uuidv7";
import { deviceOf, nameOfStore, STORE_OF_BOXES } from "../documents/device.ts";
import { clearOff, countUnsent, forget, hasBox, openBoxes } from "./boxes.ts";
import { seal, unseal } from "./seal.ts";

/** A pair of keys as the server makes them. */
function pair() {
  const { publicKey, privateKey } = generateKeyPairSync("rsa", { modulusLength: 2048 });
  return { closes: publicKey.export({ format: "jwk" }), opens: privateKey.export({ format: "jwk" }) };
}
const mine = pair();
const ILVA = "0193a000-0000-7000-8000-00000000000a";
const SECRET = "under the third oak";

/** What a browser keeps beside its database. */
const beside = new Map<string, string>();
Object.assign(globalThis, {
  localStorage: {
    getItem: (key: string) => beside.get(key) ?? null,
    setItem: (key: string, value: string) => beside.set(key, value),
    removeItem: (key: string) => beside.delete(key),
  },
});

describe("a sealed box", () => {
  const content = { note: SECRET, many: [1, 2, 3] };
  const file = new TextEncoder().encode(`picture ${SECRET}`).buffer as ArrayBuffer;

  it("opens with its own person's key to what was put into it, and says nothing before", async () => {
    const box = await seal(ILVA, mine.closes, content, [file]);
    const bytes = [box.key, box.content.text, ...box.files.map((one) => one.text)].map((one) =>
      Buffer.from(one).toString("latin1"),
    );
    for (const text of bytes) expect(text).not.to.include(SECRET);
    const opened = await unseal(box, mine.opens);
    expect(opened.content).to.deep.equal(content);
    expect(new TextDecoder().decode(opened.files[0])).to.equal(`picture ${SECRET}`);
  });

  it("opens to nobody else, and to nobody once it was tampered with", async () => {
    const box = await seal(ILVA, mine.closes, content, []);
    const fails = (what: Promise<unknown>) =>
      what.then(
        () => "opened",
        () => "closed",
      );
    expect(await fails(unseal(box, pair().opens))).to.equal("closed");
    const text = box.content.text.slice(0);
    const bytes = new Uint8Array(text);
    bytes[3] = (bytes[3] ?? 0) ^ 1;
    expect(await fails(unseal({ ...box, content: { ...box.content, text } }, mine.opens))).to.equal("closed");
    expect(await fails(seal(ILVA, { kty: "oct", k: "x" }, content, []))).to.equal("closed");
  });

  it("never seals the same twice alike", async () => {
    const [one, other] = [await seal(ILVA, mine.closes, content, []), await seal(ILVA, mine.closes, content, [])];
    expect(Buffer.from(one.content.text).equals(Buffer.from(other.content.text))).to.equal(false);
  });
});

describe("a device that somebody is cleared off", () => {
  const find = newFind(uuidv7(), "2026-09-14T10:20:00Z");
  const touch = { id: uuidv7(), documentId: find.id, touch: { changes: [] } };
  const row = (id: string, version: number) => ({
    id,
    kind: "find" as const,
    schema: 1,
    version,
    base: { ...find, id, note: SECRET },
    content: { ...find, id, note: SECRET },
    archived: 0 as const,
    listedAt: "",
    about: "",
    revision: 1,
  });
  const sent = uuidv7();
  beforeEach(async () => {
    await Dexie.delete(nameOfStore(ILVA));
    await Dexie.delete(STORE_OF_BOXES);
    beside.clear();
    const device = deviceOf(ILVA);
    await device.documents.bulkAdd([row(find.id, 0), row(sent, 4)]);
    await device.queue.add(touch);
    await device.household.add({ id: "hanne", eater: { name: "Hanne" } });
    await device.track.add({ outing: "one", point: { lat: 61 } });
    device.close();
    beside.set("preferences", JSON.stringify({ emergency: SECRET }));
  });

  it("keeps nothing of theirs but the box, and gives back what the server had not got, once", async () => {
    expect(await countUnsent(deviceOf(ILVA))).to.equal(1);
    expect(await clearOff(ILVA, mine.closes)).to.equal(true);
    expect(await Dexie.exists(nameOfStore(ILVA))).to.equal(false);
    expect([...beside.keys()]).to.deep.equal([]);
    expect(await hasBox(ILVA)).to.equal(true);
    expect(await hasBox(uuidv7())).to.equal(false);

    await openBoxes(ILVA, mine.opens);
    const device = deviceOf(ILVA);
    expect((await device.documents.toArray()).map(({ id, version }) => [id, version])).to.deep.equal([[find.id, 0]]);
    expect((await device.queue.toArray()).map((one) => one.id)).to.deep.equal([touch.id]);
    expect(await device.household.count()).to.equal(1);
    expect(await device.track.count()).to.equal(1);
    expect(beside.get("preferences")).to.include(SECRET);
    expect(await hasBox(ILVA)).to.equal(false);
    device.close();
  });

  it("keeps the box where the key is not theirs, so that nothing is lost by a wrong one", async () => {
    await clearOff(ILVA, mine.closes);
    const outcome = await openBoxes(ILVA, pair().opens).then(
      () => "opened",
      () => "closed",
    );
    expect(outcome).to.equal("closed");
    expect(await hasBox(ILVA)).to.equal(true);
  });

  it("leaves nothing readable, and ends, where another page holds the store open", async () => {
    const open = deviceOf(ILVA);
    await open.open();
    const version = open.verno * 10;
    open.close();
    const held = await new Promise<IDBDatabase>((resolve, reject) => {
      const asked = indexedDB.open(nameOfStore(ILVA), version);
      asked.onsuccess = () => resolve(asked.result);
      asked.onerror = () => reject(asked.error);
    });
    expect(await clearOff(ILVA, mine.closes)).to.equal(true);
    const left = await new Promise<unknown[]>((resolve) => {
      const asked = held.transaction("documents").objectStore("documents").getAll();
      asked.onsuccess = () => resolve(asked.result);
    });
    expect(left).to.deep.equal([]);
    held.close();
  });

  it("takes what is here since for newer than what lay sealed", async () => {
    await clearOff(ILVA, mine.closes);
    const device = deviceOf(ILVA);
    await device.documents.add({ ...row(find.id, 7), content: { ...find, note: "newer" } });
    device.close();
    await openBoxes(ILVA, mine.opens);
    const again = deviceOf(ILVA);
    expect((await again.documents.get(find.id))?.version).to.equal(7);
    expect(await again.queue.count()).to.equal(1);
    again.close();
  });

  it("deletes nothing where something would be lost: a key that seals nothing leaves all as it is", async () => {
    const outcome = await clearOff(ILVA, { kty: "none" }).then(
      () => "cleared",
      () => "refused",
    );
    expect(outcome).to.equal("refused");
    expect(await deviceOf(ILVA).documents.count()).to.equal(2);
  });

  it("forgets somebody who left for good, what lay sealed as well", async () => {
    await clearOff(ILVA, mine.closes);
    await forget(ILVA);
    expect(await hasBox(ILVA)).to.equal(false);
  });
});
