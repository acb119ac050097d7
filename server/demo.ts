/** Loads the invented season, each find once: whatever a person has made of it since, it is not put again. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { parseFind } from "@jittery-cap/core";
import type { Models } from "./database/models.ts";
import type { DocumentWriter } from "./documents/writer.ts";

const DEMO_FOLDER = fileURLToPath(new URL("../demo/finds", import.meta.url));

/** Puts every demo find that was never put. @returns how many were new */
export async function loadDemo(
  writer: DocumentWriter,
  models: Models,
  person: string,
  folder: string = DEMO_FOLDER,
): Promise<number> {
  let loaded = 0;
  for (const name of readdirSync(folder)
    .filter((one) => one.endsWith(".json"))
    .sort()) {
    const parsed = parseFind(JSON.parse(readFileSync(join(folder, name), "utf8")));
    if (!parsed.ok) throw new Error(`${name}: ${JSON.stringify(parsed.faults)}`);
    const find = parsed.value;
    const key = { ownerId: person, findId: find.id };
    if ((await models.demoFinds.findOne({ where: key })) !== null) continue;
    const written = await writer.write({
      actor: { kind: "person", id: person },
      ownerId: person,
      id: find.id,
      kind: "find",
      known: 0,
      create: find,
      touches: [],
    });
    await models.demoFinds.findOrCreate({ where: key, defaults: key });
    if (written.kind === "stored" && written.isNew) loaded += 1;
  }
  return loaded;
}
