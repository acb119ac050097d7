/** Writes the description of the interface to docs/openapi.json. Usage: npm run openapi */
import { writeFileSync } from "node:fs";
import { openApi } from "../server/http/open-api.ts";

writeFileSync("docs/openapi.json", `${JSON.stringify(openApi(), null, 1)}\n`);
