import { expect } from "chai";
import type { Sequelize } from "sequelize";
import { inTransaction } from "./collisions.ts";

/** A database of which each transaction fails so, until they are used up. */
const failing = (...errors: Error[]) => {
  let tries = 0;
  const database = {
    transaction: async (work: (transaction: undefined) => Promise<unknown>) => {
      tries += 1;
      const done = await work(undefined);
      const error = errors.shift();
      if (error !== undefined) throw error;
      return done;
    },
  } as unknown as Sequelize;
  return { database, tries: () => tries };
};

describe("writes that met", () => {
  it("are tried again where the nodes of a cluster find at the end that both wrote one row", async () => {
    const met = () => new Error("(conn:157, no: 1213, SQLState: 40001) Deadlock found when trying to get lock");
    const { database, tries } = failing(met(), met());
    expect(await inTransaction(database, async () => "written")).to.equal("written");
    expect(tries()).to.equal(3);
  });

  it("are not tried again for ever, nor where something else is wrong", async () => {
    const met = failing(...Array.from({ length: 20 }, () => new Error("Deadlock found")));
    const refused = await inTransaction(met.database, async () => 1).catch((error: Error) => error.message);
    expect(refused).to.equal("Deadlock found");
    expect(met.tries()).to.equal(6);
    const broken = failing(new Error("no such table"));
    await inTransaction(broken.database, async () => 1).catch(() => undefined);
    expect(broken.tries()).to.equal(1);
  });
});
