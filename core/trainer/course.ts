/** The course of a poisoning, told soberly to whoever let the danger through. From memory, after the clinical classification of White and others (Toxicon 157, 2019). */
import type { Sheet } from "../knowledge/sheet.ts";

/** By the first words of a sheet's syndrome. */
const COURSES: readonly (readonly [begins: string, course: string])[] = [
  [
    "amatoxin",
    "Vomiting and watery stools for a day, then a day that feels better while the liver fails. Some need another liver; some die after a week.",
  ],
  [
    "early kidney",
    "Sickness within half a day, then the kidneys fail over some days. Most recover after weeks of dialysis.",
  ],
  [
    "late kidney",
    "Nothing for days, then thirst, pain in the back and little urine. By then the kidneys are damaged, often for good.",
  ],
  [
    "gyromitrin",
    "Sickness, headache, then fits and damage to liver and blood. Some die; a second meal is worse than the first.",
  ],
  ["muscarine", "Sweat, tears, spit, narrow pupils and a slow heart. There is an antidote, where a hospital is near."],
  [
    "ibotenic",
    "Confused, drowsy and seeing things by turns; cramps, seldom a coma. Most are well after a day under watch.",
  ],
  ["psilocybin", "Seeing things and fear for some hours; small children may have fits."],
  ["muscle breakdown", "Muscles ache and dissolve, urine turns dark, heart and kidneys follow. Some die."],
  [
    "blood-cell",
    "After many meals without harm one in which the blood is destroyed by the body's own defence. Some die.",
  ],
  ["trichothecenes", "Sickness, then skin and blood-forming marrow fail. A mouthful has killed."],
  ["heart", "The heart stumbles, some fall dead days after the meal."],
  ["brain", "Fits and a brain that swells, above all in people whose kidneys are weak. Some die."],
  ["with alcohol", "With alcohol, even days later: a red face, a racing heart, sickness. It passes."],
  ["burning pain", "Fingers and toes burn for weeks, and little helps."],
  ["gut", "Vomiting, cramps and loose stools for a day or two. Dangerous for children and old people, who dry out."],
];
const NOT_KNOWN = "What it does is not well known; people were harmed by it.";

/** What follows when this kind is eaten, with the hours until it begins. */
export function courseOf({ syndrome = "", onsetHours }: Sheet): string {
  const course = COURSES.find(([begins]) => syndrome.startsWith(begins))?.[1] ?? NOT_KNOWN;
  if (onsetHours === undefined) return course;
  const [from, to] = onsetHours;
  return `It begins ${timeWords(from)} to ${timeWords(to)} after the meal. ${course}`;
}

function timeWords(hours: number): string {
  if (hours >= 48) return `${Math.round(hours / 24)} days`;
  if (hours < 1) return `${Math.round(hours * 60)} minutes`;
  return hours === 1 ? "an hour" : `${hours} hours`;
}
