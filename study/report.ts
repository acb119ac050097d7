/** The study's figures as a page of words and tables. */
import type { Knowledge } from "@jittery-cap/core";
import { closingLine, DAYS, type Outcome } from "@jittery-cap/core/study";
import { type DrawnPart, interval, median, sum, type Tally } from "./tally.ts";

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

/** The whole page, or the parts of it that were drawn. @param took how long the drawing took, in words */
export function reportOf(
  tallies: readonly Tally[],
  described: readonly Outcome[] | undefined,
  knowledge: Knowledge,
  took: string,
): string {
  const of = (part: DrawnPart) => tallies.filter((tally) => tally.part === part);
  const lines = [
    "# The study: what comes of following the advice, and of what the sheets do not know",
    "",
    `Made by \`npm run study\`: seeded, ${took}. House rules at their most permissive, so that every kind is tried.`,
    "",
    ...advice(of("advice"), knowledge),
    ...openWorld(of("leave-one-out"), knowledge),
    ...forgotten(of("forgotten-one"), of("forgotten-two"), knowledge),
    ...weather(of("weather"), knowledge),
    ...describedPart(described),
  ];
  return `${lines.join("\n").trimEnd()}\n`;
}

function advice(tallies: readonly Tally[], knowledge: Knowledge): string[] {
  if (tallies.length === 0) return [];
  const dangers = new Set(knowledge.dangers.map((sheet) => sheet.id));
  const ofDangers = tallies.filter((tally) => dangers.has(tally.sheet));
  const ofSought = tallies.filter((tally) => !dangers.has(tally.sheet));
  return [
    "## The advice followed to the end",
    "",
    "Simulated finds of every kind, recorded by somebody who now and then mistakes a state for another and is sure of it,",
    "does what comes next in the plan, and keeps what the answer clears. It tests the logic, not the truth of the sheets.",
    "",
    "![Share of finds that end in the basket, by slips](study.svg)",
    "",
    "### Dangers",
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
    "### Sought kinds",
    "",
    "Finds of sought kinds on an ordinary day: no frost, drought, cold or rain, clean ground, fresh bodies.",
    "",
    "| slips | finds | in the basket | median minutes, waiting left out |",
    "| ---: | ---: | ---: | ---: |",
    ...slipsOf(ofSought).map((slips) => {
      const { draws, basket, minutes } = sum(ofSought.filter((tally) => tally.slips === slips));
      return `| ${percent(slips)} | ${draws} | ${percent(basket / draws)} | ${median(minutes)} |`;
    }),
    "",
    ...short(ofSought, knowledge),
  ];
}

/** A danger may pass so often before it is named. */
const DEADLY_PASSING = 0;
const OTHERS_PASSING = 1 / 1000;

function openWorld(tallies: readonly Tally[], knowledge: Knowledge): string[] {
  if (tallies.length === 0) return [];
  const isDeadly = (id: string) => knowledge.byId.get(id)?.tier === "deadly";
  const row = (name: string, some: readonly Tally[]) => {
    const { draws, basket } = sum(some);
    const [low, high] = interval(basket, draws);
    return `| ${name} | ${draws} | ${basket} | ${perHundredThousand(low)} to ${perHundredThousand(high)} in 100,000 |`;
  };
  const passing = byKind(tallies).filter(({ share }) => share > 0);
  const over = passing.filter(({ sheet, share }) => share > (isDeadly(sheet) ? DEADLY_PASSING : OTHERS_PASSING));
  return [
    "## Leave one out: the open world",
    "",
    "For each danger its sheet is taken off the shelf, finds of it are drawn from that sheet in full and without a slip, in",
    "its own months and regions, and the rest of the shelf judges them. What passes shows where the musts of a sought kind",
    "do not hold by themselves.",
    "",
    "![Dangers without their sheet that come to basket](study-open-world.svg)",
    "",
    "| dangers | finds | in the basket | 95 % interval of the share |",
    "| --- | ---: | ---: | --- |",
    row(
      "deadly",
      tallies.filter((tally) => isDeadly(tally.sheet)),
    ),
    row(
      "serious and sickening",
      tallies.filter((tally) => !isDeadly(tally.sheet)),
    ),
    "",
    over.length === 0
      ? "No deadly kind passed, and no other in more than 1 of 1,000."
      : `Over the aim (none of a deadly kind, 1 of 1,000 of another): ${over.map(({ sheet }) => nameOf(knowledge, sheet)).join(", ")}.`,
    "",
    ...(passing.length === 0
      ? []
      : [
          "| danger | of 1,000 | taken for |",
          "| --- | ---: | --- |",
          ...passing.map(
            ({ sheet, share, as }) =>
              `| ${nameOf(knowledge, sheet)} | ${(share * 1000).toFixed(1)} | ${as.map((id) => nameOf(knowledge, id)).join(", ")} |`,
          ),
          "",
        ]),
  ];
}

