/** `npm run -s assess -- FILE.json [MORE.json …]`: judges finds without a browser, a server or a database. */
import { readFileSync } from "node:fs";
import { type Answer, assess, type Fault, parseFinds } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";

const BAD_INPUT = 2;

function readJson(name: string): { value: unknown } | { fault: string } {
  try {
    return { value: JSON.parse(readFileSync(name === "-" ? 0 : name, "utf8").replace(/^\uFEFF/, "")) };
  } catch (error) {
    return {
      fault:
        error instanceof SyntaxError
          ? `is not JSON: ${error.message}`
          : `cannot be read: ${error instanceof Error ? error.message : String(error)}`,
    };
  }
}

function main(names: readonly string[]): number {
  const knowledge = readKnowledge();
  if (names.length === 1 && names[0] === "--sheets") {
    const list = knowledge.sheets.map(({ id, names: called, tier, syndrome }) => ({
      id,
      names: called,
      tier,
      syndrome: syndrome ?? null,
    }));
    process.stdout.write(`${JSON.stringify(list, null, 2)}\n`);
    return 0;
  }
  if (names.length === 0 || names.some((name) => name.startsWith("--"))) {
    process.stderr.write("usage: npm run -s assess -- FILE.json [MORE.json …] | - | --sheets\n");
    return BAD_INPUT;
  }
  const answers: Answer[] = [];
  const faults: string[] = [];
  for (const name of names) {
    const read = readJson(name);
    if ("fault" in read) {
      faults.push(`${name}: ${read.fault}`);
      continue;
    }
    const parsed = parseFinds(read.value);
    if (parsed.ok) answers.push(...parsed.value.map((find) => assess(find, knowledge)));
    else faults.push(...parsed.faults.map((fault: Fault) => `${name}: ${fault.path}: ${fault.message}`));
  }
  // one bad file and nothing is judged: half an output could be taken for the whole
  if (faults.length > 0) {
    process.stderr.write(`${faults.join("\n")}\n`);
    return BAD_INPUT;
  }
  process.stdout.write(`${JSON.stringify(answers, null, 2)}\n`);
  return 0;
}

process.exitCode = main(process.argv.slice(2));
