/**
 * States that people take for each other. Basis: common practice and memory, no source.
 *
 * Two tables, and they are not even. For dangers the table is generous: whatever may have been meant does not
 * contradict. For sought kinds it is of soft characters alone, so that no word for a curve or a shade ends a good find;
 * their hard characters and their musts have no neighbours.
 */
import { type CharacterId, definitionOf } from "./vocabulary.ts";

/** A group of states of which each is taken for each other one; of some characters only, where it says so. */
interface Alike {
  readonly of?: readonly CharacterId[];
  readonly states: readonly string[];
}

const among = (of: readonly CharacterId[], ...groups: string[]): readonly Alike[] =>
  groups.map((states) => ({ of, states: states.split(" ") }));

const ALIKE_OF_DANGERS: readonly Alike[] = [
  ...[
    "white cream",
    "cream buff",
    "buff yellow",
    "brown clay-brown rust-brown ochre",
    "chocolate-brown purple-brown brown",
    "lilac purple-grey",
    "grey grey-black",
    "red-brown brown",
    "brown tawny",
    "tawny orange",
    "ochre yellow",
    "ochre buff",
    "pink brown",
    "pinkish brown",
    "slight-blue strong-blue",
    "adnexed notched",
    "adnate adnexed",
    "crowded close",
    "skirt grooved-skirt",
    "bulb abrupt-bulb",
    "abrupt-bulb gutter-bulb clasping-rim sac",
    "aniseed almond coumarin",
    "hollow stuffed",
    "convex bell umbonate",
    "flat depressed",
    "plain incurved",
  ].map((states) => ({ states: states.split(" ") })),
  ...among(["ring"], "remnants none"),
  ...among(["stain-base"], "none faint-yellow"),
  ...among(["smell", "smell-heated"], "none mushroomy"),
];

const COLOURS: readonly CharacterId[] = [
  "cap-colour",
  "cap-colour-centre",
  "stem-colour",
  "stem-marking-colour",
  "ring-colour",
];

const ALIKE_OF_SOUGHT: readonly Alike[] = [
  ...among(
    ["cap-shape"],
    "egg ball bell",
    "ball convex blocky",
    "convex bell umbonate",
    "bell conical",
    "convex flat",
    "flat umbonate",
    "flat wavy",
    "flat depressed dimpled",
    "depressed funnel perforated",
    "depressed wavy",
    "convex wavy",
  ),
  ...among(["cap-margin"], "plain incurved inrolled", "plain upturned split", "plain ragged-with-veil"),
  ...among(
    ["cap-surface"],
    "smooth silky fibrillose",
    "smooth tacky slimy",
    "smooth wrinkled",
    "smooth powdery velvety",
    "velvety hairy",
    "cracked smooth",
    "fibrillose hairy",
    "soil-lifted smooth",
  ),
  ...among(
    COLOURS,
    "white cream",
    "cream buff",
    "buff ochre",
    "buff yellow",
    "buff brown",
    "cream yellow",
    "yellow ochre orange",
    "ochre tawny",
    "ochre brown",
    "tawny orange",
    "tawny brown red-brown",
    "orange red-brown",
    "orange red",
    "pink orange",
    "pink cream",
    "pink wine-red",
    "red wine-red",
    "wine-red red-brown",
    "wine-red purple",
    "purple lilac",
    "lilac grey",
    "lilac pink",
    "purple brown",
    "grey buff",
    "grey brown",
    "grey black",
    "brown black",
    "brown olive",
    "olive green",
    "olive yellow",
    "green yellow-green",
    "yellow-green yellow",
    "grey blue",
  ),
  ...among(
    ["stem-surface"],
    "smooth silky fibrillose",
    "fibrillose cottony",
    "smooth dotted",
    "smooth granular",
    "net smooth",
  ),
  ...among(["stem-inside"], "hollow stuffed", "solid stuffed", "hollow chambered"),
  ...among(["stem-texture"], "fibrous tough", "tough cartilage"),
  ...among(["smell", "smell-heated"], "none mushroomy", "aniseed almond"),
  ...among(["gill-spacing"], "crowded close"),
  ...among(["cap-zones"], "none blending"),
  ...among(["ring-place"], "high middle", "middle low"),
  ...among(["bend"], "flexible corky"),
  ...among(["two-toned"], "yes no"),
  ...among(["short-gills"], "none tapering several-lengths square-cut"),
  ...among(["gill-texture"], "brittle flexible"),
];

const compiled = (table: readonly Alike[]) => {
  const known = new Map<CharacterId, ReadonlyMap<string, readonly string[]>>();
  return (character: CharacterId, state: string): readonly string[] => {
    let ofCharacter = known.get(character);
    if (ofCharacter === undefined) {
      const { states } = definitionOf(character);
      const groups = table.filter(({ of }) => of === undefined || of.includes(character));
      ofCharacter = new Map(
        states.map((one) => [
          one,
          states.filter(
            (other) =>
              other !== one && groups.some((group) => group.states.includes(one) && group.states.includes(other)),
          ),
        ]),
      );
      known.set(character, ofCharacter);
    }
    return ofCharacter.get(state) ?? [];
  };
};

/** The states that keep a danger standing beside this one: whatever people take for it. */
export const dangerNeighbours = compiled(ALIKE_OF_DANGERS);

/** The states of a soft character that a sought kind is not ended by, where this one is listed. */
export const soughtNeighbours = compiled(ALIKE_OF_SOUGHT);
