/** Loads the invented season into an empty log. What a person has changed or deleted is left as it is. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { parseFind } from "@jittery-cap/core";
import type { FindStore } from "./store/finds.ts";

const DEMO_FOLDER = fileURLToPath(new URL("../demo/finds", import.meta.url));

/** Puts every demo find that was never put. @returns how many were new */
export async function loadDemo(store: FindStore, owner: string, folder: string = DEMO_FOLDER): Promise<number> {
  let loaded = 0;
  for (const name of readdirSync(folder)
    .filter((one) => one.endsWith(".json"))
    .sort()) {
    const parsed = parseFind(JSON.parse(readFileSync(join(folder, name), "utf8")));
    if (!parsed.ok) throw new Error(`${name}: ${JSON.stringify(parsed.faults)}`);
    if (await store.putOnce(owner, parsed.value)) loaded += 1;
  }
  return loaded;
}
