/** The find that a sheet leads to expect, on a young and a grown body. */
import { type Body, type Find, findSchema } from "../find/schema.ts";
import { CHARACTER_IDS, definitionOf, REGIONS, SITE_CHARACTERS } from "../find/vocabulary.ts";
import type { BodyScene } from "../judge/scene.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { expectedLook, expectedMeasures } from "../next/expected.ts";

/** Which of a typical find's two bodies are kept; the other is only shown. */
export const KEPT = ["both", "young", "mature"] as const;
export type Kept = (typeof KEPT)[number];

const BODY_CHARACTERS = CHARACTER_IDS.filter((id) => definitionOf(id).of === "body");

/** The first region of a sheet, in the middle of its months there. */
function timeAndPlace({ months }: Sheet): Partial<Find> {
  const region = REGIONS.find((one) => months[one] !== undefined);
  const there = region === undefined ? [] : (months[region] ?? []);
  const month = there[Math.floor(there.length / 2)];
  if (region === undefined || month === undefined) return {};
  return { place: { region }, foundAt: `2026-${String(month).padStart(2, "0")}-15T10:00:00+00:00` };
}

/** A find as its sheet tells it: every character as its musts ask or as it is commonest, of middling size, lifted whole. */
export function typicalFind(sheet: Sheet, more: Partial<Find> = {}, kept: Kept = "both"): Find {
  const encloses = sheet.characters.underside?.mature?.enclosed === "always";
  const bodyOf = (id: string, age: "young" | "mature"): Body => {
    const bare: Body = { id, age, lifted: "whole", keep: kept === "both" || kept === age };
    const scene: Pick<BodyScene, "body"> = { body: bare };
    return {
      ...bare,
      measures: expectedMeasures(sheet, age),
      seen: BODY_CHARACTERS.flatMap((character) => {
        // only what is closed all round is halved to see what it will become, and heat is for the doubtful
        if (character === "bisection" && !encloses) return [];
        return expectedLook(sheet, character, scene, false).map(({ states }) => ({ character, states: [...states] }));
      }),
    };
  };
  const site = Object.fromEntries(
    SITE_CHARACTERS.flatMap((character) =>
      expectedLook(sheet, character, undefined, false).map(({ states }) => [character, [...states]]),
    ),
  );
  return findSchema.parse({
    format: "jittery-cap/find",
    version: 1,
    id: sheet.id,
    site,
    ...timeAndPlace(sheet),
    ...more,
    bodies: [bodyOf("A", "young"), bodyOf("B", "mature")],
  });
}
