/** Where practitioners differ: each matter with its schools and their reasons, and the default. */
import type { Find, Rules } from "../find/schema.ts";
import { DEFAULT_RULES } from "../judge/condition.ts";

/** One school of a matter. */
export interface School {
  readonly value: string | number;
  readonly name: string;
  readonly reason: string;
}

/** A matter on which practitioners differ and that the judgement can be set to. */
export interface HouseRule {
  readonly rule: keyof Rules;
  readonly matter: string;
  /** Strictest first. */
  readonly schools: readonly School[];
}

/** The matters, in the order of the work (common practice, no source). */
export const HOUSE_RULES: readonly HouseRule[] = [
  {
    rule: "amanitas",
    matter: "Amanitas for food",
    schools: [
      {
        value: "never",
        name: "never, whatever it is",
        reason: "The deadliest kinds are of this genus, and one slip is the last.",
      },
      {
        value: "known",
        name: "the well-known ones, cooked",
        reason: "Some are eaten by people who know the genus from their own hands.",
      },
    ],
  },
  {
    rule: "smallBrown",
    matter: "Small brown ones on wood",
    schools: [
      {
        value: "never",
        name: "never",
        reason: "The funeral bell shares their stumps, their clusters and their looks.",
      },
      {
        value: "known",
        name: "the sheathed woodtuft, by those who know the funeral bell",
        reason: "Sheath and scales seen on every single body, by people who had the funeral bell in their own hands.",
      },
    ],
  },
  {
    rule: "naming",
    matter: "Depth of naming",
    schools: [
      {
        value: "species",
        name: "to species, or not at all",
        reason: "What has no name has no description to compare.",
      },
      {
        value: "group",
        name: "to a group, all of them good",
        reason: "One of three, all of them good, is a full answer; the strictest handling of the three applies.",
      },
    ],
  },
  {
    rule: "distance",
    matter: "Distance asked of every danger",
    schools: [
      {
        value: 3,
        name: "three mistakes",
        reason: "For people in their first years, whose single looks are less sure.",
      },
      {
        value: 2,
        name: "two mistakes, one of them hard",
        reason: "Two separate slips on one body are rare in practised hands.",
      },
    ],
  },
  {
    rule: "upsetters",
    matter: "Scaber stalks, honey fungus, clouded funnel and other upsetters",
    schools: [
      { value: "leave", name: "leave them", reason: "They make some people ill however well they are cooked." },
      {
        value: "cooked",
        name: "eat them well cooked, a small portion first",
        reason: "Many eat them all their lives.",
      },
    ],
  },
  {
    rule: "foreignSickeners",
    matter: "Sickeners of other continents",
    schools: [
      {
        value: "count",
        name: "count all of them",
        reason: "Kinds travel with timber and plants, and nobody in their first years should have to know which.",
      },
      {
        value: "aside",
        name: "set aside where the region is told",
        reason: "They are named and not hidden; deadly and serious kinds are never set aside.",
      },
    ],
  },
  {
    rule: "dirtyGround",
    matter: "Town, verge, graveyard",
    schools: [
      { value: "never", name: "never", reason: "Fungi gather lead, mercury and arsenic, and nobody sees it." },
      {
        value: "judged",
        name: "where there is reason to think the ground clean",
        reason: "Not every verge is a motorway's; the person answers for it.",
      },
    ],
  },
  {
    rule: "larvae",
    matter: "Larvae",
    schools: [
      { value: "none", name: "none", reason: "A matter of taste, and of keeping." },
      { value: "few", name: "a few", reason: "They do no harm; riddled ones are past it." },
      { value: "trim", name: "cut away what is bad", reason: "A clean cap on a riddled stem is a clean cap." },
    ],
  },
];

/** Rules for people in their first years: every matter at its strictest, and three mistakes. */
export const FIRST_YEARS: Rules = {
  amanitas: "never",
  smallBrown: "never",
  naming: "species",
  upsetters: "leave",
  dirtyGround: "never",
  larvae: "none",
  distance: 3,
  foreignSickeners: "count",
};

/** Whether a value of a rule is the default. */
export const isDefault = (rule: keyof Rules, value: string | number): boolean => DEFAULT_RULES[rule] === value;

/**
 * Whether a person's own finds show the experience that a value rests on. The woodtuft may be allowed only by somebody
 * whose record holds a funeral bell that they looked at: named so, or decided as looked at to learn it.
 * @returns why not, or undefined where nothing is missing
 */
export function experienceMissing(
  rule: keyof Rules,
  value: string | number,
  finds: readonly Find[],
): string | undefined {
  if (rule !== "smallBrown" || value !== "known") return undefined;
  const isBell = (find: Find) =>
    find.takenFor === "galerina-marginata" &&
    find.bodies.some((body) => body.ending === "looked-at-only" || body.ending === "named-for-interest") &&
    find.bodies.some(
      (body) =>
        (body.seen ?? []).filter((entry) => entry.states !== undefined && entry.method !== "picture").length >=
        LOOKED_AT,
    );
  return finds.some(isBell)
    ? undefined
    : "Your record holds no funeral bell that you looked at: record one as taken for it, at least five characters, and decide it as looked at only.";
}

/** So many characters of a kind make a look at it. */
const LOOKED_AT = 5;
