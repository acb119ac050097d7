/**
 * The whole database as one file, and back: by the database's own programs, in one transaction, so that what is written meanwhile
 * is either in it whole or not at all. The file appears under its name when it is complete, and not before.
 */
import { spawn } from "node:child_process";
import { createReadStream, createWriteStream } from "node:fs";
import { open, rename, rm } from "node:fs/promises";
import { pipeline } from "node:stream/promises";
import { createGunzip, createGzip } from "node:zlib";

/** Where a database is, in the words of its own programs. */
interface Connection {
  readonly args: readonly string[];
  readonly password: string;
  readonly database: string;
}

function connectionOf(url: string): Connection {
  const { hostname, port, username, password, pathname } = new URL(url);
  return {
    args: [
      "--no-defaults",
      `--host=${hostname}`,
      `--port=${port || "3306"}`,
      "--protocol=TCP",
      `--user=${decodeURIComponent(username)}`,
    ],
    password: decodeURIComponent(password),
    database: pathname.slice(1),
  };
}

/** Runs one of the database's programs. The password goes by the environment: a command line can be read by others. */
function run(program: string, { args, password }: Connection, more: readonly string[]) {
  const child = spawn(program, [...args, ...more], { env: { ...process.env, MYSQL_PWD: password } });
  let said = "";
  child.stderr.on("data", (data: Buffer) => {
    said = `${said}${data}`.slice(-2000);
  });
  const ended = new Promise<void>((resolve, reject) => {
    child.once("error", (error) => reject(new Error(`${program} cannot be run: ${error.message}`)));
    child.once("close", (code) =>
      code === 0 ? resolve() : reject(new Error(`${program} ended with ${code}: ${said.trim()}`)),
    );
  });
  // whoever pipes into it hears of its end first
  ended.catch(() => undefined);
  return { child, ended };
}

/** Writes a backup. @throws where it is not complete; then there is no such file */
export async function writeBackup(url: string, path: string): Promise<void> {
  const connection = connectionOf(url);
  const dump = [
    "--single-transaction",
    "--quick",
    "--skip-lock-tables",
    "--no-tablespaces",
    "--hex-blob",
    "--default-character-set=utf8mb4",
  ];
  const part = `${path}.part`;
  try {
    const { child, ended } = run("mariadb-dump", connection, [...dump, connection.database]);
    child.stdin.end();
    await Promise.all([pipeline(child.stdout, createGzip(), createWriteStream(part, { mode: 0o600 })), ended]);
    const file = await open(part, "r+");
    await file.sync();
    await file.close();
    await rename(part, path);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

/**
 * Puts a backup back, in the place of whatever is there. @throws where it could not be read to its end; the database is then to be
 * restored again, and the server says itself unavailable or brings the tables up to date when it starts
 */
export async function restoreBackup(url: string, path: string): Promise<void> {
  const connection = connectionOf(url);
  const { child, ended } = run("mariadb", connection, ["--default-character-set=utf8mb4", connection.database]);
  child.stdout.resume();
  await Promise.all([pipeline(createReadStream(path), createGunzip(), child.stdin), ended]);
}
