/**
 * The pairs that people mix up and what they look at to tell them apart. The two sheets of a pair must differ there.
 * Basis: common practice, no source.
 */
import type { CharacterId } from "../find/vocabulary.ts";
import type { MEASURES } from "../knowledge/tables.ts";

/** Something to look at, or a measure. */
export type Telling = CharacterId | (typeof MEASURES)[number];

export interface PairOfPractice {
  readonly kinds: readonly (readonly string[])[];
  /** In each of these the sheets must differ; of a list inside, one is enough. */
  readonly differIn: readonly (Telling | readonly Telling[])[];
}

const BUTTON_LIKE = [
  "agaricus-campestris",
  "agaricus-arvensis",
  "agaricus-crocodilinus",
  "agaricus-augustus",
  "agaricus-sylvicola",
  "agaricus-bitorquis",
];
const ANGELS = ["amanita-virosa", "amanita-bisporigera", "amanita-ocreata", "amanita-verna"];

/** Every pair: any kind of the first list against any of the second. */
export const PAIRS: readonly PairOfPractice[] = [
  {
    kinds: [BUTTON_LIKE, ["amanita-phalloides", ...ANGELS]],
    differIn: ["gill-colour", "spore-print", "base"],
  },
  {
    kinds: [BUTTON_LIKE, ["agaricus-xanthodermus"]],
    differIn: ["stain-base", "smell"],
  },
  { kinds: [BUTTON_LIKE, ["agaricus-hondensis"]], differIn: ["stain-base", "smell"] },
  {
    kinds: [BUTTON_LIKE, ["chlorophyllum-molybdites"]],
    differIn: ["spore-print", "gill-colour"],
  },
  {
    kinds: [["flammulina-velutipes"], ["galerina-marginata", "hypholoma-fasciculare"]],
    differIn: ["spore-print", ["ring", "gill-colour"], "stem-surface"],
  },
  { kinds: [["kuehneromyces-mutabilis"], ["galerina-marginata"]], differIn: ["stem-surface", "two-toned", "smell"] },
  { kinds: [["amanita-rubescens"], ["amanita-pantherina"]], differIn: ["stain-cut", "ring", "veil-on-cap", "base"] },
  { kinds: [["amanita-rubescens"], ["amanita-excelsa"]], differIn: ["stain-cut"] },
  { kinds: [["amanita-excelsa"], ["amanita-pantherina"]], differIn: ["ring", "veil-on-cap", "cap-margin"] },
  { kinds: [["amanita-citrina"], ["amanita-phalloides"]], differIn: ["base", "smell"] },
  { kinds: [["amanita-citrina"], ["amanita-pantherina"]], differIn: ["base", "smell", "cap-margin"] },
  {
    kinds: [
      ["amanita-caesarea", "amanita-jacksonii"],
      ["amanita-muscaria", "amanita-crenulata"],
    ],
    differIn: ["base", "gill-colour"],
  },
  {
    kinds: [["amanita-fulva"], ["amanita-phalloides", ...ANGELS]],
    differIn: ["ring", "cap-margin"],
  },
  {
    kinds: [["russula-virescens"], ["amanita-phalloides"]],
    differIn: ["stem-texture", "ring", "base"],
  },
  {
    kinds: [["cantharellus-cibarius"], ["omphalotus-illudens", "hygrophoropsis-aurantiaca", "cortinarius-rubellus"]],
    differIn: [["underside", "gill-fold"], "flesh-colour"],
  },
  {
    kinds: [["cantharellus-cibarius"], ["omphalotus-illudens"]],
    differIn: [["substrate", "growth"]],
  },
  {
    kinds: [["cantharellus-cibarius"], ["cortinarius-rubellus", "cortinarius-orellanus"]],
    differIn: ["ring", "spore-print"],
  },
  { kinds: [["hydnum-repandum"], ["omphalotus-illudens", "amanita-phalloides"]], differIn: ["underside"] },
  { kinds: [["boletus-edulis"], ["tylopilus-felleus"]], differIn: ["stem-marking-colour", "pore-colour"] },
  {
    kinds: [["boletus-edulis"], ["rubroboletus-satanas"]],
    differIn: ["stem-marking-colour", "pore-colour", "stain-cut"],
  },
  { kinds: [["boletus-edulis"], ["leccinum-group"]], differIn: ["stem-surface"] },
  { kinds: [["boletus-edulis"], ["suillus-luteus"]], differIn: ["cap-surface"] },
  {
    kinds: [["macrolepiota-procera"], ["chlorophyllum-rhacodes", "chlorophyllum-molybdites"]],
    differIn: ["stem-surface"],
  },
  {
    kinds: [["macrolepiota-procera"], ["lepiota-brunneoincarnata", "lepiota-subincarnata"]],
    differIn: ["stem-surface", "capCm"],
  },
  { kinds: [["macrolepiota-procera", "chlorophyllum-rhacodes"], ["lepiota-cristata"]], differIn: ["capCm", "ring"] },
  { kinds: [["chlorophyllum-rhacodes"], ["macrolepiota-procera"]], differIn: ["stain-cut"] },
  {
    kinds: [["chlorophyllum-molybdites"], ["macrolepiota-procera", "chlorophyllum-rhacodes"]],
    differIn: ["spore-print"],
  },
  {
    kinds: [
      ["stropharia-rugosoannulata"],
      ["agrocybe-praecox", "agaricus-campestris", "agaricus-arvensis", "amanita-phalloides", "amanita-virosa"],
    ],
    differIn: ["spore-print", "ring"],
  },
  {
    kinds: [["armillaria-mellea"], ["galerina-marginata", "hypholoma-fasciculare"]],
    differIn: ["spore-print", "ring"],
  },
  { kinds: [["armillaria-mellea"], ["omphalotus-illudens"]], differIn: ["ring", "cap-surface"] },
  {
    kinds: [["lepista-nuda", "lepista-personata"], ["cortinarius-violet-group"]],
    differIn: ["spore-print", "ring", "smell"],
  },
  { kinds: [["lactarius-deliciosus"], ["lactarius-torminosus"]], differIn: ["latex", "cap-surface"] },
  {
    kinds: [["infundibulicybe-geotropa"], ["clitocybe-rivulosa"]],
    differIn: ["capCm"],
  },
  {
    kinds: [["infundibulicybe-geotropa"], ["clitocybe-nebularis"]],
    differIn: ["cap-colour", ["cap-shape", "smell"]],
  },
  {
    kinds: [["infundibulicybe-geotropa", "clitocybe-nebularis"], ["entoloma-sinuatum"]],
    differIn: ["spore-print"],
  },
  { kinds: [["clitopilus-prunulus"], ["clitocybe-rivulosa"]], differIn: ["spore-print", "smell"] },
  {
    kinds: [
      ["calvatia-gigantea", "lycoperdon-perlatum"],
      ["scleroderma-citrinum", "amanita-phalloides", ...ANGELS],
    ],
    differIn: ["bisection"],
  },
  { kinds: [["morchella-esculenta"], ["gyromitra-esculenta"]], differIn: ["underside", "stem-inside"] },
  { kinds: [["morchella-esculenta"], ["verpa-bohemica"]], differIn: ["gill-attachment", "stem-inside"] },
  { kinds: [["pleurotus-ostreatus"], ["pleurocybella-porrigens"]], differIn: ["thicknessMm", "cap-colour"] },
  {
    kinds: [["trametes-versicolor"], ["trametes-betulina", "stereum-hirsutum"]],
    differIn: ["underside"],
  },
];
