/** `npm run demo`: writes the invented autumn as find files, the specimens of the two seasons, and the map of the lakeland. */
import { mkdirSync, rmSync, writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { canonicalFind } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { lakeland } from "./lakeland.ts";
import { seasonFinds } from "./season.ts";
import { drawSpecimens, SPECIMENS } from "./seasons-find.ts";

const FOLDER = fileURLToPath(new URL("finds", import.meta.url));

rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(FOLDER, { recursive: true });
for (const find of seasonFinds()) {
  const name = (find.label ?? find.id).toLowerCase().replaceAll(/[^a-z]+/g, "-");
  writeFileSync(`${FOLDER}/${name}.json`, `${JSON.stringify(canonicalFind(find), null, 2)}\n`);
}

writeFileSync(SPECIMENS, `${JSON.stringify(drawSpecimens(readKnowledge()))}\n`);
writeFileSync(
  fileURLToPath(new URL("../web/public/lakeland.geojson", import.meta.url)),
  `${JSON.stringify(lakeland())}\n`,
);
