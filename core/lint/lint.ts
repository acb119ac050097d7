/** The knowledge lint: what is wrong with the sheets taken together, in words that the writer of a sheet can act on. */
import { assess } from "../answer/answer.ts";
import { AGES, type Age, CHARACTER_IDS, type CharacterId, isCharacterId } from "../find/vocabulary.ts";
import type { Knowledge } from "../knowledge/knowledge.ts";
import type { LintRule, Sheet } from "../knowledge/sheet.ts";
import { FREQUENCIES, type StateTable } from "../knowledge/state-tables.ts";
import { separation } from "../next/compare.ts";
import { takenForEvidence } from "./ground.ts";
import { PAIRS, type Telling } from "./pairs.ts";
import { type Separability, separabilityOf } from "./separability.ts";
import { KEPT, typicalFind } from "./typical.ts";

/** Something that the lint found. */
export interface LintFinding {
  readonly rule: LintRule;
  readonly sheet: string;
  /** The other sheet of a pair. */
  readonly with?: string;
  readonly text: string;
  /** The reason for which the sheet excuses it, where it does. */
  readonly excused?: string;
}

/** Dangers and sought kinds list at least so many characters. */
export const CHARACTERS_NEEDED = 15;
/** Kinds that are never kept may be told more shortly. */
export const CHARACTERS_NEEDED_INEDIBLE = 12;
const FAMILIES_NEEDED = 2;
/** House rules that let every kind be tried. */
export const EVERYTHING_ALLOWED = { amanitas: "known", smallBrown: "known", upsetters: "cooked" } as const;

/** All findings, excused ones with their reason. Judges every sheet's typical find: some seconds for a hundred sheets. */
export function lintKnowledge(knowledge: Knowledge): readonly LintFinding[] {
  const findings = [
    ...knowledge.sheets.flatMap((sheet) => [
      ...lookalikes(sheet, knowledge),
      ...characters(sheet),
      ...months(sheet),
      ...genus(sheet, knowledge),
      ...basis(sheet),
      ...veil(sheet),
      ...ground(sheet, knowledge),
      ...typical(sheet, knowledge),
    ]),
    ...pairs(knowledge),
    ...pairsOfPractice(knowledge),
  ];
  return findings.map((finding) => {
    const exception = knowledge.byId
      .get(finding.sheet)
      ?.exceptions.find((one) => one.rule === finding.rule && one.with === finding.with);
    return exception === undefined ? finding : { ...finding, excused: exception.reason };
  });
}

function lookalikes(sheet: Sheet, { byId }: Knowledge): LintFinding[] {
  return sheet.lookalikes.flatMap((other): LintFinding[] => {
    const found = { rule: "lookalike-not-mutual", sheet: sheet.id, with: other } as const;
    const back = byId.get(other);
    if (back === undefined) return [{ ...found, text: `names ${other} as a lookalike, which has no sheet` }];
    return back.lookalikes.includes(sheet.id)
      ? []
      : [{ ...found, text: `names ${other}, which does not name it back` }];
  });
}

function characters(sheet: Sheet): LintFinding[] {
  const listed = CHARACTER_IDS.filter((id) => sheet.characters[id] !== undefined).length;
  const needed = sheet.tier === "inedible" ? CHARACTERS_NEEDED_INEDIBLE : CHARACTERS_NEEDED;
  if (listed >= needed) return [];
  return [
    { rule: "too-few-characters", sheet: sheet.id, text: `lists ${listed} characters; its tier needs ${needed}` },
  ];
}

function months(sheet: Sheet): LintFinding[] {
  return Object.entries(sheet.months).flatMap(([region, list]): LintFinding[] => {
    const found = { rule: "months", sheet: sheet.id } as const;
    if (new Set(list).size < list.length) return [{ ...found, text: `names a month twice in ${region}` }];
    // a winter kind may be told from autumn on: the months may pass the turn of the year, and only once
    const turns = list.filter((month, index) => month < (list[index - 1] ?? 0)).length;
    const round = turns === 0 || (turns === 1 && (list.at(-1) ?? 0) < (list[0] ?? 0));
    return round ? [] : [{ ...found, text: `names the months out of order in ${region}` }];
  });
}

function genus(sheet: Sheet, { sheets }: Knowledge): LintFinding[] {
  const known = sheets.filter((one) => one.genus.name === sheet.genus.name).length;
  const { kindsKnown, kindsInGenus, name } = sheet.genus;
  if (kindsKnown === known && kindsInGenus >= known) return [];
  const text = `says that the shelf knows ${kindsKnown} of ${kindsInGenus} kinds of ${name}; there are ${known} sheets`;
  return [{ rule: "genus-count", sheet: sheet.id, text }];
}

function basis(sheet: Sheet): LintFinding[] {
  return Object.keys(sheet.basis).flatMap((statement): LintFinding[] => {
    const [part, character] = statement.split(".");
    const told =
      statement === "default" ||
      (part === "characters" && character !== undefined
        ? isCharacterId(character) && sheet.characters[character] !== undefined
        : part !== undefined && part in sheet);
    return told
      ? []
      : [
          {
            rule: "basis-of-nothing",
            sheet: sheet.id,
            text: `gives a basis for ${statement}, which it does not state`,
          },
        ];
  });
}

