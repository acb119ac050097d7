/** Reads the knowledge sheets off the disk, for the server, the commands and the web build. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { compileSheets, type Knowledge } from "@jittery-cap/core";
import { load } from "js-yaml";

const KNOWLEDGE_FOLDER = fileURLToPath(new URL("../knowledge", import.meta.url));

/** The raw data of every sheet by file name; the file name must be the taxon's id. */
export function readRawSheets(folder: string = KNOWLEDGE_FOLDER): Record<string, unknown> {
  const names = readdirSync(folder)
    .filter((name) => name.endsWith(".yaml"))
    .sort();
  return Object.fromEntries(names.map((name) => [name, load(readFileSync(join(folder, name), "utf8"))]));
}

/** The compiled knowledge. @throws with every fault's file and path where a sheet is not well formed. */
export function readKnowledge(folder: string = KNOWLEDGE_FOLDER): Knowledge {
  const compiled = compileSheets(readRawSheets(folder));
  if (!compiled.ok) throw new Error(compiled.faults.map((fault) => `${fault.path}: ${fault.message}`).join("\n"));
  return compiled.value;
}
