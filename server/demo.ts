/** Loads the invented seasons, each document once: whatever a person has made of it since, it is not put again. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { type Knowledge, parseFind } from "@jittery-cap/core";
import { twoSeasons } from "../demo/two-seasons.ts";
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

/** Puts the outings of two seasons with all that belongs to them, if they were never put. @returns how many documents were new */
export async function loadSeasons(
  writer: DocumentWriter,
  models: Models,
  person: string,
  knowledge: Knowledge,
): Promise<number> {
  const key = { ownerId: person, findId: SEASONS_MARK };
  if ((await models.demoFinds.findOne({ where: key })) !== null) return 0;
  let loaded = 0;
  // a load that was cut short goes on where it was: what is there already is passed over by its id
  for (const { kind, id, content } of twoSeasons(knowledge)) {
    const written = await writer.write({
      actor: { kind: "person", id: person },
      ownerId: person,
      id,
      kind,
      known: 0,
      create: content,
      touches: [],
    });
    if (written.kind === "stored" && written.isNew) loaded += 1;
  }
  await models.demoFinds.findOrCreate({ where: key, defaults: key });
  return loaded;
}

/** Stands for all of them in the table of what was put. */
const SEASONS_MARK = "0193a010-0000-7000-8000-0000000000ff";