/**
 * Where a button ends and a young body begins is a matter of the eye, and the veil of some tears late: one that is shut on
 * buttons is shut on some that are called young.
 */
function veil(sheet: Sheet): LintFinding[] {
  const { button, young } = sheet.characters.ring ?? {};
  if (button?.closed === undefined || young === undefined || young.closed !== undefined) return [];
  return [
    { rule: "veil-at-the-border", sheet: sheet.id, text: "has a closed veil on buttons and never on young bodies" },
  ];
}

/** A tree, a place or a cover of the ground that the sheet never heard of would speak against the danger. */
function ground(sheet: Sheet, { dangers }: Knowledge): LintFinding[] {
  if (!dangers.includes(sheet)) return [];
  return takenForEvidence(sheet).map(([character, state]) => ({
    rule: "ground-tells-nothing",
    sheet: sheet.id,
    text: `takes ${character} ${state} for evidence against it`,
  }));
}

function typical(sheet: Sheet, knowledge: Knowledge): LintFinding[] {
  const found = { rule: "typical-find", sheet: sheet.id } as const;
  const answers = KEPT.map((kept) => assess(typicalFind(sheet, { rules: EVERYTHING_ALLOWED }, kept), knowledge));
  const baskets = answers.some((answer) => answer.verdict === "basket");
  if (knowledge.dangers.includes(sheet)) {
    const stands = answers.every((one) => one.dangers.find((danger) => danger.sheet === sheet.id)?.mistakes === 0);
    return stands && !baskets ? [] : [{ ...found, text: "a typical find of it does not keep it standing" }];
  }
  if (sheet.tier === "inedible")
    return baskets ? [{ ...found, text: "a typical find of it comes to basket, and it is not for the pot" }] : [];
  return baskets ? [] : [{ ...found, text: "a typical find of it does not come to basket" }];
}

/** Every danger with every sought kind, and what separates them; the hardest first. */
export function separabilities(knowledge: Knowledge): readonly Separability[] {
  return knowledge.dangers
    .flatMap((danger) => knowledge.sought.map((sought) => separabilityOf(danger, sought)))
    .sort((one, other) => one.share - other.share || (one.danger + one.sought < other.danger + other.sought ? -1 : 1));
}

function pairs(knowledge: Knowledge): LintFinding[] {
  return separabilities(knowledge).flatMap(({ danger, sought, families }): LintFinding[] => {
    const hard = families.some((one) => one.hard);
    if (families.length >= FAMILIES_NEEDED && hard) return [];
    const what = families.map((one) => one.family).join(", ") || "nothing";
    const text = `only ${what} can tell it from ${sought}; ${FAMILIES_NEEDED} families are needed, one of them hard`;
    return [{ rule: "pair-not-separable", sheet: danger, with: sought, text }];
  });
}

function pairsOfPractice({ byId }: Knowledge): LintFinding[] {
  return PAIRS.flatMap(({ kinds: [ones = [], others = []], differIn }) =>
    ones.flatMap((one) =>
      others.flatMap((other): LintFinding[] => {
        const [first, second] = [byId.get(one), byId.get(other)];
        const found = { rule: "pair-of-practice", sheet: one, with: other } as const;
        if (first === undefined || second === undefined)
          return [{ ...found, text: `${first === undefined ? one : other} has no sheet` }];
        return differIn
          .map((telling) => (typeof telling === "string" ? [telling] : telling))
          .filter((tellings) => !tellings.some((telling) => differsIn(first, second, telling)))
          .map((tellings) => ({ ...found, text: `does not differ from ${other} in ${tellings.join(" or ")}` }));
      }),
    ),
  );
}

/** Whether two kinds differ: one look or measure can be enough, or what is commonest of one is not so of the other. */
function differsIn(one: Sheet, other: Sheet, telling: Telling): boolean {
  if (isCharacterId(telling))
    return AGES.some((age) => separation(one, other, telling, [age]) > 0 || !shareCommonest(one, other, telling, age));
  const [mine, theirs] = [one.sizes[telling], other.sizes[telling]];
  return mine !== undefined && theirs !== undefined && (mine[1] !== theirs[1] || mine[0] !== theirs[0]);
}

function shareCommonest(one: Sheet, other: Sheet, character: CharacterId, age: Age): boolean {
  const [mine, theirs] = [one, other].map((sheet) => commonestOf(sheet.characters[character]?.[age]));
  if (mine === undefined || theirs === undefined || mine.length === 0 || theirs.length === 0) return true;
  return mine.some((state) => theirs.includes(state));
}

function commonestOf(table: StateTable | undefined): string[] {
  const states = Object.entries(table ?? {});
  const highest = FREQUENCIES.find((frequency) => states.some(([, often]) => often === frequency));
  return states.flatMap(([state, often]) => (often === highest ? [state] : []));
}
