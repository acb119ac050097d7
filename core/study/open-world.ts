/**
 * The open world: what becomes of a danger that the shelf does not know, or knows with a state forgotten.
 *
 * Finds of it are drawn from its whole sheet and recorded in full, without a slip, on an ordinary day of its own months
 * and region; the shelf without it, or with the lesser sheet, judges them.
 */
import type { Body, Find } from "../find/schema.ts";
import { AGES, isCharacterId, SITE_CHARACTERS } from "../find/vocabulary.ts";
import { candidatesOf } from "../judge/candidates.ts";
import { rulesOf } from "../judge/condition.ts";
import { judge } from "../judge/judge.ts";
import { missingMusts, proofsOf } from "../judge/musts.ts";
import { sceneOf } from "../judge/scene.ts";
import { rule } from "../judge/verdict.ts";
import { type Knowledge, shelve } from "../knowledge/knowledge.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import type { AgeTable } from "../knowledge/state-tables.ts";
import { type Chance, pick } from "../trainer/chance.ts";
import { timeAndPlaceOf } from "../trainer/looking.ts";
import { drawSite, drawSpecimen } from "../trainer/specimen.ts";

const TWO_AGES = ["young", "mature"] as const;

/** A find of a kind with a young and a grown body, everything recorded that its sheet lists. */
export function drawRecord(sheet: Sheet, chance: Chance): Find {
  const site = drawSite(chance, sheet);
  const bodies = TWO_AGES.map((age, index): Body => {
    const { truth, measures } = drawSpecimen(chance, sheet, age, "ordinary");
    return {
      id: index === 0 ? "A" : "B",
      age,
      lifted: "whole",
      firmness: "firm",
      measures,
      keep: true,
      seen: [...truth].map(([character, states]) => ({ character, states: [...states] })),
    };
  });
  return {
    format: "jittery-cap/find",
    version: 1,
    id: "drawn",
    ...timeAndPlaceOf(chance, sheet),
    site: Object.fromEntries(
      SITE_CHARACTERS.flatMap((character) => {
        const states = site.get(character);
        return states === undefined ? [] : [[character, [...states]]];
      }),
    ),
    weather: { frostLastNight: false, drySpellDays: 0, rain24hMm: 0, airTempC: 12, printPaper: "split-black-white" },
    rules: { amanitas: "known", smallBrown: "known", upsetters: "cooked" },
    bodies,
  };
}

/**
 * What a find would pass for: the kinds that an answer of basket rests on, for the whole find or for one of its bodies
 * when the others are put aside; undefined where it does not pass. The shelf is made only where a kind is confirmed.
 */
export function passesFor(find: Find, sought: Knowledge, shelf: () => Knowledge): readonly string[] | undefined {
  const scene = sceneOf(find);
  // musts first: they are quickly asked, and hardly ever all met
  const proofs = proofsOf(scene);
  if (!sought.sought.some((sheet) => missingMusts(sheet, scene, proofs).length === 0)) return undefined;
  const answering = candidatesOf(sought.soughtTables, scene, rulesOf(find)).filter(
    (one) =>
      one.fitsPlainly &&
      one.allowed &&
      one.sheet.tier !== "inedible" &&
      one.mustsMissing.length === 0 &&
      one.misplaced.length === 0,
  );
  if (answering.length === 0) return undefined;
  const { bodies } = rule(judge(find, shelf()));
  return bodies.some((body) => body.verdict === "basket") ? answering.map((one) => one.sheet.id) : undefined;
}

/** The shelf without one sheet. */
export const withoutSheet = (knowledge: Knowledge, id: string): Knowledge =>
  shelve(knowledge.sheets.filter((sheet) => sheet.id !== id));

/** The shelf with another version of one sheet. */
export const withSheet = (knowledge: Knowledge, sheet: Sheet): Knowledge =>
  shelve(knowledge.sheets.map((one) => (one.id === sheet.id ? sheet : one)));

/** A sheet that forgot one state of each of so many characters, drawn at random among those that list more than one. */
export function forgetting(sheet: Sheet, states: number, chance: Chance): Sheet {
  const left = Object.entries(sheet.characters).flatMap(([id, table]) =>
    isCharacterId(id) && table !== undefined && statesOf(table).length > 1 ? [[id, table] as const] : [],
  );
  const characters = { ...sheet.characters };
  for (let forgotten = 0; forgotten < states && left.length > 0; forgotten += 1) {
    const index = Math.floor(chance.next() * left.length);
    const [chosen] = left.splice(index, 1);
    if (chosen === undefined) break;
    const [character, table] = chosen;
    const gone = pick(chance, statesOf(table));
    characters[character] = Object.fromEntries(
      AGES.flatMap((age) => {
        const listed = Object.entries(table[age] ?? {}).filter(([state]) => state !== gone);
        // an age at which it was the only one goes on saying that there is something else to expect
        return listed.length === 0 ? [] : [[age, Object.fromEntries(listed)]];
      }),
    );
  }
  return { ...sheet, characters };
}

const statesOf = (table: AgeTable): string[] => [...new Set(AGES.flatMap((age) => Object.keys(table[age] ?? {})))];
