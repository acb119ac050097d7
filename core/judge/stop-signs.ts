/**
 * Signs each of which alone is enough to leave a body where it is.
 *
 * Little is needed to refuse: an unsure look stops as well as a sure one, and no mask excuses it.
 * Basis: common practice, no source.
 */
import type { CharacterId } from "../find/vocabulary.ts";
import type { BodyScene, Scene } from "./scene.ts";

/** Funnel-shaped white-to-buff caps below this are refused; the deadly ones are 2 to 4 cm. */
export const PALE_FUNNEL_BELOW_CM = 10;
/** Caps of the small brown kinds in question stay below this (memory). */
export const SMALL_BROWN_BELOW_CM = 8;

/** A named reason to leave a body. */
export interface StopSign {
  readonly code: string;
  readonly text: string;
}

/** What a stop sign may ask about one body: what was seen on it, on the site, and whether a sought sheet excuses it. */
export interface StopQuestion {
  readonly scene: Scene;
  readonly body: BodyScene;
  /** Whether an allowed sought sheet that nothing contradicts lists all of these states for a grown body. */
  readonly aimedAt: (states: readonly (readonly [CharacterId, string])[]) => boolean;
  readonly smallBrownAllowed: boolean;
}

interface Rule extends StopSign {
  readonly holds: (question: StopQuestion, sees: Sees) => boolean;
}
type Sees = (character: CharacterId, ...states: string[]) => boolean;

const PALE_CAPS = ["white", "cream", "buff"];
const SAC_PALE_CAPS = [...PALE_CAPS, "yellow", "yellow-green", "grey", "pink", "olive", "green"];
const REAL_RINGS = [
  "skirt",
  "grooved-skirt",
  "cogwheel",
  "movable-collar",
  "felted",
  "cottony",
  "double",
  "sheath",
  "fibrous-zone",
  "remnants",
];
const FEET = ["sac", "bulb", "abrupt-bulb", "gutter-bulb", "clasping-rim", "scaly-rings"];
const WARTS = ["white-warts", "grey-warts", "tan-warts", "yellow-warts", "sheets"];
const DEAD_WOOD = ["standing-dead-wood", "stump", "fallen-wood", "living-trunk", "buried-wood", "wood-chips"];
const SPORE_COLOURED_GILLS = ["pink", "brown", "clay-brown", "rust-brown", "chocolate-brown", "black", "purple-grey"];
const SPORE_COLOURED_PRINTS = [
  "pink",
  "clay-brown",
  "rust-brown",
  "chocolate-brown",
  "purple-brown",
  "olive-brown",
  "black",
];

const isGrown = ({ body }: BodyScene): boolean => body.age === "mature" || body.age === "old";
const isGilled = (sees: Sees, body: BodyScene): boolean => !body.looks.has("underside") || sees("underside", "gills");

