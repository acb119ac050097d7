/** The contract, checked by two strangers: a validator of OpenAPI documents, and a validator of JSON Schema on real replies. */
import { readFileSync } from "node:fs";
import { newFind } from "@jittery-cap/core";
import { ALL_ROUTES, type Route } from "@jittery-cap/core/api";
import { Validator } from "@seriousme/openapi-schema-validator";
import Ajv2020 from "ajv/dist/2020.js";
import addFormats from "ajv-formats";
import { expect } from "chai";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { asks, type ScratchApp, scratchApp, touchOf } from "../tests/scratch-app.ts";
import { openApi } from "./open-api.ts";

interface Operation {
  readonly operationId: string;
  readonly responses: Record<string, { content?: Record<string, { schema: object }> }>;
}

describe("the description of the interface", () => {
  it("is OpenAPI 3.1 to a validator that knows nothing of this program", async () => {
    const validator = new Validator();
    const result = await validator.validate(JSON.parse(JSON.stringify(openApi())));
    expect(result.errors, JSON.stringify(result.errors)).to.equal(undefined);
    expect(result.valid).to.equal(true);
    expect(validator.version).to.equal("3.1");
  });

  it("is the one that is kept in docs: npm run openapi writes it", () => {
    const kept = JSON.parse(readFileSync("docs/openapi.json", "utf8"));
    expect(kept).to.deep.equal(JSON.parse(JSON.stringify(openApi())));
  });

  it("names every route once, with parameters for all that stands in its path", () => {
    const paths = openApi().paths as Record<
      string,
      Record<string, Operation & { parameters?: { in: string; name: string }[] }>
    >;
    const named = Object.values(paths).flatMap((of) => Object.values(of).map((one) => one.operationId));
    expect(named.sort()).to.deep.equal(Object.keys(ALL_ROUTES).sort());
    for (const [path, of] of Object.entries(paths))
      for (const { parameters = [] } of Object.values(of))
        expect(parameters.filter((one) => one.in === "path").map((one) => `{${one.name}}`)).to.have.members(
          path.match(/\{[a-z]+\}/gi) ?? [],
        );
  });
});

describe("what the server answers", () => {
  let made: ScratchApp;
  before(async () => {
    made = await scratchApp();
  });
  after(() => made.end());

  it("is what the description says, to a validator of JSON Schema", async () => {
    const described = JSON.parse(JSON.stringify(openApi())) as { paths: Record<string, Record<string, Operation>> };
    const ajv = new Ajv2020({ strict: false, allErrors: true });
    addFormats(ajv);
    ajv.addSchema(described, "described");
    const check = (name: keyof typeof ALL_ROUTES, status: number, body: unknown) => {
      const route: Route = ALL_ROUTES[name];
      const path = route.path.replace(/:([a-zA-Z]+)/g, "{$1}");
      const type = status < 400 ? "application/json" : "application/problem+json";
      // replies are described under 200; what was made is answered with 201 and the same
      const under = String(status === 201 ? 200 : status);
      const at = ["paths", path, route.method, "responses", under, "content", type, "schema"]
        .map((step) => step.replaceAll("~", "~0").replaceAll("/", "~1"))
        .map(encodeURIComponent)
        .join("/");
      const validate = ajv.getSchema(`described#/${at}`);
      if (validate === undefined) throw new Error(`${name} ${status} is not described`);
      expect(validate(body), `${name} ${status}: ${JSON.stringify(validate.errors)}`).to.equal(true);
    };
    const { app } = made;
    const api = asks(app);
    const find = newFind(uuid(), "2026-09-14T10:20:00Z");
    const say = async (name: keyof typeof ALL_ROUTES, asked: request.Test) => {
      const { status, body } = await asked;
      check(name, status, body);
      return body;
    };
    await say("writeDocument", api.make(find));
    await say("writeDocument", api.touch(find.id, 1, touchOf({ kind: "set-find", field: "label", value: "x" })));
    await say("writeDocument", api.touch(find.id, 1, touchOf({ kind: "set-find", field: "label", value: "y" })));
    await say("writeDocument", api.touch(find.id, 1, touchOf({ kind: "nothing" })));
    await say("readDocument", api.read(find.id));
    await say("readDocument", api.read(uuid()));
    await say("readTouches", api.read(`${find.id}/touches`));
    await say("changedDocuments", request(app).get("/api/documents"));
    await say("listFinds", api.finds());
    await say("listFinds", api.finds("?limit=0"));
    await say("listStandings", request(app).get("/api/decisions"));
    const packet = await say("makePacket", request(app).post(`/api/finds/${find.id}/packets`).send({ id: uuid() }));
    await say("listPackets", request(app).get(`/api/finds/${find.id}/packets`));
    await say("openPacket", request(app).get(`/api/packets/${packet.token}`));
    await say("askStandIn", request(app).post(`/api/packets/${packet.token}/stand-in`).send({ differs: false }));
    await say("health", request(app).get("/api/health"));
    await say("assessFinds", request(app).post("/api/assess").send(find));
    await say("simulatedPosition", request(app).get("/api/stand-ins/position?at=2026-10-12T08:30:00Z"));
    await say("simulatedScale", request(app).get("/api/stand-ins/scale?capCm=8"));
    await say("describeApi", request(app).get("/api/openapi.json"));
  });
});
