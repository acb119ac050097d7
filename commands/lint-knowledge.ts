/** `npm run knowledge:lint`: what is wrong with the sheets taken together; writes the table of the hardest pairs. */
import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { lintKnowledge } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { hardestPairsPage } from "./hardest-pairs.ts";

export const HARDEST_PAIRS = fileURLToPath(new URL("../docs/hardest-pairs.md", import.meta.url));

function main(): number {
  const knowledge = readKnowledge();
  const findings = lintKnowledge(knowledge);
  for (const { rule, sheet, with: other, text, excused } of findings)
    process.stdout.write(
      `${sheet}${other === undefined ? "" : ` · ${other}`}: ${text} (${rule})${excused === undefined ? "" : `, excused: ${excused}`}\n`,
    );
  const open = findings.filter((finding) => finding.excused === undefined).length;
  process.stdout.write(`${knowledge.sheets.length} sheets, ${open} findings, ${findings.length - open} excused\n`);
  writeFileSync(HARDEST_PAIRS, hardestPairsPage(knowledge));
  return open === 0 ? 0 : 1;
}

process.exitCode = main();
