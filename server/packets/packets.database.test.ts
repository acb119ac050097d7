import { type Find, newFind } from "@jittery-cap/core";
import { expect } from "chai";
import type { Express } from "express";
import { PDFParse } from "pdf-parse";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { seasonFinds } from "../../demo/season.ts";
import { shortCode } from "../paper/find-paper.ts";
import { asks, ME, type ScratchApp, scratchApp } from "../tests/scratch-app.ts";

const GOOD = seasonFinds().find((one) => one.label?.startsWith("white ones in an arc")) as Find;
/** The text of a PDF, by an independent reader. */
async function textOf(content: Buffer): Promise<{ text: string; pages: number }> {
  const parser = new PDFParse({ data: new Uint8Array(content) });
  const { text, total } = await parser.getText();
  await parser.destroy();
  return { text: text.replace(/\s+/g, " "), pages: total };
}

describe("a second pair of eyes", () => {
  let made: ScratchApp;
  let app: Express;
  let token: string;

  before(async () => {
    made = await scratchApp();
    ({ app } = made);
    await asks(app).make(GOOD);
    token = (await request(app).post(`/api/finds/${GOOD.id}/packets`).send({ id: uuid() })).body.token;
  });
  after(() => made.end());

  const opinion = (more: object = {}) => ({
    id: uuid(),
    name: "Ilva Marrund",
    inHand: true,
    looks: [{ body: "A", entry: { character: "ring", states: ["skirt"] } }],
    ...more,
  });
  const opinions = async () =>
    (await made.parts.documents.about(ME, GOOD.id, "opinion")).map(
      (row) => row.content as { kind: string; name: string; agrees?: boolean },
    );
  const note = (id: string, more: object = {}) =>
    asks(app).write(id, {
      kind: "opinion",
      known: 0,
      create: {
        about: GOOD.id,
        kind: "book",
        name: "A book of the lakes",
        agrees: true,
        looks: [],
        saidAt: "2026-09-14T12:00:00Z",
        ...more,
      },
    });
  const pdf = (path: string) =>
    request(app)
      .get(path)
      .buffer(true)
      .parse((response, done) => {
        const chunks: Buffer[] = [];
        response.on("data", (chunk: Buffer) => chunks.push(chunk));
        response.on("end", () => done(null, Buffer.concat(chunks)));
      });

  it("is given the record by its token, without answer, name, rules and place", async () => {
    const { status, body } = await request(app).get(`/api/packets/${token}`);
    expect(status).to.equal(200);
    expect(body.record.bodies).to.have.length(GOOD.bodies.length);
    const text = JSON.stringify(body);
    for (const hidden of [
      "verdict",
      "dangers",
      "takenFor",
      "lat",
      GOOD.place?.name ?? "no place",
      GOOD.label ?? "no label",
    ])
      expect(text, hidden).not.to.contain(`"${hidden}"`);
  });

  it("has an id of its own, by which no find can be asked for", async () => {
    const { body } = await request(app).get(`/api/packets/${token}`);
    expect(body.record.id).not.to.equal(GOOD.id);
    expect((await asks(app).read(body.record.id)).status).to.equal(404);
  });

  it("can be taken back, grows old, and is open until then", async () => {
    const packet = (await request(app).post(`/api/finds/${GOOD.id}/packets`).send({ id: uuid() })).body;
    const openStatus = async () => (await request(app).get(`/api/packets/${packet.token}`)).status;
    expect(await openStatus()).to.equal(200);
    expect(await made.parts.packets.open(packet.token, new Date(Date.now() + 29 * 24 * 3600 * 1000))).not.to.equal(
      undefined,
    );
    expect(await made.parts.packets.open(packet.token, new Date(Date.now() + 31 * 24 * 3600 * 1000))).to.equal(
      undefined,
    );
    expect((await request(app).delete(`/api/finds/${uuid()}/packets/${packet.id}`)).status).to.equal(404);
    for (let again = 0; again < 2; again++)
      expect((await request(app).delete(`/api/finds/${GOOD.id}/packets/${packet.id}`)).status).to.equal(204);
    expect(await openStatus()).to.equal(404);
    expect((await request(app).post(`/api/packets/${packet.token}/opinions`).send(opinion())).status).to.equal(404);
    const { packets } = (await request(app).get(`/api/finds/${GOOD.id}/packets`)).body;
    expect(packets.map((one: { id: string }) => one.id)).to.include(packet.id);
  });

  it("in hand and from pictures are different, and each is kept once", async () => {
    const said = opinion();
    for (const status of [201, 201])
      expect((await request(app).post(`/api/packets/${token}/opinions`).send(said)).status).to.equal(status);
    await request(app)
      .post(`/api/packets/${token}/opinions`)
      .send(opinion({ name: "Somebody far", inHand: false }));
    expect((await opinions()).map((one) => [one.name, one.kind])).to.deep.equal([
      ["Ilva Marrund", "in-hand"],
      ["Somebody far", "from-pictures"],
    ]);
  });

  it("at a body that the packet has not is refused by its field", async () => {
    const { status, body } = await request(app)
      .post(`/api/packets/${token}/opinions`)
      .send(opinion({ looks: [{ body: "ZZ", entry: { character: "ring", states: ["skirt"] } }] }));
    expect(status).to.equal(400);
    expect(body.errors[0].path).to.equal("looks[0].body");
  });

  it("with an id that is known already is never lost in silence", async () => {
    const said = opinion();
    const before = (await opinions()).length;
    const tell = (more: object) =>
      request(app)
        .post(`/api/packets/${token}/opinions`)
        .send({ ...said, ...more });
    expect((await tell({})).status).to.equal(201);
    const other = await tell({ name: "Somebody else" });
    expect(other.status).to.equal(400);
    expect(other.body.errors[0].path).to.equal("id");
    const noted = await note(said.id);
    expect(noted.status).to.equal(409);
    expect((await opinions()).length).to.equal(before + 1);
  });

  it("that does not exist is simulated, says so, and is never taken for a hand", async () => {
    expect((await request(app).post(`/api/packets/${token}/stand-in`).send({ differs: true })).status).to.equal(201);
    expect((await opinions()).at(-1)?.kind).to.equal("simulated");
  });

  it("books are noted with their title and whether they agree, and nobody notes what only a person can have seen", async () => {
    expect((await note(uuid())).status).to.equal(201);
    expect((await opinions()).find((one) => one.kind === "book")).to.deep.include({
      name: "A book of the lakes",
      agrees: true,
    });
    for (const kind of ["in-hand", "from-pictures", "simulated"]) {
      const forged = await note(uuid(), { kind });
      expect(forged.status).to.equal(400);
      expect(forged.body.errors[0].path).to.equal("create.kind");
    }
  });

  it("bad opinions, wrong tokens and packets of no find are refused", async () => {
    const bad = await request(app)
      .post(`/api/packets/${token}/opinions`)
      .send(opinion({ looks: [{ body: "A", entry: { character: "ring", states: ["halo"] } }] }));
    expect(bad.status).to.equal(400);
    expect(bad.body.errors[0].path).to.contain("looks[0].entry.states[0]");
    expect((await request(app).get(`/api/packets/${"0".repeat(32)}`)).status).to.equal(404);
    expect((await request(app).get("/api/packets/short")).status).to.equal(400);
    expect((await request(app).post(`/api/finds/${uuid()}/packets`).send({ id: uuid() })).status).to.equal(404);
  });

  it("the find's page holds answer, conditions, record and code, on one page of A5 or A4, read back", async () => {
    for (const size of ["A5", "A4"]) {
      const { status, type, body } = await pdf(`/api/finds/${GOOD.id}/paper.pdf?size=${size}`);
      expect(status).to.equal(200);
      expect(type).to.equal("application/pdf");
      const { text, pages } = await textOf(body as Buffer);
      expect(pages, size).to.equal(1);
      expect(text).to.contain(GOOD.label).and.to.contain("Basket").and.to.contain("with the specimen in hand");
      expect(text).to.contain("ring skirt").and.to.contain(shortCode(GOOD.id));
    }
    expect((await request(app).get(`/api/finds/${GOOD.id}/paper.pdf?size=A0`)).status).to.equal(400);
  });

  it("the packet's page holds what was seen, and no answer", async () => {
    const { body } = await pdf(`/api/packets/${token}/paper.pdf`);
    const { text } = await textOf(body as Buffer);
    expect(text).to.contain("ring skirt").and.not.to.contain("Basket").and.not.to.contain("Nearest");
  });

  it("a page of a find that nobody has looked at is a page all the same", async () => {
    const find = newFind(uuid(), "2026-09-14T10:20:00+02:00");
    await asks(app).make(find);
    const { text } = await textOf((await pdf(`/api/finds/${find.id}/paper.pdf`)).body as Buffer);
    expect(text).to.contain("Hold").and.to.contain("Not looked at");
  });
});
