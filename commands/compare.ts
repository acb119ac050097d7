/** `npm run -s compare -- A B`: what tells two kinds apart, best first, and what may hide it. */
import { CHARACTER_WORDS, compareSheets, stateWords, wordList } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";

const BAD_INPUT = 2;
const PER_CENT = 100;

function main(ids: readonly string[]): number {
  const { byId } = readKnowledge();
  const [one, other] = ids.map((id) => byId.get(id));
  if (ids.length !== 2 || one === undefined || other === undefined) {
    const unknown = ids.filter((id) => !byId.has(id));
    const what =
      unknown.length > 0
        ? `no sheet ${unknown.join(", ")}; allowed: ${[...byId.keys()].join(", ")}`
        : "two sheets are needed";
    process.stderr.write(`compare: ${what}\nusage: npm run -s compare -- SHEET SHEET\n`);
    return BAD_INPUT;
  }
  process.stdout.write(`${one.names.common} (${one.id}) and ${other.names.common} (${other.id})\n`);
  for (const { character, hard, age, power, one: mine, other: theirs, hiddenBy } of compareSheets(one, other)) {
    const say = (states: readonly string[]) => wordList(states.map((state) => stateWords(character, state)));
    process.stdout.write(
      `\n${CHARACTER_WORDS[character].plain}${age === undefined ? "" : `, ${age}`} · ${hard ? "hard" : "soft"} · ${Math.round(power * PER_CENT)} of 100\n` +
        `  ${one.names.common}: ${say(mine)}\n  ${other.names.common}: ${say(theirs)}\n` +
        hiddenBy.map((why) => `  may be hidden: ${why}\n`).join(""),
    );
  }
  return 0;
}

process.exitCode = main(process.argv.slice(2));
