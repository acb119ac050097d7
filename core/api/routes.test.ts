import { expect } from "chai";
import { ALL_ROUTES as ROUTES } from "./all-routes.ts";
import { pathOf, type Route } from "./route.ts";

const routes = Object.entries<Route>(ROUTES);

describe("the routes of the contract", () => {
  it("are told apart by method and path, whatever stands for their parameters", () => {
    const keys = routes.map(([, { method, path }]) => `${method} ${path.replace(/:[a-z]+/gi, ":")}`);
    expect(new Set(keys).size).to.equal(keys.length);
    for (const [name, { path }] of routes) expect(path, name).to.match(/^\/api\/[a-z/:.-]+$/i);
  });

  it("take a parameter for each that stands in the path and no other, and nothing that they do not know", () => {
    for (const [name, { path, params, query }] of routes) {
      const named = [...path.matchAll(/:([a-zA-Z]+)/g)].map((match) => match[1] ?? "");
      const odd = params.safeParse({ ...Object.fromEntries(named.map((one) => [one, "?"])), stranger: "x" });
      expect(odd.success, name).to.equal(false);
      expect(query.safeParse({ stranger: "x" }).success, name).to.equal(false);
      if (named.length === 0) expect(params.safeParse({}).success, name).to.equal(true);
    }
  });

  it("change nothing by a get, and carry a body or a file where they make or change something", () => {
    for (const [name, { method, body, file }] of routes) {
      if (method === "get") expect(body ?? file, name).to.equal(undefined);
      if (method === "post") expect(body, name).not.to.equal(undefined);
      if (method === "put") expect(body ?? file, name).not.to.equal(undefined);
    }
  });

  it("fill their parameters in so that none reaches beyond its place", () => {
    expect(pathOf("/api/finds/:id/packets/:packet", { id: "one", packet: "../../two?x#y" })).to.equal(
      "/api/finds/one/packets/..%2F..%2Ftwo%3Fx%23y",
    );
    expect(pathOf("/api/health", {})).to.equal("/api/health");
  });

  it("ask for pages of a size that they name, and for no more", () => {
    const { query } = ROUTES.listFinds;
    expect(query.parse({})).to.deep.include({ limit: 50, archived: "false" });
    expect(query.parse({ limit: "200" })).to.deep.include({ limit: 200 });
    for (const limit of ["0", "201", "-1", "many", "1.5"])
      expect(query.safeParse({ limit }).success, limit).to.equal(false);
    for (const after of ["-1", "x", "1.5"])
      expect(ROUTES.changedDocuments.query.safeParse({ after }).success).to.equal(false);
  });
});
