/**
 * Drawn states told as they would be drawn, without their names: for whoever cannot see the drawing. Beside the glosses, which
 * tell the others. Basis: general usage of the field, from memory.
 */
import type { CharacterId } from "../find/vocabulary.ts";
import { STATE_GLOSSES } from "../words/glosses.ts";

type Told = Readonly<Partial<Record<CharacterId, Readonly<Record<string, string>>>>>;

const TOLD: Told = {
  "cap-shape": {
    egg: "closed all round and taller than broad, pointed a little at the top.",
    ball: "round and still closed over the stem.",
    bell: "narrow and high, its sides falling steeply and flaring a little at the edge.",
    conical: "rising in straight sides to a point.",
    convex: "an even, rounded vault.",
    flat: "spread out level, the edge as high as the middle.",
    wavy: "spread out, its edge going up and down.",
    perforated: "sunk in the middle, and open there right through into the stem.",
  },
  "cap-surface": {
    smooth: "bare skin without any mark on it.",
    silky: "fine shining hairs, pressed flat and running outwards.",
    fibrillose: "distinct threads lying on the skin and running outwards.",
    velvety: "a short even nap.",
    hairy: "tufts and threads that stand up.",
    slimy: "a thick wet layer that drips from the edge.",
    tacky: "a thin wet shine to which leaves cling.",
    scaly: "flakes in rings, thickest about the middle.",
    cracked: "the skin is split into plates with pale lines between.",
    powdery: "a dusting like flour.",
    wrinkled: "ridges and furrows running from the middle.",
    "soil-lifted": "a crust of earth that it pushed up with it.",
  },
  "cap-margin": {
    plain: "the edge ends clean, neither bent nor marked.",
    upturned: "the edge stands up higher than the middle.",
    split: "the edge is torn open here and there.",
  },
  "veil-on-cap": {
    none: "nothing lies on the skin.",
    "white-warts": "pale loose pieces are strewn over the skin.",
    "grey-warts": "ash-coloured loose pieces are strewn over the skin.",
    "tan-warts": "leather-coloured loose pieces are strewn over the skin.",
    "yellow-warts": "loose pieces of the colour of sulphur are strewn over the skin.",
    sheets: "one or two large pale rags lie on the skin.",
    powder: "loose flour lies on the skin and comes off on the finger.",
  },
  underside: {
    smooth: "nothing at all: skin without blades, holes or teeth.",
    honeycomb: "deep pits with ribs between, all over the head.",
    lobed: "folds and bulges like a brain.",
  },
  ring: {
    none: "the stem is bare from the cap down; nothing hangs on it or goes round it.",
    double: "two edges, one above the other.",
  },
  "stem-surface": {
    smooth: "bare skin without any mark on it.",
    silky: "a faint sheen of fine threads.",
    "scaly-below-ring": "bare above, with flakes from the ring downwards.",
    granular: "grains like semolina near the top.",
    cottony: "soft flocks of wadding.",
    dotted: "small dots all over.",
    net: "raised lines that cross and enclose small fields.",
  },
  "stem-inside": {
    solid: "flesh all through, as firm as outside.",
    stuffed: "a core of something looser than the rind.",
    hollow: "a tube with nothing in it.",
    chambered: "several hollows one above the other.",
  },
  base: {
    plain: "the stem goes into the ground as thick as it is above, with nothing round it.",
    "side-attached": "there is no stem: it sits with its flank on the wood.",
    "sits-on-ground": "there is no stem: it sits on the soil with its underside.",
  },
};

/** Smells, told by what they remind of: a nose has no drawing. */
const SMELLS: Readonly<Record<string, string>> = {
  mushroomy: "as a fresh one from the shop does, and of nothing else.",
  aniseed: "like fennel, or the clear spirit that turns milky with water.",
  almond: "like marzipan.",
  chemical: "like ink, a hospital corridor or a sticking plaster; stronger at the foot.",
  mealy: "like fresh flour, or the rind of a cucumber.",
  rancid: "like old flour or oil that has turned.",
  radish: "like the sharp white or red root that is eaten raw with salt.",
  floral: "like a heavy perfume or blossoms.",
  "fruity-apricot": "like dried orange stone fruit.",
  fishy: "like herring or crab, stronger when it is cooked.",
  honey: "like what bees make.",
  garlic: "like the bulb that keeps friends away.",
  urine: "like a place where somebody relieved themselves.",
  soapy: "like a bar for washing hands.",
  coconut: "like the flakes on a cake, or some sun oils.",
  smoky: "like a cold hearth.",
  nutty: "like hazels or walnuts.",
  sweet: "sugary, with no fruit to it.",
  litter: "like wet fallen leaves.",
  glue: "like what children paste paper with.",
  coumarin: "like new hay, or woodruff.",
};

/** A state of a drawn character, or a smell, told as it would be drawn or met; undefined where nobody has put it in words. */
export const toldDrawing = (character: CharacterId, state: string): string | undefined =>
  (character === "smell" ? SMELLS[state] : undefined) ?? TOLD[character]?.[state] ?? STATE_GLOSSES[character]?.[state];
