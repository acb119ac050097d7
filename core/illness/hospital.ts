/**
 * The paper for the hospital: what was eaten by whom, what is felt since when, what was found and how far each danger was when it
 * was decided, what is kept and where, who named it. It says nothing of what it means; doctors do.
 */
import type { Find, Place } from "../find/schema.ts";
import { CHARACTER_WORDS, stateWords } from "../find/words.ts";
import { type Account, standingMeals } from "./account.ts";
import { WINDOW_WORDS, windowsAt } from "./windows.ts";

/** Somebody who ate, as far as the device knows them. */
export interface EaterThen {
  readonly name: string;
  readonly ageYears?: number | undefined;
  readonly weightKg?: number | undefined;
  readonly medicines?: string | undefined;
}

/** A danger as it stood when the find was decided. */
export interface DangerThen {
  readonly name: string;
  readonly mistakes: number;
  readonly syndrome?: string | undefined;
  readonly onsetHours?: readonly [number, number] | undefined;
}

/** A find that was eaten of. */
export interface EatenFind {
  readonly find: Find;
  readonly takenAs: readonly string[];
  readonly decidedAt: string;
  /** Nearest first. Undefined where the sheets cannot be had. */
  readonly dangers: readonly DangerThen[] | undefined;
  /** Who had it in the hand besides the finder, and books that were compared. */
  readonly witnesses: readonly string[];
  /** Ids of the pictures that were taken of it. */
  readonly pictures: readonly string[];
}

/** A meal or tasting out of the log. */
export interface LoggedMeal {
  readonly id: string;
  readonly eatenAt: string;
  /** Kinds, amounts a person, how cooked, what was drunk; in a line. */
  readonly what: string;
  readonly eaters: readonly EaterThen[];
  readonly finds: readonly EatenFind[];
  /** What is kept raw or dried, and where. */
  readonly kept: readonly string[];
}

export interface HospitalPaper {
  readonly title: string;
  readonly sections: readonly { readonly title: string; readonly lines: readonly string[] }[];
  readonly finds: readonly EatenFind[];
}

/** The clock of whoever makes the paper. */
export interface Clock {
  readonly now: Date;
  /** A moment in the words of the place. */
  readonly at: (iso: string) => string;
  readonly dateOf: (iso: string) => Date;
}

/** As many dangers of a find as are told; the nearest. */
const TOLD_DANGERS = 8;

/**
 * The words of the paper.
 * @param logged the meals of the log that the account names
 */
export function hospitalPaper(
  account: Account,
  logged: readonly LoggedMeal[],
  { now, at, dateOf }: Clock,
): HospitalPaper {
  const standing = account.filter((one) => one.struckAt === undefined);
  const meals = standingMeals(account);
  const named = logged.filter(({ id }) => meals.some((meal) => meal.logged === id));
  const hours = (iso: string) => `${Math.round((now.getTime() - Date.parse(iso)) / 360_000) / 10} h before this paper`;
  const finds = [...new Map(named.flatMap((meal) => meal.finds).map((one) => [one.find.id, one])).values()];
  const eaters = [...new Map(named.flatMap((meal) => meal.eaters).map((one) => [one.name, one])).values()];
  const dates = meals.map((meal) => dateOf(meal.eatenAt));
  return {
    title: "Mushrooms were eaten",
    sections: [
      {
        title: "Who ate",
        lines:
          eaters.length === 0
            ? ["Not told on this device. Everybody who ate is looked at, also those who feel well."]
            : [...eaters.map(eaterWords), "Everybody who ate is looked at, also those who feel well."],
      },
      {
        title: "What was eaten, and when",
        lines:
          meals.length === 0
            ? ["Not told yet."]
            : meals.map((meal) => `${at(meal.eatenAt)} (${hours(meal.eatenAt)}): ${meal.what}`),
      },
      {
        title: "What is felt",
        lines: orNone(
          standing.flatMap((one) =>
            one.kind === "felt"
              ? [`${one.who === "" ? "Somebody" : one.who}: ${one.what}, since ${at(one.since)} (${hours(one.since)})`]
              : [],
          ),
          "Nothing is told yet.",
        ),
      },
      {
        title: "Still open by the clock, whatever else fits; none is ruled out",
        lines: windowsAt(dates, now).map(
          ({ name, about, usual: [from, to], state }) =>
            `${name}: usually ${hoursWords(from)} to ${hoursWords(to)} after the meal; ${about}${meals.length === 0 ? "" : `; ${WINDOW_WORDS[state]}`}`,
        ),
      },
      ...finds.map((one) => findSection(one, at)),
      {
        title: "What is kept",
        lines: orNone(
          [...new Set(named.flatMap((meal) => meal.kept))],
          "Nothing is told of it. Keep leftovers, peelings, vomit, the raw one, the dried slice, and take them along.",
        ),
      },
      {
        title: "This paper",
        lines: [
          `Made ${at(now.toISOString())} on the person's own device, of what they wrote down. It diagnoses nothing. Early sickness does not exclude a late liver poison: one meal may hold several kinds.`,
        ],
      },
    ],
    finds,
  };
}

const orNone = (lines: readonly string[], none: string): readonly string[] => (lines.length === 0 ? [none] : lines);

const eaterWords = ({ name, ageYears, weightKg, medicines }: EaterThen): string =>
  [
    name,
    ageYears === undefined ? "age not told" : `${ageYears} years`,
    weightKg === undefined ? "weight not told" : `${weightKg} kg`,
    medicines === undefined ? "medicines not told" : `medicines: ${medicines}`,
  ].join(", ");

function findSection({ find, takenAs, decidedAt, dangers, witnesses }: EatenFind, at: (iso: string) => string) {
  const nearest = (dangers ?? [])
    .slice(0, TOLD_DANGERS)
    .map(
      ({ name, mistakes, syndrome, onsetHours }) =>
        `${name}: ${mistakes} ${mistakes === 1 ? "mistake" : "mistakes"} away${syndrome === undefined ? "" : `; ${syndrome}`}${onsetHours === undefined ? "" : `, onset ${hoursWords(onsetHours[0])} to ${hoursWords(onsetHours[1])}`}`,
    );
  return {
    title: `The find: ${find.label ?? "without a name"}`,
    lines: [
      `Taken for ${takenAs.join(" or ")}; decided ${at(decidedAt)}${placeWords(find.place)}.`,
      witnesses.length === 0 ? "Nobody else had it in the hand." : `Besides the finder: ${witnesses.join("; ")}.`,
      ...(dangers === undefined
        ? ["How far the dangers were cannot be told here: the sheets are not to be had."]
        : ["Dangers by the separate mistakes that they were away when it was decided, nearest first:", ...nearest]),
      ...find.bodies.map((body) => `${body.id} (${body.age ?? "age not told"}): ${seenWords(find, body.id)}`),
    ],
  };
}

const placeWords = (place: Place | undefined): string => (place?.name === undefined ? "" : `; found at ${place.name}`);

function seenWords(find: Find, id: string): string {
  const seen = find.bodies.find((body) => body.id === id)?.seen ?? [];
  const looks = seen.flatMap(({ character, states, sure }) =>
    states === undefined
      ? []
      : [
          `${CHARACTER_WORDS[character].plain} ${states.map((state) => stateWords(character, state)).join(" and ")}${sure === false ? " (unsure)" : ""}`,
        ],
  );
  return looks.length === 0 ? "not looked at" : `${looks.join("; ")}.`;
}

function hoursWords(hours: number): string {
  if (hours < 1) return `${Math.round(hours * 60)} min`;
  return hours > 48 ? `${Math.round(hours / 24)} days` : `${hours} h`;
}
