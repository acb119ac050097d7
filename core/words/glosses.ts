/**
 * What the words mean, in one sentence each: the words of this program, and states whose names are no everyday words.
 * Basis: general usage of the field, from memory.
 */
import type { CharacterId } from "../find/vocabulary.ts";

/** A word of this program. */
export interface Gloss {
  readonly word: string;
  readonly means: string;
}

/** Words of the answer and of the record. */
export const WORD_GLOSSES: readonly Gloss[] = [
  { word: "danger", means: "a kind that kills or makes ill, and might be this one." },
  { word: "mistakes away", means: "so many separate things would have to be wrong for this to be that danger." },
  { word: "within one mistake", means: "one slip of the eye, or none at all, lies between the find and that danger." },
  { word: "touches this find", means: "nothing that was seen speaks against that danger yet." },
  {
    word: "ruled out",
    means: "so much speaks against it that your house rules call it far enough. It is never certainty.",
  },
  { word: "hard point", means: "something was seen that such a kind never shows." },
  { word: "soft point", means: "something was seen that seldom shows there. Soft points alone never rule out." },
  { word: "masked today", means: "it would tell, but proves nothing now: rain, frost, age or handling hides it." },
  {
    word: "set aside",
    means: "a sickener of another part of the world, which your house rule does not count. It is not ruled out.",
  },
  { word: "body", means: "one mushroom of the find. Each is looked at and judged on its own." },
  {
    word: "the foot is lost",
    means: "the lowest end was cut, broken or left behind, so nobody can say that no sac was there.",
  },
  {
    word: "the old one tells the spores",
    means: "gills take the colour of the spores with age: an old body shows what a young one hides.",
  },
  { word: "hold", means: "not enough is seen. It is nobody's food until it is." },
  { word: "leave it", means: "something speaks so strongly against it, or a rule of yours, that it stays out." },
  {
    word: "basket",
    means:
      "by what was seen, every danger on the shelf is far enough away to carry it home. It gives no leave to eat it.",
  },
  {
    word: "freeze",
    means: "what was decided, and what it rested on, is kept as it was; the record may go on changing.",
  },
  { word: "edition", means: "the sheets as they stood on a day; another edition may judge otherwise, and says so." },
  { word: "packet", means: "a find without its answer and its place, for somebody who knows to look at." },
  {
    word: "split card",
    means: "a card half black and half white: a pale print shows on the black half, a dark one on the white.",
  },
  { word: "Darwin Core", means: "a table of finds that herbaria and recorders exchange." },
];

type StateGlosses = Readonly<Partial<Record<CharacterId, Readonly<Record<string, string>>>>>;

/** States by character. */
export const STATE_GLOSSES: StateGlosses = {
  underside: {
    gills: "thin blades, as in a shop mushroom.",
    ridges: "blunt folds that run down the stem and do not come off like blades.",
    pores: "a sponge of small holes.",
    spines: "small hanging teeth.",
    enclosed: "closed all round, as in a ball or an egg: nothing can be seen before it is halved.",
  },
  "gill-attachment": {
    free: "the gills stop before the stem; a gap shows all round.",
    collared: "the gills join a small collar that stands off the stem.",
    adnexed: "the gills touch the stem with a narrow end only.",
    notched: "the gills have a small step just before the stem, as if bitten.",
    adnate: "the gills meet the stem with their whole height.",
    decurrent: "the gills run down the stem.",
  },
  "gill-spacing": {
    crowded: "so close that they can hardly be counted.",
    close: "close, but each can be told.",
    distant: "wide gaps between them.",
  },
  "short-gills": {
    tapering: "short gills between the long ones that thin out towards the stem.",
    "square-cut": "short gills between the long ones that end as if cut off.",
    "several-lengths": "short gills of several lengths.",
  },
  "cap-shape": {
    umbonate: "with a knob in the middle.",
    depressed: "with a shallow hollow in the middle.",
    dimpled: "with a small dent in the middle.",
    perforated: "hollow right through into the stem.",
    blocky: "as high as broad, with steep sides.",
    funnel: "deeply hollow, the edge up.",
    shelf: "a bracket that stands off wood.",
  },
  "cap-margin": {
    striate: "fine lines at the edge, like a comb.",
    incurved: "bent down and in.",
    inrolled: "rolled in tightly, as in young milkcaps.",
    "ragged-with-veil": "shreds of a veil hang from the edge.",
  },
  ring: {
    closed: "the veil still spans from the edge of the cap to the stem.",
    skirt: "a thin sheet that hangs down.",
    "grooved-skirt": "a hanging sheet with fine grooves on top.",
    cogwheel: "a double ring whose underside shows a toothed wheel.",
    "movable-collar": "a firm ring that slides up and down the stem.",
    felted: "a thick ring like blotting paper.",
    cottony: "a soft ring like wadding.",
    sheath: "a stocking that clothes the stem from below.",
    "fibrous-zone": "a band of fibres and no sheet.",
    cobweb: "threads like a spider's web between edge and stem.",
    remnants: "only scraps are left.",
  },
  "stem-surface": {
    fibrillose: "with fibres lying along it.",
    snakeskin: "with a pattern of zigzag bands.",
    net: "with raised lines that meet, like a net.",
    scabers: "with small dark tufts, as in birch boletes.",
    "velvety-darkening": "velvety, and darker from below as it ages.",
  },
  base: {
    tapered: "thinner towards its lower end.",
    rooting: "drawn out like a root.",
    bulb: "swollen into a round knob.",
    "abrupt-bulb": "swollen with a sharp edge on top.",
    "gutter-bulb": "swollen, with a gutter round the stem.",
    "clasping-rim": "a low rim clasps the stem.",
    "scaly-rings": "rings of scales above a swelling.",
    sac: "the stem stands in a loose bag: the mark of the deadliest kinds.",
    fused: "several stems grow out of one foot.",
  },
  bisection: {
    "uniform-white": "white and even all through, like fresh cheese: only then is a ball a puffball.",
    "embryo-outline": "the outline of a cap and a stem can be seen: an egg of something else, and it may be deadly.",
    "dark-inside": "purple or black inside.",
    "yellow-olive-inside": "yellow to olive: past it.",
    "jelly-layer": "a layer of jelly under the skin, as in the egg of a stinkhorn.",
  },
  "two-toned": { yes: "the cap dries from the middle, so that it shows two shades." },
  "stem-inside": {
    stuffed: "filled with looser stuff.",
    chambered: "with hollow rooms one above the other.",
  },
  "stem-texture": {
    "chalk-brittle": "snaps like chalk, without fibres.",
    cartilage: "bends and springs back like gristle.",
  },
};

/** What the states of a character mean, those that have a gloss; undefined where none has. */
export const glossesOf = (character: CharacterId): Readonly<Record<string, string>> | undefined =>
  STATE_GLOSSES[character];
