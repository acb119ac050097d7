/** `npm run share`: how much of the code is tests, by lines that are not blank. A quarter to a third is the aim. */
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";

const files = execFileSync("git", ["ls-files", "--cached", "--others", "--exclude-standard"], {
  encoding: "utf8",
})
  .split("\n")
  .filter((name) => /\.(ts|tsx|css|sh)$/.test(name) || name === "start" || name === "test");
const lines = { tests: 0, code: 0 };
for (const name of files) {
  const count = readFileSync(name, "utf8")
    .split("\n")
    .filter((line) => line.trim() !== "").length;
  lines[/\.test\.tsx?$|^e2e\/|\/tests\//.test(name) ? "tests" : "code"] += count;
}
const all = lines.tests + lines.code;
process.stdout.write(
  `Tests are ${((100 * lines.tests) / all).toFixed(1)} % of ${all} lines (${lines.tests} of tests, ${lines.code} of code).\n`,
);
