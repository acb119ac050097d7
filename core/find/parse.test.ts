import { Ajv2020 } from "ajv/dist/2020.js";
import addFormats from "ajv-formats";
import { expect } from "chai";
import fc from "fast-check";
import { finds } from "../tests/arbitraries.ts";
import { findJsonSchema } from "./json-schema.ts";
import { parseFind, parseFinds } from "./parse.ts";
import { TAXON_IDS } from "./taxa.ts";

const good = { format: "jittery-cap/find", version: 1, id: "one", bodies: [{ id: "A", age: "mature" }] };
const faultsOf = (input: unknown): string[] => {
  const parsed = parseFinds(input);
  return parsed.ok ? [] : parsed.faults.map((fault) => `${fault.path}: ${fault.message}`);
};
const withBody = (more: object) => ({ ...good, bodies: [{ id: "A", age: "mature", ...more }] });
const withEntry = (entry: object) => withBody({ seen: [entry] });

describe("a find file", () => {
  it("that holds all a record may hold is read", () => {
    const full = {
      ...good,
      label: "pale one under the birches",
      foundAt: "2026-09-14T10:20:00+02:00",
      place: { lat: 61.2031, lon: 24.1182, accuracyM: 8, elevationM: 140, region: "europe" },
      site: {
        habitat: ["mixed-woodland"],
        substrate: ["soil"],
        host: ["birch"],
        growth: ["scattered"],
        concerns: ["roadside"],
        neighbours: ["amanita-muscaria", "genus:amanita", "note:small brown, unknown"],
      },
      weather: {
        frostLastNight: false,
        drySpellDays: 0,
        rain24hMm: 6.5,
        airTempC: 9,
        printPaper: "split-black-white",
        warmedInHand: false,
        cannotSmell: false,
      },
      takenFor: "agaricus-campestris",
      rules: {
        amanitas: "never",
        smallBrown: "never",
        naming: "group",
        upsetters: "leave",
        dirtyGround: "never",
        larvae: "few",
        distance: 2,
      },
      observers: [{ id: "o1", name: "Ilta", cannotSmell: false, smellsKnown: ["aniseed"] }],
      bodies: [
        {
          id: "A",
          age: "mature",
          lifted: "whole",
          wear: ["handled"],
          firmness: "firm",
          larvae: "none",
          larvaeParts: { cap: "none", stem: "riddled" },
          measures: {
            capCm: 8.5,
            stemLengthCm: 10,
            stemWidthMm: 12,
            sporeLengthUm: [7, 8],
            sporeWidthUm: [5],
          },
          print: {
            laidAt: "2026-09-14T12:00:00+02:00",
            paper: "split-black-white",
            cap: "halved",
            covered: true,
            result: "thin",
          },
          seen: [
            {
              character: "underside",
              states: ["gills"],
              by: "o1",
              at: "2026-09-14T10:21:00+02:00",
              method: "hand-lens",
            },
            { character: "stain-base", states: ["faint-yellow"], speed: "slow", sure: false },
            { character: "base", unseen: "left in the ground" },
          ],
          keep: true,
        },
        { id: "A2", sameAs: "A", seenAt: "2026-09-16T10:20:00+02:00" },
      ],
    };
    expect(faultsOf(full)).to.deep.equal([]);
  });

  const broken: [string, unknown, RegExp][] = [
    [
      "an unknown state",
      withEntry({ character: "ring", states: ["halo"] }),
      /^bodies\[0\]\.seen\[0\]\.states\[0\]: "halo" is not allowed; expected one of: none, closed, skirt/,
    ],
    [
      "an unknown character",
      withEntry({ character: "taste", states: ["mild"] }),
      /^bodies\[0\]\.seen\[0\]\.character: unknown character "taste"; allowed: underside/,
    ],
    [
      "both states and unseen",
      withEntry({ character: "base", states: ["sac"], unseen: "cut" }),
      /^bodies\[0\]\.seen\[0\]: states and unseen exclude/,
    ],
    [
      "neither states nor unseen",
      withEntry({ character: "base" }),
      /^bodies\[0\]\.seen\[0\]: states or unseen is missing/,
    ],
    [
      "an empty list of states",
      withEntry({ character: "base", states: [] }),
      /^bodies\[0\]\.seen\[0\]\.states: an empty list/,
    ],
    [
      "two sure states of one thing",
      withEntry({ character: "base", states: ["sac", "bulb"] }),
      /^bodies\[0\]\.seen\[0\]\.states: base has one state/,
    ],
    [
      "a speed where nothing stains",
      withEntry({ character: "ring", states: ["none"], speed: "slow" }),
      /speed: unknown field/,
    ],
    ["a site character on a body", withEntry({ character: "habitat", states: ["bog"] }), /unknown character "habitat"/],
    ["no bodies", { ...good, bodies: [] }, /^bodies: an empty list/],
    [
      "a body id used twice",
      { ...good, bodies: [{ id: "A" }, { id: "A" }] },
      /^bodies\[1\]\.id: body id "A" is used twice/,
    ],
    [
      "one character twice by one observer",
      withBody({
        seen: [
          { character: "base", states: ["sac"] },
          { character: "base", states: ["plain"] },
        ],
      }),
      /seen\[1\]\.character: "base" stands twice/,
    ],
    ["a negative size", withBody({ measures: { capCm: -2 } }), /^bodies\[0\]\.measures\.capCm: must be more than 0/],
    [
      "text for a number",
      withBody({ measures: { capCm: "8" } }),
      /^bodies\[0\]\.measures\.capCm: expected number, received string/,
    ],
    [
      "a number that is none",
      withBody({ measures: { capCm: Number.NaN } }),
      /^bodies\[0\]\.measures\.capCm: expected number/,
    ],
    ["a future version", { ...good, version: 2 }, /^version: version 2 is newer than this program/],
    ["another format", { ...good, format: "other" }, /^format: "other" is not allowed/],
    ["an unknown field", { ...good, colour: "red" }, /^colour: unknown field/],
    [
      "an unknown sheet",
      { ...good, takenFor: "amanita-imaginaria" },
      /^takenFor: "amanita-imaginaria" is no known sheet/,
    ],
    [
      "a distance of one",
      { ...good, rules: { distance: 1 } },
      /^rules\.distance: 1 is not allowed; expected one of: 2, 3/,
    ],
    ["a date that is none", { ...good, foundAt: "yesterday" }, /^foundAt: expected a date and time/],
    ["a second look at no body", withBody({ sameAs: "Z" }), /^bodies\[0\]\.sameAs: "Z" is no other body/],
    ["no object at all", 7, /^\(root\): expected object/],
    [
      "a bad one in an array",
      [good, { ...good, bodies: [{ id: "A", age: "ancient" }] }],
      /^\[1\]\.bodies\[0\]\.age: "ancient" is not allowed/,
    ],
  ];
  for (const [what, input, error] of broken)
    it(`with ${what} is refused, and the error names the place`, () => {
      expect(faultsOf(input)[0]).to.match(error);
    });

  it("is described by a JSON Schema (draft 2020-12, read by ajv) that takes what the parser takes", () => {
    const ajv = new Ajv2020({ strict: false });
    addFormats.default(ajv);
    const validate = ajv.compile(findJsonSchema() as object);
    fc.assert(
      fc.property(finds(), (find) => validate(JSON.parse(JSON.stringify(find)))),
      { numRuns: 100 },
    );
    for (const [what, input] of broken.filter(([name]) =>
      /state|negative|text|version|unknown (field|character)/.test(name),
    ))
      if (!/two sure/.test(what)) expect(validate(input), what).to.equal(false);
  });

  it("may name any of the 180 registered taxa", () => {
    expect(TAXON_IDS).to.have.length(180);
    for (const id of TAXON_IDS) expect(parseFind({ ...good, takenFor: id }).ok, id).to.equal(true);
  });
});
