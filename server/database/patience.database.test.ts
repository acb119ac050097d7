import { connect, createServer, type Server } from "node:net";
import { expect } from "chai";
import { QueryTypes } from "sequelize";
import { type Scratch, scratchDatabase } from "../tests/scratch-database.ts";
import { openDatabase } from "./database.ts";

/** Longer than the driver by itself waits for a connection. */
const SLOW_MS = 1500;

describe("a database that is slow to take a connection", () => {
  let scratch: Scratch;
  let slow: Server;
  before(async () => {
    scratch = await scratchDatabase();
    const behind = new URL(scratch.url);
    slow = createServer((socket) => {
      setTimeout(() => {
        const database = connect(Number(behind.port), behind.hostname);
        socket.pipe(database).pipe(socket);
        for (const end of [socket, database]) end.on("error", () => undefined);
      }, SLOW_MS);
    });
    await new Promise<void>((listening) => slow.listen(0, "127.0.0.1", listening));
  });
  after(async () => {
    slow.close();
    await scratch.drop();
  });

  it("is waited for: a busy machine is no reason not to start", async () => {
    const url = new URL(scratch.url);
    const at = slow.address();
    url.port = String(typeof at === "object" && at !== null ? at.port : 0);
    const database = openDatabase(url.href);
    try {
      const rows = await database.query("SELECT 1 AS one", { type: QueryTypes.SELECT });
      expect(rows).to.deep.equal([{ one: 1 }]);
    } finally {
      await database.close();
    }
  });
});
