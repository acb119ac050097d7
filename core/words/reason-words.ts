/** The sentences of an answer: of each reason, each stop sign, each condition. The judge gives facts, and nothing is worded elsewhere. */
import { wordList } from "../find/words.ts";
import { PALE_FUNNEL_BELOW_CM } from "../judge/stop-rules.ts";

/** How many are named before the rest is counted. */
export const NAMED = 3;

/** The first few of some names, and how many more. */
export function firstFew(names: readonly string[], joined?: "and"): string {
  const more = names.length - NAMED;
  const named = names.slice(0, NAMED);
  return wordList(more > 0 ? [...named, `${more} more`] : named, joined);
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const NOTHING_AGAINST = "Nothing seen speaks against";
const AWAY = [NOTHING_AGAINST, "One mistake away", "Two mistakes away", "Three mistakes away"];

/** A danger that stands, as its sentence needs it. */
export interface StandingDanger {
  readonly name: string;
  readonly mistakes: number;
  /** It is farther than one mistake, but nothing hard speaks against it. */
  readonly softOnly: boolean;
}

function awayWords({ mistakes, softOnly }: StandingDanger): string {
  if (mistakes === 0) return NOTHING_AGAINST;
  const away = AWAY[mistakes] ?? `${mistakes} mistakes away`;
  return mistakes > 1 && softOnly ? `${away}, but by soft points alone` : away;
}

/**
 * The dangers that stand: the first few by name, together with those as far, and how many more.
 * @param dangers at least the first few of them
 * @param count how many stand in all
 */
export function dangersStand(dangers: readonly StandingDanger[], count = dangers.length): string {
  const named = dangers.slice(0, NAMED).map((one) => ({ name: one.name, away: awayWords(one) }));
  const sentences = [...new Set(named.map((one) => one.away))].map((away) => {
    const names = named.filter((one) => one.away === away).map((one) => one.name);
    return away === NOTHING_AGAINST ? `${away} ${wordList(names)}.` : `${away}: ${wordList(names, "and")}.`;
  });
  const more = count - named.length;
  return [...sentences, ...(more > 0 ? [`${more} more ${more === 1 ? "stands" : "stand"}.`] : [])].join(" ");
}

/** The sentences of reasons that need facts, and those that need none. */
export const REASON_WORDS = {
  onlyDangersFit: (names: readonly string[]) =>
    `Of all the sheets only ${wordList(names.slice(0, NAMED), "and")} ${names.length === 1 ? "fits" : "fit"}.`,
  unknownKind: "It fits no sheet on this shelf. What is unknown stays out.",
  nearFit: (name: string, but: string, others: readonly string[]) => {
    const also =
      others.length === 0 ? "" : ` ${capital(firstFew(others))} ${others.length === 1 ? "comes" : "come"} as near.`;
    return `It would be ${name} but for ${but}. Look again, or take another body.${also}`;
  },
  mustsMissing: (name: string, missing: readonly string[]) =>
    `If it is ${name}, still to be seen: ${wordList(missing, "and")}.`,
  doubt: (doubt: string) => `In doubt: ${doubt}.`,
  nothingKeptFits: "Nothing that still fits is for the pot.",
  nothingKept: "No body of this find is marked to be kept.",
  inedibleFits: (names: readonly string[]) =>
    `It may still be ${firstFew(names)}, which ${names.length === 1 ? "is" : "are"} not for the pot.`,
  refusedKindFits: (names: readonly string[], rules: readonly string[]) =>
    `It may still be ${firstFew(names)}, which the house rules refuse (${rules.join("; ")}).`,
  houseRule: (names: readonly string[], rules: readonly string[]) =>
    `Of the kinds that are sought only ${firstFew(names)} would fit, and a house rule of yours leaves that (${rules.join("; ")}).`,
  speciesOpen: "The house rule asks for one species, and more than one still fits.",
  oneFeature: "One feature alone never decides.",
  allRuledOut: (names: readonly string[], genera: readonly string[]) =>
    `Every danger on this shelf that counts here is ruled out for every body that is kept, and it fits ${wordList(names)}. The shelf holds ${wordList(genera, "and")}, and knows no others.`,
  ofGenus: (known: number, all: number, genus: string) => `${known} of about ${all} kinds of ${genus}`,
  outOfRegion: (name: string, region: string) =>
    `${capital(name)} is not told of ${region.replaceAll("-", " ")}: there another kind may look like it.`,
  outOfSeason: (name: string, months: string, isThere: boolean, month: string | undefined) =>
    `${capital(name)} is a kind of ${months}${isThere ? " there" : ""}; what looks like it in ${month} may be another.`,
  outOfHeight: (name: string, low: number, high: number, stood: number) =>
    `${capital(name)} is told of ${low} to ${high} m; this one stood at ${stood} m.`,
  frostOpen: "It is frozen, and not every kind that it may be bears frost.",
  uncleanGround: (what: string) => `The ground is not clean: ${what}.`,
  mushy: "It is mushy: left, past it.",
  soft: "It is soft: left, past it.",
  sodden: "It is sodden.",
  frosted: "It is frozen, and its kind does not bear frost.",
  driedOut: (body: string) => `${body} has dried out where it stood: look for a fresh one, or come back after rain.`,
  riddled: "The part that would be kept is riddled with tunnels.",
  larvae: "It has larvae, and the house rule is none.",
  printPending: (body: string, hours: number) =>
    `The print of ${body} is still under its cup. It wants ${hours} hours at the least, overnight as a rule.`,
  otherBodyStops: (body: string) =>
    `Body ${body} of this find shows a stop sign: are there two kinds here? Split the find.`,
  baseLost: (names: readonly string[]) =>
    `The foot is lost, and ${wordList(names.slice(0, NAMED), "and")} cannot be ruled out without it.`,
  onlyButtons: (name: string) =>
    `Only buttons here, and a button of ${name} looks the same: leave them to grow on, or find an older one.`,
} as const;

/** Signs of which each alone is enough to leave a body where it is. */
export const STOP_SIGN_WORDS = {
  "white-gills-with-ring-or-foot":
    "White gills that stay white together with a ring, a sac, a bulb or warts: the mark of the deadly amanitas.",
  "sac-with-pale-cap": "A sac at the foot with a pale cap, and no brown, pink or black spores seen.",
  "embryo-or-dark-inside": "Halved, it shows the outline of an unborn mushroom or is dark inside.",
  "chrome-at-the-foot": "Chrome yellow at once where the foot was nicked: the yellow stainer and its kin.",
  "ink-smell": "It smells of ink or of a hospital floor.",
  "green-spores": "A green print, or gills going green.",
  "unpleasant-smell": "A smell that nobody can name and nobody likes.",
  "red-pores-or-strong-blue": "Red or orange pores, or strong blue at once all through the cut.",
  "small-brown-on-wood":
    "A small brown gilled mushroom with a ring or cobweb on wood, chips or moss: the funeral bell looks like this.",
  "greenish-gills-in-cluster": "Clustered on wood with greenish-yellow gills.",
  "rust-print-with-cobweb": "Rust-brown spores with a cobweb: a webcap.",
  "small-pale-funnel": `A pale funnel under ${PALE_FUNNEL_BELOW_CM} cm: every one is refused, also beside a large one.`,
} as const;
export type StopCode = keyof typeof STOP_SIGN_WORDS;

/** What must still happen before anything is cooked. */
export const CONDITION_WORDS = {
  "second-person": "Show it to somebody who knows this kind, with the specimen in hand.",
  "two-books": "Compare it with the full description in two books: every feature has to match.",
  "cook-through": "Cook it well: fifteen minutes and more.",
  "small-first-portion": "The first time, a small portion of this one kind, then wait until the next morning.",
  "keep-one-raw": "Keep a raw one back in the cold until the meal is well past.",
  "no-alcohol": "Never with alcohol, three days before and three days after.",
  "raw-poisonous": "Raw it is poisonous: keep it apart from all that is eaten raw.",
  "boil-first": "Boil it first and throw that water away, then cook it.",
  "skin-off": "The skin comes off before cooking.",
  "tubes-off": "The tubes come off before cooking.",
  "infusion-only": "Too tough for the pan: for infusions only, and nothing is claimed for it.",
  "cap-only": "Keep the cap only: the stem is riddled.",
  "weather-untold":
    "Nobody told whether there was frost last night. If there was, stain and smell prove nothing: tell it, and look at the answer again.",
  "ground-judged": "You judged this ground clean yourself. The program does not know it.",
} as const;
export type ConditionCode = keyof typeof CONDITION_WORDS;
export const CONDITION_CODES = Object.keys(CONDITION_WORDS) as readonly ConditionCode[] as readonly [
  ConditionCode,
  ...ConditionCode[],
];
