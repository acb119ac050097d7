import type { Server } from "node:http";
import { expect } from "chai";
import express from "express";
import type { Row } from "./document.ts";
import { Live } from "./live.ts";

const MINE = "0193a000-0000-7000-8000-000000000001";
const THEIRS = "0193a000-0000-7000-8000-000000000002";
/** What a row tells those who listen. */
const row = (ownerId: string, place: number) => ({ ownerId, place }) as Row;

describe("pages that listen", () => {
  let live: Live;
  let server: Server;
  let address: string;

  beforeEach(async () => {
    live = new Live();
    const app = express();
    app.get("/:owner", (request, response) => live.listen(request.params.owner, 7, request, response));
    await new Promise<void>((listening) => {
      server = app.listen(0, "127.0.0.1", () => listening());
    });
    const at = server.address();
    address = `http://127.0.0.1:${typeof at === "object" && at !== null ? at.port : 0}`;
  });
  afterEach(() => {
    live.close();
    server.closeAllConnections();
    server.close();
  });

  /** A page that listens: what it has heard so far, and how to wait for more. */
  const listen = async (owner: string) => {
    const response = await fetch(`${address}/${owner}`);
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
    let heard = "";
    const places = () =>
      [...heard.matchAll(/event: ?changed|"place":(\d+)/g)].flatMap((one) => one[1] ?? []).map(Number);
    return {
      response,
      places,
      until: async (count: number) => {
        while (places().length < count) {
          const read = await reader?.read();
          if (read?.done !== false) return "ended";
          heard += read.value;
        }
        return "heard";
      },
      leave: () => reader?.cancel(),
    };
  };

  it("are told where the changes stand, then of each change, and nothing is kept or squeezed in between", async () => {
    const page = await listen(MINE);
    expect(page.response.headers.get("content-type")).to.contain("text/event-stream");
    expect(page.response.headers.get("cache-control")).to.contain("no-cache").and.to.contain("no-transform");
    await page.until(1);
    live.tell([row(MINE, 8), row(MINE, 9)]);
    await page.until(2);
    // of several changes at once the latest is enough: what was changed is asked for from the place that is known
    expect(page.places()).to.deep.equal([7, 9]);
    await page.leave();
  });

  it("hear of their own owner's changes and of nobody else's, all pages of one owner together", async () => {
    const [one, two, other] = [await listen(MINE), await listen(MINE), await listen(THEIRS)];
    for (const page of [one, two, other]) await page.until(1);
    live.tell([row(MINE, 8)]);
    live.tell([row(THEIRS, 20)]);
    for (const page of [one, two, other]) await page.until(2);
    expect(one.places()).to.deep.equal([7, 8]);
    expect(two.places()).to.deep.equal([7, 8]);
    expect(other.places()).to.deep.equal([7, 20]);
    for (const page of [one, two, other]) await page.leave();
  });

  it("end when the server is stopped, and one that went away is told nothing and holds no room", async () => {
    const [gone, stays] = [await listen(MINE), await listen(MINE)];
    await gone.until(1);
    await stays.until(1);
    await gone.leave();
    await new Promise((later) => setTimeout(later, 50));
    live.tell([row(MINE, 8)]);
    await stays.until(2);
    expect(live.hasRoom).to.equal(true);
    live.close();
    expect(await stays.until(3)).to.equal("ended");
  });
});
