import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "chai";
import type { Request } from "express";
import { reachedBy } from "./http/reached.ts";
import { readSettings } from "./settings.ts";

const URL_OF = "mariadb://a:b@127.0.0.1/c";

describe("what the server is told by its environment", () => {
  const folder = mkdtempSync(join(tmpdir(), "settings-"));
  after(() => rmSync(folder, { recursive: true }));
  const why = (environment: NodeJS.ProcessEnv) => {
    try {
      readSettings(environment);
      return "read";
    } catch (error) {
      return error instanceof Error ? error.message : "";
    }
  };

  it("takes secrets from files that hold nothing else, and not from two places at once", () => {
    const file = join(folder, "url");
    writeFileSync(file, `${URL_OF}\n`);
    expect(readSettings({ DATABASE_URL_FILE: file }).DATABASE_URL).to.equal(URL_OF);
    expect(why({ DATABASE_URL_FILE: file, DATABASE_URL: URL_OF })).to.match(
      /^DATABASE_URL: stands in the environment and/,
    );
    expect(why({ DATABASE_URL_FILE: join(folder, "none") })).to.match(/^DATABASE_URL_FILE: .*cannot be read/);
  });

  it("listens to this machine alone and trusts nobody in front, unless it is told to", () => {
    const settings = readSettings({ DATABASE_URL: URL_OF });
    expect(settings).to.deep.include({ HOST: "127.0.0.1", TRUST_PROXIES: 0, LOAD_DEMO: "no", DATABASE_CLUSTER: "no" });
    expect(settings.PUBLIC_URL).to.equal(undefined);
  });

  it("names every variable that is wrong", () => {
    for (const [name, value] of [
      ["PUBLIC_URL", "cap.example"],
      ["PUBLIC_URL", "ftp://cap.example"],
      ["TRUST_PROXIES", "many"],
      ["TRUST_PROXIES", "-1"],
      ["SESSION_SECRET", "short"],
      ["DATABASE_CLUSTER", "perhaps"],
    ] as const)
      expect(why({ DATABASE_URL: URL_OF, [name]: value }), name).to.match(new RegExp(`^${name}: `));
  });
});

describe("where a request came in", () => {
  const from = (host: string, remoteAddress: string, headers: Record<string, string> = {}) =>
    ({ headers: { host, ...headers }, socket: { remoteAddress } }) as unknown as Request;

  it("keeps passkeys by the name that people use, and has none for a bare address", () => {
    const here = reachedBy({});
    expect(here.originOf(from("localhost:8460", "127.0.0.1"))).to.deep.equal({
      url: "http://localhost:8460",
      name: "localhost",
    });
    expect(here.originOf(from("127.0.0.1:8460", "127.0.0.1"))).to.equal(undefined);
    expect(here.originOf(from("cap.example", "10.0.0.1"))).to.equal(undefined);
    const served = reachedBy({ publicUrl: new URL("https://cap.example/") });
    expect(served.originOf(from("whatever", "127.0.0.1"))).to.deep.equal({
      url: "https://cap.example",
      name: "cap.example",
    });
    expect(reachedBy({ publicUrl: new URL("http://cap.example/") }).originOf(from("x", "127.0.0.1"))).to.equal(
      undefined,
    );
  });

  it("lets somebody invented be taken by whoever sits at this machine, and by nobody else", () => {
    const { mayTakeInvented } = reachedBy({ hasInvented: true });
    for (const address of ["127.0.0.1", "::1", "::ffff:127.0.0.1"])
      expect(mayTakeInvented(from("localhost:8460", address)), address).to.equal(true);
    for (const address of ["10.0.0.7", "192.168.1.2", "::ffff:10.0.0.7", ""])
      expect(mayTakeInvented(from("localhost:8460", address)), address).to.equal(false);
    expect(mayTakeInvented(from("bench.home", "127.0.0.1"))).to.equal(false);
    expect(mayTakeInvented(from("localhost", "127.0.0.1", { via: "1.1 somebody" }))).to.equal(false);
    expect(reachedBy({}).mayTakeInvented(from("localhost", "127.0.0.1"))).to.equal(false);
  });
});
