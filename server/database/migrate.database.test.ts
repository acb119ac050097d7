import { expect } from "chai";
import { scratchDatabase } from "../tests/scratch-database.ts";
import { migrate, migrationsOf } from "./migrate.ts";

describe("the tables", () => {
  it("are made once, and there is nothing left to do", async () => {
    const scratch = await scratchDatabase();
    expect(await migrate(scratch.database)).to.have.length.above(7);
    expect(await migrate(scratch.database)).to.deep.equal([]);
    await scratch.drop();
  });

  it("come to stand where a migration was cut off at any step", async () => {
    const scratch = await scratchDatabase();
    await migrate(scratch.database);
    const names = (await migrationsOf(scratch.database).executed()).map((one) => one.name);
    await scratch.database.query("DELETE FROM migrations WHERE name = ?", { replacements: [names.at(-1)] });
    expect(await migrate(scratch.database)).to.deep.equal([names.at(-1)]);
    expect(await migrate(scratch.database)).to.deep.equal([]);
    await scratch.drop();
  });
});