/** Each kind with its share in the basket and what it passed for, the most first. */
function byKind(tallies: readonly Tally[]): readonly { sheet: string; share: number; as: readonly string[] }[] {
  return [...new Set(tallies.map((tally) => tally.sheet))]
    .map((sheet) => {
      const own = tallies.filter((tally) => tally.sheet === sheet);
      const { draws, basket } = sum(own);
      const as = new Map<string, number>();
      for (const { passedFor } of own)
        for (const [kinds, count] of Object.entries(passedFor))
          for (const kind of kinds.split(" or ")) as.set(kind, (as.get(kind) ?? 0) + count);
      const often = [...as].sort((one, other) => other[1] - one[1]).slice(0, 3);
      return { sheet, share: basket / draws, as: often.map(([kind]) => kind) };
    })
    .sort((one, other) => other.share - one.share);
}

function forgotten(one: readonly Tally[], two: readonly Tally[], knowledge: Knowledge): string[] {
  if (one.length === 0 && two.length === 0) return [];
  const row = (name: string, some: readonly Tally[]) => {
    if (some.length === 0) return [];
    const { draws, basket } = sum(some);
    const [low, high] = interval(basket, draws);
    return [
      `| ${name} | ${draws} | ${basket} | ${perHundredThousand(low)} to ${perHundredThousand(high)} in 100,000 |`,
    ];
  };
  return [
    "## Forgotten states",
    "",
    "One state that a danger's sheet should list is struck at random (then one of each of two characters), and finds are",
    "drawn from the whole sheet.",
    "",
    "| forgotten | finds | in the basket | 95 % interval of the share |",
    "| --- | ---: | ---: | --- |",
    ...row("one state", one),
    ...row("two states", two),
    "",
    ...passed([...one, ...two], knowledge),
  ];
}

function weather(tallies: readonly Tally[], knowledge: Knowledge): string[] {
  if (tallies.length === 0) return [];
  const ordinary = sum(tallies.filter((tally) => tally.day === "ordinary"));
  const fair = ordinary.basket / ordinary.draws;
  return [
    "## Weather apart",
    "",
    "Good finds on days with one thing alone, the advice followed without slips. Weather changes what is seen into what is",
    "really seen then: a frosted piece smells of nothing, a washed cap is bare. Drizzle is 3 mm, rain 12 mm in 24 hours.",
    "",
    "| day | finds | in the basket | against an ordinary day | kinds that lose most |",
    "| --- | ---: | ---: | ---: | --- |",
    ...DAYS.flatMap((day) => {
      const own = tallies.filter((tally) => tally.day === day);
      if (own.length === 0) return [];
      const { draws, basket } = sum(own);
      const lost = byKind(own)
        .map(({ sheet, share }) => {
          const before = sum(tallies.filter((tally) => tally.sheet === sheet && tally.day === "ordinary"));
          return { sheet, lost: before.basket / before.draws - share };
        })
        .filter(({ lost: some }) => some > 0.5)
        .sort((a, b) => b.lost - a.lost)
        .slice(0, 4)
        .map(({ sheet }) => nameOf(knowledge, sheet));
      const against = ((basket / draws - fair) * 100).toFixed(1);
      return [`| ${day} | ${draws} | ${percent(basket / draws)} | ${against} points | ${lost.join(", ")} |`];
    }),
    "",
  ];
}

function describedPart(outcomes: readonly Outcome[] | undefined): string[] {
  if (outcomes === undefined) return [];
  const wrong = outcomes.filter((one) => one.wrong.length > 0);
  return [
    "## Described finds",
    "",
    "Finds written from general knowledge of the kinds, not from the sheets (`study/described`), with what a careful,",
    "experienced person would do.",
    "",
    `${closingLine(outcomes)}.`,
    "",
    ...(wrong.length === 0
      ? []
      : [
          "| find | kind | differs | first reason |",
          "| --- | --- | --- | --- |",
          ...wrong.map(
            ({ described, answer, wrong: how }) =>
              `| ${described.name} | ${described.kind} | ${how.join("; ")} | ${answer.reasons[0]?.text ?? ""} |`,
          ),
          "",
        ]),
  ];
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
