/** The study's figures as a page of words and tables. */
import type { Knowledge } from "@jittery-cap/core";
import { interval, median, sum, type Tally } from "./tally.ts";

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
const SHORT_OF = 0.9;
const REASON_WORDS: Readonly<Record<string, string>> = {
  "dangers-stand": "a danger could not be moved far enough",
  "musts-missing": "a must was not met by the bodies at hand",
  "small-brown-on-wood": "the stop sign for small brown ones",
  "sac-with-pale-cap": "the stop sign for a sac under a pale cap, before the gills were seen",
  "other-body-stops": "a stop sign on another body of the find",
  doubt: "something was in doubt",
  "embryo-or-dark-inside": "the stop sign for an outline inside",
  "white-gills-with-ring-or-foot": "the stop sign for white gills with a ring or a foot",
  "inedible-fits": "an inedible kind still fitted",
};

/** The whole page. @param took how long the drawing took, in words */
export function reportOf(tallies: readonly Tally[], knowledge: Knowledge, took: string): string {
  const dangers = new Set(knowledge.dangers.map((sheet) => sheet.id));
  const ofDangers = tallies.filter((tally) => dangers.has(tally.sheet));
  const ofSought = tallies.filter((tally) => !dangers.has(tally.sheet));
  const lines = [
    "# The study: what comes of following the advice",
    "",
    "Simulated finds of every kind, recorded by somebody who now and then mistakes a state for another and is sure of it,",
    "does what comes next in the plan, and keeps what the answer clears. House rules at their most permissive, so that",
    "every kind is tried. It tests the logic, not the truth of the sheets.",
    "",
    `Made by \`npm run study\`: seeded, ${took}.`,
    "",
    "![Share of finds that end in the basket, by slips](study.svg)",
    "",
    "## Dangers",
    "",
    "Finds of dangers, on days with every kind of weather and wear.",
    "",
    "| slips | finds | in the basket | 95 % interval of the share | left |",
    "| ---: | ---: | ---: | --- | ---: |",
    ...slipsOf(ofDangers).map((slips) => {
      const { draws, basket, leave } = sum(ofDangers.filter((tally) => tally.slips === slips));
      const [low, high] = interval(basket, draws);
      const range = `${perHundredThousand(low)} to ${perHundredThousand(high)} in 100,000`;
      return `| ${percent(slips)} | ${draws} | ${basket} | ${range} | ${percent(leave / draws)} |`;
    }),
    "",
    ...passed(ofDangers, knowledge),
    "## Sought kinds",
    "",
    "Finds of sought kinds. An ordinary day has no frost, drought, cold or rain, on clean ground, and fresh bodies; the last",
    "row has every kind of weather and wear, where many of them ought to be left.",
    "",
    "| day | slips | finds | in the basket | median minutes, waiting left out |",
    "| --- | ---: | ---: | ---: | ---: |",
    ...(["ordinary", "any"] as const).flatMap((day) =>
      slipsOf(ofSought.filter((tally) => tally.day === day)).map((slips) => {
        const { draws, basket, minutes } = sum(ofSought.filter((tally) => tally.slips === slips && tally.day === day));
        return `| ${day} | ${percent(slips)} | ${draws} | ${percent(basket / draws)} | ${median(minutes)} |`;
      }),
    ),
    "",
    ...short(ofSought, knowledge),
  ];
  return `${lines.join("\n").trimEnd()}\n`;
}

const perHundredThousand = (share: number): string => (share * 100_000).toFixed(2);

const slipsOf = (tallies: readonly Tally[]): number[] =>
  [...new Set(tallies.map((tally) => tally.slips))].sort((one, other) => one - other);

const nameOf = (knowledge: Knowledge, id: string): string => knowledge.byId.get(id)?.names.common ?? id;

/** Which dangers passed, and for what. */
function passed(tallies: readonly Tally[], knowledge: Knowledge): string[] {
  const rows = new Map<string, number>();
  for (const { sheet, slips, passedFor } of tallies)
    for (const [as, count] of Object.entries(passedFor)) {
      const key = `| ${percent(slips)} | ${nameOf(knowledge, sheet)} | ${as
        .split(" or ")
        .map((id) => nameOf(knowledge, id))
        .join(" or ")} |`;
      rows.set(key, (rows.get(key) ?? 0) + count);
    }
  if (rows.size === 0) return ["None passed at any rate of slips.", ""];
  return [
    "Which passed, and what for:",
    "",
    "| slips | danger | taken for | finds |",
    "| ---: | --- | --- | ---: |",
    ...[...rows].sort().map(([key, count]) => `${key} ${count} |`),
    "",
  ];
}

/** The sheets that miss nine in ten on an ordinary day without slips, with why. */
function short(tallies: readonly Tally[], knowledge: Knowledge): string[] {
  const rows = knowledge.sought.flatMap(({ id, names }): string[] => {
    const own = tallies.filter((tally) => tally.sheet === id && tally.slips === 0 && tally.day === "ordinary");
    const { draws, basket } = sum(own);
    if (draws === 0 || basket / draws >= SHORT_OF) return [];
    const reasons = new Map<string, number>();
    for (const tally of own)
      for (const [code, count] of Object.entries(tally.reasons)) reasons.set(code, (reasons.get(code) ?? 0) + count);
    const why = [...reasons]
      .sort((one, other) => other[1] - one[1])
      .slice(0, 2)
      .map(([code, count]) => `${REASON_WORDS[code] ?? code} (${count})`);
    return [`| ${names.common} | ${percent(basket / draws)} | ${why.join("; ")} |`];
  });
  if (rows.length === 0) return [];
  return [
    `Sheets that bring fewer than ${percent(SHORT_OF)} of their good finds to basket, and why the others did not come:`,
    "",
    "| kind | in the basket | why not |",
    "| --- | ---: | --- |",
    ...rows,
    "",
  ];
}
