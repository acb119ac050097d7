import { execFileSync, spawnSync } from "node:child_process";
import { randomUUID } from "node:crypto";
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { expect } from "chai";
import { QueryTypes, type Sequelize } from "sequelize";
import request from "supertest";
import { seasonFinds } from "../../demo/season.ts";
import { asks, type ScratchApp, scratchApp } from "../tests/scratch-app.ts";
import { type Scratch, scratchDatabase } from "../tests/scratch-database.ts";
import { restoreBackup, writeBackup } from "./backup.ts";

/** Every row of every table, in the order of its text. */
async function everything(database: Sequelize): Promise<Record<string, string[]>> {
  const tables = await database.query<Record<string, string>>("SHOW TABLES", { type: QueryTypes.SELECT });
  const all: Record<string, string[]> = {};
  for (const name of tables.flatMap((row) => Object.values(row)).sort()) {
    const rows = await database.query(`SELECT * FROM \`${name}\``, { type: QueryTypes.SELECT });
    all[name] = rows.map((row) => JSON.stringify(row)).sort();
  }
  return all;
}

describe("a backup", () => {
  let made: ScratchApp;
  let other: Scratch;
  let folder: string;
  before(async () => {
    made = await scratchApp();
    other = await scratchDatabase();
    folder = mkdtempSync(join(tmpdir(), "backup-"));
    const { make } = asks(made.app);
    for (const find of seasonFinds().slice(0, 4)) await make(find).expect(201);
    await request(made.app)
      .post("/api/rounds")
      .send({ id: randomUUID(), name: "Ömer’s “night” 🍄", items: [{ sheet: "amanita-virosa", seed: "ø" }] })
      .expect(201);
  });
  after(async () => {
    rmSync(folder, { recursive: true, force: true });
    await made.end();
    await other.drop();
  });

  it("restored is equal, row by row, in a database that was empty and in one that was not", async () => {
    const path = join(folder, "whole.sql.gz");
    await writeBackup(made.scratch.url, path);
    const before = await everything(made.scratch.database);
    expect(before.documents).to.have.length(4);
    await restoreBackup(other.url, path);
    expect(await everything(other.database)).to.deep.equal(before);
    await other.database.query("DELETE FROM documents");
    await restoreBackup(other.url, path);
    expect(await everything(other.database)).to.deep.equal(before);
  });

  it("is for nobody else's eyes, and holds no password", async () => {
    const path = join(folder, "private.sql.gz");
    await writeBackup(made.scratch.url, path);
    expect(statSync(path).mode & 0o077).to.equal(0);
    const { password } = new URL(made.scratch.url);
    if (password !== "") expect(gunzipSync(readFileSync(path)).toString()).not.to.contain(password);
  });

  it("of a database that is not there leaves no file, and says why", async () => {
    const path = join(folder, "none.sql.gz");
    const url = made.scratch.url.replace(/\/[^/]*$/, "/jittery_test_none");
    const failed = await writeBackup(url, path).then(
      () => "written",
      (error: Error) => error.message,
    );
    expect(failed).to.match(/mariadb-dump ended with/);
    expect(existsSync(path)).to.equal(false);
    expect(existsSync(`${path}.part`)).to.equal(false);
  });

  it("that was cut off or is none is refused", async () => {
    const path = join(folder, "cut.sql.gz");
    await writeBackup(made.scratch.url, path);
    writeFileSync(path, readFileSync(path).subarray(0, 400));
    for (const file of [path, join(folder, "absent.sql.gz")])
      expect(
        await restoreBackup(other.url, file).then(
          () => "restored",
          () => "refused",
        ),
      ).to.equal("refused");
  });

  it("by the two commands, that write over nothing unasked", () => {
    const env = { ...process.env, DATABASE_URL: made.scratch.url };
    const command = ["--import", "tsx", "commands/backup.ts"];
    const path = join(folder, "by-command.sql.gz");
    execFileSync(process.execPath, [...command, "backup", path], { env });
    expect(existsSync(path)).to.equal(true);
    const again = spawnSync(process.execPath, [...command, "backup", path], { env, encoding: "utf8" });
    expect(again.status).to.equal(1);
    expect(again.stderr).to.contain("is there already");
    const unasked = spawnSync(process.execPath, [...command, "restore", path], { env, encoding: "utf8" });
    expect(unasked.stderr).to.contain("--replace");
    execFileSync(process.execPath, [...command, "restore", path, "--replace"], {
      env: { ...env, DATABASE_URL: other.url },
    });
  });
});
