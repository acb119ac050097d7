/** What stands where in the lakeland, when, and what it is taken for. Invented, like the places. */

/** A kind at a place: the middle of its season, how broad it is, days, and finds an hour on a good day. */
export interface Stands {
  readonly kind: string;
  readonly middle: number;
  readonly breadth: number;
  readonly rate: number;
}
const stands = (kind: string, middle: number, breadth: number, rate: number): Stands => ({
  kind,
  middle,
  breadth,
  rate,
});

/** What stands where. Invented, like the places. */
export const GROWS: Readonly<Record<string, readonly Stands[]>> = {
  "Skirrow Wood": [
    stands("boletus-edulis", 250, 17, 1.0),
    stands("imleria-badia", 268, 18, 1.1),
    stands("hydnum-repandum", 275, 22, 0.8),
    stands("lepista-nuda", 300, 15, 0.7),
    stands("amanita-muscaria", 262, 16, 0.5),
    stands("hypholoma-fasciculare", 285, 30, 0.4),
  ],
  "Skirrow Wood, hazel bank": [
    stands("craterellus-cornucopioides", 262, 16, 1.3),
    stands("amanita-phalloides", 255, 15, 0.35),
  ],
  "Ammerbog, north side": [
    stands("cantharellus-cibarius", 222, 20, 1.2),
    stands("craterellus-tubaeformis", 288, 22, 1.5),
    stands("cortinarius-rubellus", 255, 16, 0.5),
  ],
  "Ammerbog, south side": [stands("craterellus-tubaeformis", 292, 20, 1.1), stands("suillus-luteus", 262, 20, 0.7)],
  "Quarrel Pasture, upper gate": [
    stands("agaricus-campestris", 256, 20, 1.2),
    stands("marasmius-oreades", 205, 40, 0.8),
    stands("agaricus-xanthodermus", 250, 22, 0.4),
  ],
  "Ondal Water, east shore": [stands("leccinum-group", 245, 20, 1.1), stands("amanita-virosa", 240, 14, 0.4)],
  "Ondal Water, boathouse": [
    stands("flammulina-velutipes", 322, 22, 0.9),
    stands("pleurotus-ostreatus", 312, 20, 0.8),
    stands("galerina-marginata", 290, 22, 0.4),
  ],
  "Lower Hask": [stands("agaricus-campestris", 258, 18, 0.6)],
  "Old orchard at Hask": [stands("calocybe-gambosa", 126, 11, 0.9)],
  "Fell spruces": [stands("boletus-edulis", 240, 14, 0.9), stands("cantharellus-cibarius", 226, 16, 0.7)],
};

/** What somebody takes at first for what it is not. */
export const MISTAKEN: Readonly<Record<string, string>> = {
  "agaricus-xanthodermus": "agaricus-campestris",
  "cortinarius-rubellus": "craterellus-tubaeformis",
  "galerina-marginata": "flammulina-velutipes",
  "amanita-virosa": "agaricus-sylvicola",
  "hypholoma-fasciculare": "hypholoma-capnoides",
  "imleria-badia": "boletus-edulis",
};
