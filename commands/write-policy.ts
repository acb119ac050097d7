/** `npm run policy`: writes docs/policy.md, every route against every standing, from the table that the tests try. */
import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { ALL_ROUTES, type Route, type RouteName } from "@jittery-cap/core/api";
import { NEEDS, outcomeFor, STANDING_WORDS, STANDINGS } from "../server/http/policy.ts";

/** The page. */
export function policyPage(): string {
  const row = (cells: readonly string[]) => `| ${cells.join(" | ")} |`;
  const lines = Object.entries<Route>(ALL_ROUTES).map(([name, { method, path }]) => {
    const need = NEEDS[name as RouteName];
    return row([
      `\`${method.toUpperCase()} ${path}\``,
      need,
      ...STANDINGS.map((who) => {
        const outcome = outcomeFor(need, who);
        return outcome === "done" ? "yes" : String(outcome);
      }),
    ]);
  });
  return [
    "# Who may what",
    "",
    "Made by `npm run policy` from `server/http/policy.ts`; `server/http/policy.database.test.ts` tries every cell. A number is the",
    "status of the refusal: 404 wherever it would already tell something that there is anything.",
    "",
    ...STANDINGS.map((who) => `- **${who}**: ${STANDING_WORDS[who]}.`),
    "",
    row(["route", "needs", ...STANDINGS]),
    row(["---", "---", ...STANDINGS.map(() => "---")]),
    ...lines,
    "",
  ].join("\n");
}

if (process.argv[1] === fileURLToPath(import.meta.url))
  writeFileSync(fileURLToPath(new URL("../docs/policy.md", import.meta.url)), policyPage());
