/** Finds of the invented seasons: specimens drawn from the sheets, recorded by somebody who followed the advice, and decided. */
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
import { isInside, middleOf, type Outing, type OwnPlace } from "@jittery-cap/core/season";
import { type Chance, followAdvice } from "@jittery-cap/core/study";
import { z } from "zod";
import { chanceOf, idAt, told } from "./seasons-clock.ts";
import { GROWS, MISTAKEN } from "./what-grows.ts";

export const SEED = 20260914;

/** One document of the demo. */
export interface DemoDocument {
  readonly kind: "place" | "outing" | "find" | "decision" | "reminder";
  readonly id: string;
  readonly content: unknown;
}

/** Somewhere within a place. */
export function within(chance: Chance, place: OwnPlace): { lat: number; lon: number } {
  const middle = middleOf(place) ?? { lat: 0, lon: 0 };
  for (let tries = 0; tries < 20; tries++) {
    const lat = Number((middle.lat + (chance.next() - 0.5) * 0.014).toFixed(6));
    const lon = Number((middle.lon + (chance.next() - 0.5) * 0.03).toFixed(6));
    if (isInside({ lat, lon }, place)) return { lat, lon };
  }
  return { lat: Number(middle.lat.toFixed(6)), lon: Number(middle.lon.toFixed(6)) };
}

/** The sheets, and the specimens that were drawn from them. */
export interface Drawn {
  readonly knowledge: Knowledge;
  readonly specimens: Specimens;
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

/** The specimens that are kept. */
export const readSpecimens = (): Specimens =>
  z.record(z.string(), z.array(findSchema)).parse(JSON.parse(readFileSync(SPECIMENS, "utf8")));

/** One find of a kind as somebody records it who follows the advice, and what became of it. */
export function oneFind(
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
