import { Agent, createServer, get } from "node:http";
import { expect } from "chai";
import { keepIdleOpen } from "./idle.ts";

/** What Node alone would wait, and a little more. */
const LONGER_THAN_NODE_MS = 6500;

describe("a connection on which nothing is asked", () => {
  it("is still there for the next request after longer than Node alone would wait", async () => {
    const server = createServer((_request, response) => response.end("here"));
    keepIdleOpen(server);
    await new Promise<void>((listening) => {
      server.listen(0, "127.0.0.1", listening);
    });
    const address = server.address();
    const port = typeof address === "object" && address !== null ? address.port : 0;
    const agent = new Agent({ keepAlive: true, maxSockets: 1 });
    const isUsedAgain = () =>
      new Promise<boolean>((resolve, reject) => {
        const request = get({ port, agent }, (reply) =>
          reply.resume().on("end", () => resolve(request.reusedSocket)),
        ).on("error", reject);
      });
    expect(await isUsedAgain()).to.equal(false);
    await new Promise((resolve) => setTimeout(resolve, LONGER_THAN_NODE_MS));
    expect(await isUsedAgain()).to.equal(true);
    agent.destroy();
    server.close();
  }).timeout(20_000);
});
