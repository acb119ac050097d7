import "fake-indexeddb/auto";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { device, isWaiting } from "./device.ts";
import { deliverPictures, keepPicture, setPictureAway, shownPictures } from "./pictures.ts";

/** A server in memory that keeps pictures by id; it can be out of reach, or lose its replies. */
class Server {
  readonly kept = new Map<string, { part: string; away: boolean }>();
  reach: "reachable" | "gone" | "loses-replies" | "refuses" = "reachable";
  writes = 0;

  readonly fetch = async (input: string | URL | Request, init: RequestInit = {}): Promise<Response> => {
    if (this.reach === "gone") throw new TypeError("no network");
    const url = new URL(String(input), "http://server");
    const [, , , , , id, restore] = url.pathname.split("/");
    const method = init.method ?? "GET";
    if (method !== "GET") this.writes += 1;
    if (this.reach === "refuses") return Response.json({ detail: "(root): is no picture" }, { status: 400 });
    if (id === undefined)
      return Response.json({
        pictures: [...this.kept].flatMap(([one, { part, away }]) =>
          away ? [] : [{ id: one, part, receivedAt: "2026-09-14T10:00:00Z" }],
        ),
      });
    if (method === "PUT") this.kept.set(id, { part: url.searchParams.get("part") ?? "", away: false });
    const picture = this.kept.get(id);
    if (picture !== undefined && method === "DELETE") picture.away = true;
    if (picture !== undefined && restore === "restore") picture.away = false;
    if (this.reach === "loses-replies") throw new TypeError("no network");
    return new Response(null, { status: picture === undefined && method !== "PUT" ? 404 : 204 });
  };
}

describe("pictures on this device", () => {
  let server: Server;
  const realFetch = globalThis.fetch;
  const findId = uuidv7();

  beforeEach(async () => {
    server = new Server();
    globalThis.fetch = server.fetch;
    await device.pictures.clear();
  });
  afterEach(() => {
    globalThis.fetch = realFetch;
  });

  async function taken(): Promise<string> {
    const id = uuidv7();
    const file = new Blob(["picture"], { type: "image/jpeg" });
    await keepPicture({ id, findId, part: "foot", body: "A", takenAt: "2026-09-14T10:20:00Z", file });
    return id;
  }
  const ids = async () => (await shownPictures(findId)).map((one) => one.id);

  it("are shown at once, without a server, and say that they are here only", async () => {
    server.reach = "gone";
    const id = await taken();
    expect(await deliverPictures(findId)).to.equal(1);
    expect(await shownPictures(findId)).to.have.length(1);
    expect((await shownPictures(findId))[0]).to.deep.include({ id, part: "foot", onDeviceOnly: true });
  });

  it("are sent once there is a server, and are then the server's", async () => {
    const id = await taken();
    expect(await deliverPictures(findId)).to.equal(0);
    expect(server.kept.get(id)).to.deep.equal({ part: "foot", away: false });
    expect((await shownPictures(findId))[0]).to.deep.include({ id, onDeviceOnly: false });
    expect(await device.pictures.count()).to.equal(0);
  });

  it("whose reply was lost are sent again and shown once", async () => {
    const id = await taken();
    server.reach = "loses-replies";
    expect(await deliverPictures(findId)).to.equal(1);
    server.reach = "reachable";
    expect(await ids()).to.deep.equal([id]);
    expect(await deliverPictures(findId)).to.equal(0);
    expect(await ids()).to.deep.equal([id]);
  });

  it("put away without a server stay away once there is one, and can be brought back", async () => {
    const id = await taken();
    await deliverPictures(findId);
    const [shown] = await shownPictures(findId);
    if (shown === undefined) throw new Error("not shown");
    server.reach = "gone";
    await setPictureAway(findId, shown, true);
    expect(await ids()).to.deep.equal([]);
    expect(await deliverPictures(findId)).to.equal(1);
    server.reach = "reachable";
    expect(await deliverPictures(findId)).to.equal(0);
    expect(server.kept.get(id)?.away).to.equal(true);
    await setPictureAway(findId, shown, false);
    expect(await deliverPictures(findId)).to.equal(0);
    expect(server.kept.get(id)?.away).to.equal(false);
    expect(await ids()).to.deep.equal([id]);
  });

  it("taken and put away before the server ever heard of them are never sent", async () => {
    await taken();
    const [shown] = await shownPictures(findId);
    if (shown === undefined) throw new Error("not shown");
    await setPictureAway(findId, shown, true);
    expect(await deliverPictures(findId)).to.equal(0);
    expect(server.writes).to.equal(0);
    expect(await ids()).to.deep.equal([]);
  });

  it("that the server refuses stay here with its reason, and are not sent for ever", async () => {
    server.reach = "refuses";
    await taken();
    expect(await deliverPictures(findId)).to.equal(0);
    await deliverPictures(findId);
    expect(server.writes).to.equal(1);
    expect((await shownPictures(findId))[0]?.refused).to.contain("is no picture");
    expect((await device.pictures.toArray()).some(isWaiting)).to.equal(false);
  });
});