const RULES: readonly Rule[] = [
  {
    code: "white-gills-with-ring-or-foot",
    text: "White gills that stay white together with a ring, a sac, a bulb or warts: the mark of the deadly amanitas.",
    holds: ({ body, aimedAt }, sees) => {
      const pale = (isGrown(body) && sees("gill-colour", "white", "cream")) || sees("spore-print", "white");
      if (!pale) return false;
      const marks: (readonly [CharacterId, string])[] = [
        ...REAL_RINGS.filter((state) => sees("ring", state)).map((state) => ["ring", state] as const),
        ...FEET.filter((state) => sees("base", state)).map((state) => ["base", state] as const),
        ...WARTS.filter((state) => sees("veil-on-cap", state)).map((state) => ["veil-on-cap", state] as const),
      ];
      const gills = (["white", "cream"] as const).filter((state) => sees("gill-colour", state));
      return marks.length > 0 && !aimedAt([...marks, ...gills.map((state) => ["gill-colour", state] as const)]);
    },
  },
  {
    code: "sac-with-pale-cap",
    text: "A sac at the foot with a pale cap, and no brown, pink or black spores seen.",
    holds: (_question, sees) =>
      sees("base", "sac", "clasping-rim") &&
      sees("cap-colour", ...SAC_PALE_CAPS) &&
      !sees("gill-colour", ...SPORE_COLOURED_GILLS) &&
      !sees("spore-print", ...SPORE_COLOURED_PRINTS),
  },
  {
    code: "embryo-or-dark-inside",
    text: "Halved, it shows the outline of an unborn mushroom or is dark inside.",
    holds: (_question, sees) => sees("bisection", "embryo-outline", "dark-inside"),
  },
  {
    code: "chrome-at-the-foot",
    text: "Chrome yellow at once where the foot was nicked: the yellow stainer and its kin.",
    holds: ({ body }, sees) => {
      const slow = (body.looks.get("stain-base")?.speed ?? body.looks.get("stain-speed")?.states.join()) === "slow";
      return isGilled(sees, body) && sees("stain-base", "chrome-yellow") && !slow;
    },
  },
  {
    code: "ink-smell",
    text: "It smells of ink or of a hospital floor.",
    holds: (_question, sees) => sees("smell", "chemical"),
  },
  {
    code: "green-spores",
    text: "A green print, or gills going green.",
    holds: ({ body }, sees) => sees("spore-print", "green") || (isGilled(sees, body) && sees("gill-colour", "green")),
  },
  {
    code: "unpleasant-smell",
    text: "A smell that nobody can name and nobody likes.",
    holds: (_question, sees) => sees("smell", "unpleasant-unnamed"),
  },
  {
    code: "red-pores-or-strong-blue",
    text: "Red or orange pores, or strong blue at once all through the cut.",
    holds: ({ body }, sees) => {
      if (!sees("underside", "pores") && !body.looks.has("pore-colour")) return false;
      return (
        sees("pore-colour", "red", "orange") || sees("stain-cut", "strong-blue") || sees("stain-stem", "strong-blue")
      );
    },
  },
  {
    code: "small-brown-on-wood",
    text: "A small brown gilled mushroom with a ring or cobweb on wood, chips or moss: the funeral bell looks like this.",
    holds: ({ scene, body, smallBrownAllowed }, sees) => {
      const brown =
        sees("gill-colour", "brown", "clay-brown", "rust-brown") || sees("spore-print", "clay-brown", "rust-brown");
      const ringed = sees("ring", ...REAL_RINGS, "cobweb", "closed");
      const onWood = sees("substrate", ...DEAD_WOOD, "moss");
      const small = (body.body.measures?.capCm ?? 0) < SMALL_BROWN_BELOW_CM;
      if (!(isGilled(sees, body) && brown && ringed && onWood && small)) return false;
      const sheathed = (one: BodyScene) =>
        showsSurely(one, "ring", "sheath") && showsSurely(one, "stem-surface", "scaly-below-ring");
      return !(smallBrownAllowed && scene.kept.every(sheathed));
    },
  },
  {
    code: "greenish-gills-in-cluster",
    text: "Clustered on wood with greenish-yellow gills.",
    holds: (_question, sees) =>
      sees("growth", "dense-cluster", "small-tufts") &&
      sees("substrate", ...DEAD_WOOD) &&
      sees("gill-colour", "olive-green", "green"),
  },
  {
    code: "rust-print-with-cobweb",
    text: "Rust-brown spores with a cobweb: a webcap.",
    holds: (_question, sees) =>
      (sees("spore-print", "rust-brown") || sees("gill-colour", "rust-brown")) && sees("ring", "cobweb"),
  },
  {
    code: "small-pale-funnel",
    text: `A pale funnel under ${PALE_FUNNEL_BELOW_CM} cm: every one is refused, also beside a large one.`,
    holds: ({ body }, sees) => {
      const { capCm } = body.body.measures ?? {};
      return (
        isGilled(sees, body) &&
        sees("cap-shape", "funnel") &&
        sees("cap-colour", ...PALE_CAPS) &&
        capCm !== undefined &&
        capCm < PALE_FUNNEL_BELOW_CM
      );
    },
  },
];

function showsSurely(body: BodyScene, character: CharacterId, state: string): boolean {
  const look = body.looks.get(character);
  return look?.sure === true && look.states.every((one) => one === state);
}

/** The stop signs that hold for one body. */
export function stopSignsOf(question: StopQuestion): readonly StopSign[] {
  const sees: Sees = (character, ...states) => {
    const look = question.body.looks.get(character) ?? question.scene.site.get(character);
    return look?.states.some((state) => states.includes(state)) ?? false;
  };
  return RULES.filter((rule) => rule.holds(question, sees)).map(({ code, text }) => ({ code, text }));
}
