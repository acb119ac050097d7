/**
 * `npm run -s described -- FILE.json […]`: judges finds that people described who had read no sheet, prints each that
 * differs from what they wanted with its reasons, and one closing line by group. `--why` tells what stood in its way;
 * `--slips` misreads each poisonous one in every way in which one look can be misread, and prints what that brings home.
 */
import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import type { Knowledge } from "@jittery-cap/core";
import {
  closingLine,
  type Described,
  describedSchema,
  judgeDescribed,
  misreadingsOf,
  type Outcome,
} from "@jittery-cap/core/study";
import { readKnowledge } from "@jittery-cap/shelf";
import { z } from "zod";

const BAD_INPUT = 2;
const STANDING_TOLD = 8;

function main(): number {
  const { values, positionals } = parseArgs({
    options: { why: { type: "boolean", default: false }, slips: { type: "boolean", default: false } },
    allowPositionals: true,
  });
  if (positionals.length === 0) {
    process.stderr.write("usage: npm run -s described -- [--why | --slips] FILE.json […]\n");
    return BAD_INPUT;
  }
  const described: Described[] = [];
  for (const name of positionals) {
    try {
      described.push(...z.array(describedSchema).parse(JSON.parse(readFileSync(name, "utf8"))));
    } catch (error) {
      process.stderr.write(`${name}: ${error instanceof z.ZodError ? z.prettifyError(error) : String(error)}\n`);
      return BAD_INPUT;
    }
  }
  const knowledge = readKnowledge();
  if (values.slips) {
    tellSlips(described, knowledge);
    return 0;
  }
  const outcomes = described.map((one) => judgeDescribed(one, knowledge));
  for (const outcome of outcomes) if (outcome.wrong.length > 0) process.stdout.write(`${told(outcome, values.why)}\n`);
  process.stdout.write(`${closingLine(outcomes)}\n`);
  return 0;
}

/** Every single misreading of a poisonous find that brings it to the basket, and how many there were. */
function tellSlips(described: readonly Described[], knowledge: Knowledge): void {
  let tried = 0;
  let passed = 0;
  for (const one of described.filter(({ poisonous }) => poisonous))
    for (const slip of misreadingsOf(one)) {
      tried++;
      const { answer } = judgeDescribed(slip.described, knowledge);
      if (answer.verdict !== "basket") continue;
      passed++;
      const as = answer.candidates.filter(({ fits, mustsMissing }) => fits && mustsMissing.length === 0);
      process.stdout.write(
        `${one.name} [${one.kind}]: ${slip.misread}, as ${as.map(({ sheet }) => sheet).join(" or ")}\n`,
      );
    }
  process.stdout.write(`single misreadings of poisonous finds in the basket: ${passed} of ${tried}\n`);
}

function told({ described, answer, wrong }: Outcome, why: boolean): string {
  const lines = [`${described.name} [${described.kind}]: ${wrong.join("; ")}`];
  for (const reason of answer.reasons) lines.push(`  ${reason.code}: ${reason.text}`);
  if (why) {
    const own = answer.candidates.find((one) => one.sheet === described.sheet);
    for (const one of own?.contradictions ?? []) lines.push(`  - against: ${one.text}`);
    for (const one of own?.doubts ?? []) lines.push(`  - in doubt: ${one.text}`);
    for (const one of own?.missing ?? []) lines.push(`  - must: ${one.says}`);
    for (const one of own?.misplaced ?? []) lines.push(`  - misplaced: ${one.text}`);
    const standing = answer.dangers.filter((one) => one.status !== "ruled-out" && !one.aside);
    for (const one of standing.slice(0, STANDING_TOLD))
      lines.push(
        `  - stands: ${one.sheet} (${one.mistakes}, ${one.body}) ${one.points.map((point) => `${point.character}${point.hard ? "!" : ""}`).join(" ")}`,
      );
  }
  return lines.join("\n");
}

process.exitCode = main();
