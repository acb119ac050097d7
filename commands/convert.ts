/** `npm run -s convert -- --to FORMAT [--from FORMAT] [--places exact|1km|10km|none] FILE…`: finds in other formats. */
import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { convertTo, type Find, PLACE_KINDS, readFrom, SOURCES, sourceOf, TARGETS } from "@jittery-cap/core";

/** Said on standard error, with status 2. */
class Refused extends Error {}

function oneOf<Word extends string>(name: string, words: readonly Word[], text: string | undefined): Word | undefined {
  if (text === undefined) return undefined;
  const found = words.find((word) => word === text);
  if (found === undefined)
    throw new Refused(`--${name}: ${JSON.stringify(text)} is not known; allowed: ${words.join(", ")}`);
  return found;
}

function contentOf(path: string): Uint8Array {
  try {
    return readFileSync(path === "-" ? 0 : path);
  } catch (error) {
    throw new Refused(`${path}: ${error instanceof Error ? error.message : String(error)}`);
  }
}

function main(): void {
  const { values, positionals } = (() => {
    try {
      return parseArgs({
        options: { to: { type: "string" }, from: { type: "string" }, places: { type: "string" } },
        allowPositionals: true,
      });
    } catch (error) {
      throw new Refused(error instanceof Error ? error.message : String(error));
    }
  })();
  const target = oneOf("to", TARGETS, values.to);
  if (target === undefined) throw new Refused(`--to: is missing; allowed: ${TARGETS.join(", ")}`);
  const from = oneOf("from", SOURCES, values.from);
  const places = oneOf("places", PLACE_KINDS, values.places) ?? "exact";
  if (positionals.length === 0) throw new Refused("expected at least one FILE, or - for standard input");
  const faults: string[] = [];
  const finds: Find[] = [];
  for (const path of positionals) {
    const content = contentOf(path);
    const source = from ?? sourceOf(path, content);
    if (source === undefined) {
      faults.push(`${path}: does not tell what it is; say --from ${SOURCES.join("|")}`);
      continue;
    }
    const parsed = readFrom(source, content);
    if (parsed.ok) finds.push(...parsed.value);
    else faults.push(...parsed.faults.map((fault) => `${path}: ${fault.path}: ${fault.message}`));
  }
  if (faults.length > 0) throw new Refused(faults.join("\n"));
  const { content, losses } = convertTo(target, finds, places, new Date());
  for (const loss of losses) process.stderr.write(`${loss}\n`);
  process.stdout.write(content);
}

try {
  main();
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 2;
}
