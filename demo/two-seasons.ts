/**
 * Two invented seasons in the lakeland: some sixty outings, a third of them empty, with all that was found, decided and left. Made
 * from a seed whenever they are loaded, and judged by the sheets of then. The specimens were drawn from the sheets and recorded by
 * somebody who followed the advice; that takes a while, so they are kept as a file.
 */
import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import {
  decide,
  type Find,
  findSchema,
  isAmongFood,
  type Knowledge,
  permitsEnding,
  summarise,
} from "@jittery-cap/core";
import {
  dayAfter,
  isInside,
  lookOf,
  middleOf,
  newOuting,
  type Outing,
  type OwnPlace,
  type Reminder,
  type SkyDays,
  skyDaysOf,
} from "@jittery-cap/core/season";
import { type Chance, followAdvice } from "@jittery-cap/core/study";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { z } from "zod";
import { simulatedDay } from "../stand-ins/weather-station.ts";
import { PLACES, placeNamed } from "./lakeland.ts";

/** One document of the demo. */
export interface DemoDocument {
  readonly kind: "place" | "outing" | "find" | "decision" | "reminder";
  readonly id: string;
  readonly content: unknown;
}

/** A kind at a place: the middle of its season, how broad it is, days, and finds an hour on a good day. */
interface Stands {
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
const GROWS: Readonly<Record<string, readonly Stands[]>> = {
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
const MISTAKEN: Readonly<Record<string, string>> = {
  "agaricus-xanthodermus": "agaricus-campestris",
  "cortinarius-rubellus": "craterellus-tubaeformis",
  "galerina-marginata": "flammulina-velutipes",
  "amanita-virosa": "agaricus-sylvicola",
  "hypholoma-fasciculare": "hypholoma-capnoides",
  "imleria-badia": "boletus-edulis",
};

const SEASONS = [2025, 2026] as const;
/** The last outing lies before this day; the first of a year after its 110th. */
const LAST_DAY = "2026-11-22";
const SEED = 20260914;
const HOUR_MS = 3_600_000;
const DISTANCE = 0.24;

function chanceOf(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  return { next: () => uniformFloat64(generator) };
}

/** An id as clients make them (UUIDv7), the same for the same moment and number. */
function idAt(moment: number, number: number): string {
  const time = Math.floor(moment).toString(16).padStart(12, "0");
  return `${time.slice(0, 8)}-${time.slice(8, 12)}-7000-8000-${(0x710000000000 + number).toString(16).padStart(12, "0")}`;
}

const poisson = (chance: Chance, mean: number): number => {
  let [count, left] = [0, Math.exp(-mean)];
  for (let product = chance.next(); product > left; product *= chance.next()) count += 1;
  return count;
};

/** An offset of the lakeland's clocks: summer time until the last Sunday of October. */
const isSummer = (day: string): boolean => day.slice(5) >= "03-30" && day.slice(5) < "10-26";
const momentAt = (day: string, hours: number): number =>
  Date.parse(`${day}T00:00:00${isSummer(day) ? "+02:00" : "+01:00"}`) + Math.round(hours * 60) * 60_000;
function told(moment: number, day: string): string {
  const summer = isSummer(day);
  return `${new Date(moment + (summer ? 2 : 1) * HOUR_MS).toISOString().slice(0, 19)}${summer ? "+02:00" : "+01:00"}`;
}

/** Somewhere within a place. */
function within(chance: Chance, place: OwnPlace): { lat: number; lon: number } {
  const middle = middleOf(place) ?? { lat: 0, lon: 0 };
  for (let tries = 0; tries < 20; tries++) {
    const lat = Number((middle.lat + (chance.next() - 0.5) * 0.014).toFixed(6));
    const lon = Number((middle.lon + (chance.next() - 0.5) * 0.03).toFixed(6));
    if (isInside({ lat, lon }, place)) return { lat, lon };
  }
  return { lat: Number(middle.lat.toFixed(6)), lon: Number(middle.lon.toFixed(6)) };
}

/** Records of made-up specimens, by kind. */
export type Specimens = Readonly<Record<string, readonly Find[]>>;
export const SPECIMENS = fileURLToPath(new URL("specimens.json", import.meta.url));
const OF_A_KIND = 3;

/** Draws and records specimens of every kind that grows there. */
export function drawSpecimens(knowledge: Knowledge): Specimens {
  const chance = chanceOf(SEED);
  const kinds = [...new Set(Object.values(GROWS).flatMap((all) => all.map(({ kind }) => kind)))].sort();
  return Object.fromEntries(
    kinds.map((kind) => {
      const sheet = knowledge.byId.get(kind);
      if (sheet === undefined) throw new Error(`there is no sheet ${kind}`);
      return [
        kind,
        Array.from({ length: OF_A_KIND }, () => followAdvice(sheet, knowledge, 0, "ordinary", chance).find),
      ];
    }),
  );
}

const readSpecimens = (): Specimens =>
  z.record(z.string(), z.array(findSchema)).parse(JSON.parse(readFileSync(SPECIMENS, "utf8")));

/** Everything that is loaded, places first. @param knowledge the sheets from which specimens are drawn, and by which they are judged */
export function twoSeasons(knowledge: Knowledge): readonly DemoDocument[] {
  const chance = chanceOf(SEED);
  const sky = skyDaysOf(
    Array.from({ length: 720 }, (_unused, index) => ({
      ...simulatedDay(dayAfter("2024-12-15", index)),
      isForetold: false,
    })),
  );
  const specimens = readSpecimens();
  const documents: DemoDocument[] = [];
  let number = 0;
  for (const year of SEASONS)
    for (const day of daysOut(chance, year)) {
      const made = oneOuting(chance, day, sky, { knowledge, specimens }, () => (number += 1));
      documents.push(...made);
    }
  return [
    ...PLACES.map(({ id, content }) => ({ kind: "place" as const, id, content: withPatches(content) })),
    ...documents,
    ...reminders(),
  ];
}

/** Days on which somebody goes: a few in spring, most in autumn, one or two a week. */
function daysOut(chance: Chance, year: number): readonly string[] {
  const days: string[] = [];
  for (let day = `${year}-04-26`; day < `${year}-11-26` && day <= LAST_DAY; ) {
    days.push(day);
    const busy = day.slice(5) > "07-20" ? 3 : 12;
    day = dayAfter(day, busy + Math.floor(chance.next() * (busy + 1)));
  }
  return days;
}

interface Drawn {
  readonly knowledge: Knowledge;
  readonly specimens: Specimens;
}

const ORDER = Object.keys(GROWS);

function oneOuting(
  chance: Chance,
  day: string,
  sky: SkyDays,
  from: Drawn,
  next: () => number,
): readonly DemoDocument[] {
  const look = lookOf(day, sky);
  const begun = momentAt(day, 9 + chance.next() * 4);
  const goodNow = (name: string) =>
    (GROWS[name] ?? []).reduce(
      (sum, one) => sum + one.rate * Math.exp(-0.5 * ((look.ofYear - one.middle) / one.breadth) ** 2),
      0,
    );
  // mostly where something may stand, now and then just somewhere
  const ranked = [...ORDER].sort((one, other) => goodNow(other) - goodNow(one));
  const chosen = [...new Set([0, 1].flatMap(() => ranked[Math.floor(chance.next() ** 2 * ranked.length)] ?? []))];
  const documents: DemoDocument[] = [];
  let at = begun;
  const searches: Outing["searches"] = [];
  const nothing: Outing["nothing"] = [];
  for (const name of chosen) {
    const place = placeNamed(name);
    const minutes = Math.round((40 + chance.next() * 80) / 5) * 5;
    const wet = look.sky === undefined ? 1 : Math.min(1.6, 0.35 + look.sky.rainMm / 60);
    const found = (GROWS[name] ?? []).flatMap((one): readonly string[] => {
      const mean = one.rate * Math.exp(-0.5 * ((look.ofYear - one.middle) / one.breadth) ** 2) * wet * (minutes / 60);
      return Array.from({ length: Math.min(3, poisson(chance, mean)) }, () => one.kind);
    });
    found.forEach((kind, index) => {
      const moment = at + ((index + 1) / (found.length + 1)) * minutes * 60_000;
      documents.push(...oneFind(chance, kind, moment, day, place.content, look.sky, from, next()));
    });
    if (found.length === 0) {
      const moment = at + minutes * 50_000;
      nothing.push({
        id: idAt(moment, next()),
        at: told(moment, day),
        position: { ...within(chance, place.content), accuracyM: 8 },
      });
    }
    searches.push({
      id: idAt(at, next()),
      place: place.id,
      from: told(at, day),
      to: told(at + minutes * 60_000, day),
      minutes,
      ...(found.length === 0 ? { nothing: true } : {}),
    });
    at += (minutes + 15 + chance.next() * 25) * 60_000;
  }
  const outing: Outing = {
    ...newOuting(told(begun, day), chance.next() < 0.35 ? [{ name: "Ilva", isNew: false }] : [], [
      "split-card",
      "knife",
      "basket",
    ]),
    endedAt: told(at, day),
    searches,
    nothing,
    ...(look.sky === undefined ? {} : { sky: look.sky }),
    missed: chance.next() < 0.15 ? ["trowel"] : [],
  };
  return [{ kind: "outing", id: idAt(begun, next()), content: outing }, ...documents];
}

/** One find of a kind as somebody records it who follows the advice, and what became of it. */
function oneFind(
  chance: Chance,
  kind: string,
  moment: number,
  day: string,
  place: OwnPlace,
  sky: Outing["sky"],
  { knowledge, specimens }: Drawn,
  number: number,
): readonly DemoDocument[] {
  const sheet = knowledge.byId.get(kind);
  if (sheet === undefined) throw new Error(`there is no sheet ${kind}`);
  const recorded = specimens[kind] ?? [];
  const drawn = recorded[Math.floor(chance.next() * recorded.length)];
  if (drawn === undefined) throw new Error(`no specimen of ${kind} was drawn: npm run demo`);
  const id = idAt(moment, number);
  const { rules: _rules, site, ...rest } = drawn;
  const isMistaken = MISTAKEN[kind] !== undefined && chance.next() < 0.6;
  const record: Find = {
    ...rest,
    id,
    label: `${sheet.names.common}${isMistaken ? "?" : ""}, ${place.name}`,
    foundAt: told(moment, day),
    takenFor: isMistaken ? (MISTAKEN[kind] ?? kind) : kind,
    place: {
      ...within(chance, place),
      accuracyM: 6,
      ...(place.elevationM === undefined ? {} : { elevationM: place.elevationM }),
      region: "europe",
      name: place.name,
    },
    site: { ...site, ...(place.concerns === undefined ? {} : { concerns: place.concerns }) },
    weather: {
      frostLastNight: (sky?.frostNights ?? 0) > 10,
      drySpellDays: 0,
      rain24hMm: 1,
      airTempC: Math.max(6, Math.round(sky?.meanTempC ?? 10)),
      printPaper: "split-black-white",
    },
    bodies: drawn.bodies.map((body) => ({
      ...body,
      firmness: "firm" as const,
      larvae: "none" as const,
      measures: { ...rounded(body.measures), weightG: Math.round(15 + chance.next() * 90) },
    })),
  };
  const answer = summarise(record, knowledge);
  const decidedAt = moment + (6 + chance.next() * 30) * 60_000;
  const endings = record.bodies.map(({ id: body }) => ({
    body,
    ending: permitsEnding(answer, body, "basket")
      ? ("basket" as const)
      : answer.verdict === "leave"
        ? ("left-test-failed" as const)
        : chance.next() < 0.5
          ? ("looked-at-only" as const)
          : ("left-unknown" as const),
  }));
  const find: Find = {
    ...record,
    bodies: record.bodies.map((body, index) => ({ ...body, ending: endings[index]?.ending ?? "looked-at-only" })),
  };
  const decision = decide(record, endings, answer, knowledge.edition, told(decidedAt, day));
  return [
    { kind: "find", id, content: find },
    ...(decision.ok && endings.some(({ ending }) => isAmongFood(ending))
      ? [{ kind: "decision" as const, id: idAt(decidedAt, number), content: decision.value }]
      : []),
  ];
}

const rounded = (measures: Find["bodies"][number]["measures"]) =>
  Object.fromEntries(
    Object.entries(measures ?? {}).map(([name, value]) => [
      name,
      typeof value === "number" ? Math.round(value * 10) / 10 : value,
    ]),
  );

/** A bed of blewits from year to year, and a ring. */
function withPatches(place: OwnPlace): OwnPlace {
  const met = (year: number, day: string, bodies: number, grams: number) => ({
    at: `${year}-${day}T11:00:00+01:00`,
    bodies,
    grams,
  });
  const patch = (number: number, rest: Omit<OwnPlace["patches"][number], "id" | "weeded">) => ({
    id: idAt(Date.parse("2023-10-01T00:00:00Z"), number),
    weeded: [],
    ...rest,
  });
  const middle = middleOf(place);
  if (place.name === "Skirrow Wood" && middle !== undefined)
    return {
      ...place,
      patches: [
        patch(901, {
          name: "blewit bed by the leaf heap",
          kind: "lepista-nuda",
          form: "bed",
          position: { lat: Number((middle.lat + DISTANCE / 111).toFixed(6)), lon: middle.lon },
          met: [
            met(2022, "11-03", 5, 160),
            met(2023, "11-01", 9, 270),
            met(2024, "10-28", 21, 640),
            met(2025, "10-30", 38, 1050),
          ],
        }),
        patch(902, {
          name: "oyster log by the stile",
          form: "log",
          met: [met(2024, "11-12", 4, 300), met(2025, "11-20", 0, 0)],
        }),
      ],
    };
  if (place.name === "Quarrel Pasture, upper gate")
    return {
      ...place,
      patches: [
        patch(903, {
          name: "the ring by the gate",
          kind: "marasmius-oreades",
          form: "ring",
          met: [met(2025, "07-14", 30, 90), met(2026, "07-08", 44, 130)],
        }),
      ],
    };
  return place;
}

function reminders(): readonly DemoDocument[] {
  const remind = (number: number, content: Omit<Reminder, "madeAt">): DemoDocument => ({
    kind: "reminder",
    id: idAt(Date.parse("2026-11-20T08:00:00Z"), number),
    content: { ...content, madeAt: "2026-11-21T14:00:00+01:00" },
  });
  return [
    remind(951, {
      kind: "left-to-grow",
      what: "oysters on the elm, small yet",
      from: "2026-11-25",
      to: "2026-12-02",
      place: placeNamed("Ondal Water, boathouse").id,
      left: { at: "2026-11-21T12:40:00+01:00", sizeCm: 3, wantedCm: 8, taxon: "pleurotus-ostreatus" },
    }),
    remind(952, {
      kind: "next-year",
      what: "horns of plenty on the hazel bank",
      from: "2027-09-14",
      to: "2027-09-24",
      place: placeNamed("Skirrow Wood, hazel bank").id,
    }),
    remind(953, {
      kind: "weed",
      what: "sulphur tufts beside the blewit bed",
      from: "2027-09-01",
      to: "2027-09-20",
      place: placeNamed("Skirrow Wood").id,
    }),
  ];
}
