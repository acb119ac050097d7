import { expect } from "chai";
import express from "express";
import request from "supertest";
import { sameSiteOnly } from "./same-site.ts";

const app = express()
  .use(sameSiteOnly(["bench.home"]))
  .use((_request, response) => {
    response.json({ reached: true });
  });
const asked = (method: "get" | "post" | "put" | "delete", headers: Record<string, string>) =>
  request(app)[method]("/api/finds").set(headers);
const JSON_TYPE = { "content-type": "application/json" };

describe("what another site asks", () => {
  it("is refused by a name that this server does not go by: a name can be bound to any address", async () => {
    for (const host of ["evil.example", "evil.example:8460", "localhost.evil.example", "127.0.0.1.evil.example", "@"])
      expect((await asked("get", { host })).status, host).to.equal(421);
    for (const host of ["localhost:8460", "127.0.0.1:8460", "[::1]:8460", "bench.home", "BENCH.home:80", "10.0.0.7"])
      expect((await asked("get", { host })).status, host).to.equal(200);
  });

  it("is refused by its origin, that of another port and no origin at all among them", async () => {
    const host = "127.0.0.1:8460";
    for (const origin of ["https://evil.example", "http://127.0.0.1:9999", "http://localhost:8460", "null"])
      for (const method of ["get", "post", "put", "delete"] as const)
        expect((await asked(method, { host, origin, ...JSON_TYPE })).status, `${method} ${origin}`).to.equal(403);
    expect((await asked("post", { host, origin: "http://127.0.0.1:8460", ...JSON_TYPE })).status).to.equal(200);
  });

  it("is refused by what the browser says of it, unless a link to a page is followed", async () => {
    for (const site of ["cross-site", "same-site"])
      expect((await asked("get", { "sec-fetch-site": site, "sec-fetch-mode": "no-cors" })).status).to.equal(403);
    const followed = { "sec-fetch-site": "cross-site", "sec-fetch-mode": "navigate" };
    expect((await asked("get", { ...followed, "sec-fetch-dest": "document" })).status).to.equal(200);
    expect((await asked("get", { ...followed, "sec-fetch-dest": "iframe" })).status).to.equal(403);
    expect((await asked("post", { ...followed, "sec-fetch-dest": "document", ...JSON_TYPE })).status).to.equal(403);
    for (const site of ["same-origin", "none"])
      expect((await asked("get", { "sec-fetch-site": site })).status).to.equal(200);
  });

  it("never changes anything by a request that a browser sends without asking first", async () => {
    expect((await asked("post", {})).status).to.equal(415);
    for (const type of ["text/plain", "application/x-www-form-urlencoded", "multipart/form-data; boundary=x"])
      expect((await asked("post", { "content-type": type })).status, type).to.equal(415);
    for (const type of ["application/json", "image/jpeg"])
      expect((await asked("put", { "content-type": type })).status, type).to.equal(200);
    expect((await asked("delete", {})).status).to.equal(200);
  });
});
