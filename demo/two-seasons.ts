/**
 * Two invented seasons in the lakeland: some sixty outings, a third of them empty, with all that was found, decided and left. Made
 * from a seed whenever they are loaded, and judged by the sheets of then. The specimens were drawn from the sheets and recorded by
 * somebody who followed the advice; that takes a while, so they are kept as a file.
 */
import type { Knowledge } from "@jittery-cap/core";
import {
  dayAfter,
  lookOf,
  middleOf,
  newOuting,
  type Outing,
  type OwnPlace,
  type Reminder,
  type SkyDays,
  skyDaysOf,
} from "@jittery-cap/core/season";
import type { Chance } from "@jittery-cap/core/study";
import { simulatedDay } from "../stand-ins/weather-station.ts";
import { PLACES, placeNamed } from "./lakeland.ts";
import { chanceOf, idAt, momentAt, poisson, told } from "./seasons-clock.ts";
import { type DemoDocument, type Drawn, oneFind, readSpecimens, SEED, within } from "./seasons-find.ts";
import { GROWS } from "./what-grows.ts";

const SEASONS = [2025, 2026] as const;
/** The last outing lies before this day; the first of a year after its 110th. */
const LAST_DAY = "2026-11-22";
const DISTANCE = 0.24;

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
