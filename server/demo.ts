/** Loads the invented seasons, each document once: whatever a person has made of it since, it is not put again. */
import { randomUUID } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { type Knowledge, parseFind } from "@jittery-cap/core";
import { INVENTED, INVENTED_CIRCLE } from "../demo/invented-people.ts";
import { seasonFinds } from "../demo/season.ts";
import { twoSeasons } from "../demo/two-seasons.ts";
import type { Models } from "./database/models.ts";
import type { DocumentWriter } from "./documents/writer.ts";
import type { Parts } from "./http/parts.ts";

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

/** Puts the invented people's circle, once: who left it, or was taken out, is not put back. */
export async function loadCircle({ circles, sharing, asks, people }: Parts, models: Models): Promise<void> {
  const [owner] = INVENTED;
  const { id, name, roles, shared, asked } = INVENTED_CIRCLE;
  if ((await people.read(owner.id))?.isInvented !== true || (await models.circles.findByPk(id)) !== null) return;
  const finds = seasonFinds();
  const idOf = (label: string) => finds.find((find) => find.label?.startsWith(label))?.id ?? "";
  await circles.make(owner.id, id, name);
  for (const one of roles) {
    const { token } = await circles.invite(owner.id, id, { id: randomUUID(), role: one.role, trusted: one.trusted });
    await circles.join(one.id, token);
  }
  const person = { kind: "person", id: owner.id } as const;
  await sharing.share(person, idOf(shared), id, { place: "rounded", mayRecord: true });
  await asks.ask(person, idOf(asked.find), { id: asked.id, circle: id, note: asked.note });
}

/** Stands for all of them in the table of what was put. */
const SEASONS_MARK = "0193a010-0000-7000-8000-0000000000ff";
