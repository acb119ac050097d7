/**
 * When the syndromes of mushroom poisoning usually begin, told against the clock. Hours from the meal. After the clinical
 * classification of White and others (Toxicon 157, 2019), from memory. None is ever closed because another fits, or because its
 * usual hours are past: one meal may hold several kinds.
 */

export interface OnsetWindow {
  readonly id: string;
  readonly name: string;
  /** Usual first and last hour of its beginning. */
  readonly usual: readonly [from: number, to: number];
  /** The last hour at which it was still seen to begin, where that is later. */
  readonly seenTo?: number;
  /** What makes it other than the rest. */
  readonly about: string;
}

const DAY = 24;

/** By their earliest hour; the order says nothing of how likely one is. */
export const ONSET_WINDOWS: readonly OnsetWindow[] = [
  {
    id: "coprine",
    name: "coprine",
    usual: [0.1, 1],
    seenTo: 5 * DAY,
    about: "counted from alcohol, up to five days after the meal",
  },
  { id: "muscarine", name: "muscarine", usual: [0.25, 2], about: "sweat, tears, spit, narrow pupils" },
  { id: "ibotenic-acid", name: "ibotenic acid and muscimol", usual: [0.5, 3], about: "confused, sees things, drowsy" },
  { id: "gut", name: "gut irritants", usual: [0.5, 4], about: "sick, cramps, loose" },
  { id: "gyromitrin", name: "gyromitrin", usual: [5, 12], seenTo: 2 * DAY, about: "from two hours to two days" },
  {
    id: "amatoxin",
    name: "amatoxin (liver)",
    usual: [6, DAY],
    seenTo: 36,
    about: "sick, then seeming better, then the liver",
  },
  { id: "rhabdomyolysis", name: "muscle breakdown", usual: [DAY, 3 * DAY], about: "weak, aching, dark urine" },
  {
    id: "orellanine",
    name: "orellanine (kidneys)",
    usual: [2 * DAY, 20 * DAY],
    about: "thirst, little urine, days later",
  },
];

/** How a window stands at an hour. Its usual hours being past closes nothing. */
export type WindowState = "to-come" | "usual-hours" | "usual-hours-past";

export const WINDOW_WORDS: Readonly<Record<WindowState, string>> = {
  "to-come": "may still begin",
  "usual-hours": "may begin now",
  "usual-hours-past": "its usual hours are past; it is not ruled out",
};

/** @param hours since the meal; a meal in the future counts as eaten now */
export function windowState({ usual, seenTo }: OnsetWindow, hours: number): WindowState {
  const [from, to] = usual;
  if (hours < from) return "to-come";
  return hours <= Math.max(to, seenTo ?? 0) ? "usual-hours" : "usual-hours-past";
}

/** The most urgent first: of several meals the one that counts is that from which a window may begin now. */
const URGENCY: readonly WindowState[] = ["usual-hours", "to-come", "usual-hours-past"];

/**
 * Every window with its state at a moment: always all of them, counted from every meal.
 * @param meals when each was eaten; none: nothing is known, and everything may still begin
 * @throws RangeError for a time that is none
 */
export function windowsAt(
  meals: readonly Date[],
  now: Date,
): readonly (OnsetWindow & { readonly state: WindowState })[] {
  const hours = meals.map((eatenAt) => (now.getTime() - eatenAt.getTime()) / 3_600_000);
  if (hours.some(Number.isNaN)) throw new RangeError("a meal needs a time");
  return ONSET_WINDOWS.map((one) => {
    const states = new Set(hours.map((since) => windowState(one, Math.max(0, since))));
    return { ...one, state: URGENCY.find((state) => states.has(state)) ?? "to-come" };
  });
}
