/** `npm run schema`: writes the find file's JSON Schema (draft 2020-12) from the core's own schema. */
import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { findJsonSchema } from "@jittery-cap/core";

export const SCHEMA_FILE = fileURLToPath(new URL("../docs/find.schema.json", import.meta.url));

writeFileSync(SCHEMA_FILE, `${JSON.stringify(findJsonSchema(), null, 2)}\n`);
