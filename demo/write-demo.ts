/** `npm run demo`: writes the invented season as find files. */
import { mkdirSync, rmSync, writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { canonicalFind } from "@jittery-cap/core";
import { seasonFinds } from "./season.ts";

const FOLDER = fileURLToPath(new URL("finds", import.meta.url));

rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(FOLDER, { recursive: true });
for (const find of seasonFinds()) {
  const name = (find.label ?? find.id).toLowerCase().replaceAll(/[^a-z]+/g, "-");
  writeFileSync(`${FOLDER}/${name}.json`, `${JSON.stringify(canonicalFind(find), null, 2)}\n`);
}
