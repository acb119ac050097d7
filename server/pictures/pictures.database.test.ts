import { newFind } from "@jittery-cap/core";
import { expect } from "chai";
import exifr from "exifr";
import type { Express } from "express";
import sharp from "sharp";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { asks, ME, type ScratchApp, scratchApp, touchOf } from "../tests/scratch-app.ts";
import { LONGEST_SIDE } from "./pictures.ts";

/** A picture as a phone takes it: lying on its side, with place and camera written into it; its left half is red. */
async function fromPhone(width = 2400, height = 1200): Promise<Buffer> {
  const half = await sharp({ create: { width: width / 2, height, channels: 3, background: "#c02020" } })
    .png()
    .toBuffer();
  return sharp({ create: { width, height, channels: 3, background: "#2020c0" } })
    .composite([{ input: half, left: 0, top: 0 }])
    .withExif({
      IFD0: { Make: "Somebody's phone", Orientation: "6" },
      IFD3: { GPSLatitudeRef: "N", GPSLatitude: "61/1 12/1 11/1", GPSLongitudeRef: "E", GPSLongitude: "24/1 7/1 5/1" },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
}

describe("pictures of a find", () => {
  let made: ScratchApp;
  let app: Express;
  let findId: string;

  before(async () => {
    made = await scratchApp();
    ({ app } = made);
    const find = newFind(uuid(), "2026-09-14T10:20:00+02:00");
    findId = find.id;
    await asks(app).make(find);
  });
  after(() => made.end());

  const AT = "2026-09-14T10:30:00Z";
  const put = (id: string, content: Buffer | string, query = "part=foot&body=A", type = "image/jpeg", about = findId) =>
    request(app).put(`/api/pictures/${id}?about=${about}&takenAt=${AT}&${query}`).type(type).send(content);
  const list = () => made.parts.documents.about(ME, findId, "picture");
  const setAway = (id: string, known: number, kind: string) =>
    asks(app).write(id, { kind: "picture", known, touches: [touchOf({ kind })] });

  it("are turned upright, sized down and stripped of place and camera", async () => {
    const sent = await fromPhone();
    // the picture that goes in does carry all that: exifr reads it independently
    expect(await exifr.parse(sent, { gps: true })).to.include({ Make: "Somebody's phone" });
    const id = uuid();
    const { status, body } = await put(id, sent);
    expect(status).to.equal(201);
    expect(body.content).to.deep.equal({ about: findId, part: "foot", body: "A", takenAt: AT });
    const kept = await request(app).get(`/api/pictures/${id}`);
    const size = await sharp(kept.body as Buffer).metadata();
    expect(size).to.include({ width: 800, height: LONGEST_SIDE });
    expect(kept.type).to.equal("image/jpeg");
    expect(await exifr.parse(kept.body as Buffer, { gps: true, mergeOutput: true }).catch(() => undefined)).to.equal(
      undefined,
    );
    // orientation 6 is a quarter turn: what lay on the left is on top
    const { data, info } = await sharp(kept.body as Buffer)
      .raw()
      .toBuffer({ resolveWithObject: true });
    const pixel = (x: number, y: number) => [...data.subarray((y * info.width + x) * 3, (y * info.width + x) * 3 + 3)];
    expect(pixel(400, 100)[0]).to.be.greaterThan(150);
    expect(pixel(400, 1500)[2]).to.be.greaterThan(150);
  });

  it("sent again are kept once, and another picture under the same id is refused", async () => {
    const id = uuid();
    const sent = await fromPhone(300, 200);
    expect((await put(id, sent)).status).to.equal(201);
    expect((await put(id, sent)).status).to.equal(200);
    expect((await put(id, await fromPhone(320, 200))).status).to.equal(409);
    expect((await list()).filter((one) => one.id === id)).to.have.length(1);
  });

  it("that meet on their way in are kept once", async () => {
    const id = uuid();
    const sent = await fromPhone(300, 200);
    const answers = await Promise.all([put(id, sent), put(id, sent)]);
    expect(answers.map((one) => one.status).sort()).to.deep.equal([200, 201]);
  });

  it("can be put away and brought back, and are shown in neither case of a find that is put away", async () => {
    const id = uuid();
    await put(id, await fromPhone(300, 200));
    expect((await setAway(id, 1, "archive")).body).to.deep.include({ archived: true });
    expect((await list()).some((one) => one.id === id)).to.equal(false);
    expect((await request(app).get(`/api/pictures/${id}`)).status).to.equal(404);
    expect((await setAway(id, 2, "restore")).body).to.deep.include({ archived: false });
    expect((await request(app).get(`/api/pictures/${id}`)).status).to.equal(200);
    await asks(app).touch(findId, 1, touchOf({ kind: "archive" }));
    expect((await request(app).get(`/api/pictures/${id}`)).status).to.equal(404);
    await asks(app).touch(findId, 2, touchOf({ kind: "restore" }));
  });

  it("that are no pictures, of no part, of no find or too large are refused with a problem, and nothing is kept", async () => {
    const before = (await list()).length;
    const sent = await fromPhone(300, 200);
    const cut = (await fromPhone(900, 600)).subarray(0, 900);
    const elsewhere = await put(uuid(), sent, "part=foot", "image/jpeg", uuid());
    const answers = [
      await put(uuid(), Buffer.from("this is text")),
      await put(uuid(), cut),
      // a drawing under a picture's name: it could say in a few hundred bytes what takes half a minute to draw
      await put(uuid(), Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')),
      await put(uuid(), sent, "part=elbow"),
      await put(uuid(), sent, "part=foot&body=no+such+letter"),
      await put(uuid(), "{}", "part=foot", "application/json"),
      await put("not-an-id", sent),
      elsewhere,
      await put(uuid(), Buffer.alloc(26 * 1024 * 1024, 1)),
    ];
    expect(answers.map((one) => one.status)).to.deep.equal([400, 400, 400, 400, 400, 415, 400, 404, 413]);
    for (const one of answers) expect(one.type).to.equal("application/problem+json");
    expect(answers[3]?.body.errors[0].path).to.equal("part");
    expect(await list()).to.have.length(before);
  });

  it("put away go for good after a while, and not before", async () => {
    const id = uuid();
    await put(id, await fromPhone(300, 200));
    await setAway(id, 1, "archive");
    expect(await made.parts.documents.purge(new Date())).to.equal(0);
    expect(await made.parts.documents.purge(new Date(Date.now() + 31 * 86_400_000))).to.equal(1);
    expect((await setAway(id, 2, "restore")).status).to.equal(404);
    expect(await made.models.pictures.findByPk(id)).to.equal(null);
  });
});
