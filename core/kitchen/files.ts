/** What of the kitchen other programs read: the store as CSV (RFC 4180), waits and deadlines as calendar events. */
import Papa from "papaparse";
import type { CalendarEvent } from "../formats/ics.ts";
import { type Batch, leftOf } from "./batch.ts";
import { keepsUntil, WAY_FACTS } from "./keeping.ts";
import type { Became, Held } from "./recall.ts";
import { keptUntil, TASTING_STEPS, type Tasting, type TastingStage } from "./tasting.ts";

const HOUR_MS = 3_600_000;

/** The moments of a tasting that are still to come. @param title whose it is and of what @param dateOf milliseconds as a date */
export function tastingEvents(
  id: string,
  tasting: Tasting,
  stage: TastingStage,
  title: string,
  dateOf: (moment: number) => Date,
): readonly CalendarEvent[] {
  const kept = keptUntil(tasting);
  const at = (what: string, from: number, words: string): CalendarEvent => ({
    id: `${id}-${what}`,
    from: dateOf(from),
    to: dateOf(from + HOUR_MS),
    title: `${title}: ${words}`,
    about:
      "Only if nothing was felt, well and rested, without alcohol, and while somebody knows. Anything felt ends it.",
    alarm: `${title}: ${words}`,
  });
  const step = stage.kind === "wait" || stage.kind === "next" ? TASTING_STEPS[stage.step] : undefined;
  return [
    ...(stage.kind === "wait" && step !== undefined ? [at("next", stage.from, `${step.name} may be next`)] : []),
    ...(kept === undefined
      ? []
      : [
          at("raw", kept.raw, "the raw one has been kept long enough"),
          at("slice", kept.slice, "the dried slice has been kept long enough"),
        ]),
  ];
}

/** A day before the time of each jar of which something is left, or of which nobody knows how much. */
export function storeEvents(jars: readonly Held<Batch>[], dateOf: (moment: number) => Date): readonly CalendarEvent[] {
  return jars
    .filter(({ content }) => leftOf(content) !== 0)
    .map(({ id, content }) => {
      const until = keepsUntil(Date.parse(content.madeAt), content.way);
      return {
        id: `${id}-until`,
        from: dateOf(until - 24 * HOUR_MS),
        to: dateOf(until),
        title: `Jar ${content.code} is near its time`,
        about: `${WAY_FACTS[content.way].name}. What is past its time goes.`,
        alarm: `Jar ${content.code} is near its time`,
      };
    });
}

export const KITCHEN_FORMAT = "jittery-cap/kitchen";

/** Meals, batches and tastings as one file of ours, version 1. Who eats is in it by ids alone. */
export function kitchenJson(all: Became): string {
  const plain = <Content>(held: readonly Held<Content>[]) => held.map(({ id, content }) => ({ id, ...content }));
  const { meals, batches, tastings } = all;
  return JSON.stringify(
    { format: KITCHEN_FORMAT, version: 1, meals: plain(meals), batches: plain(batches), tastings: plain(tastings) },
    null,
    2,
  );
}

/** @param nameOf the common name of a kind @param labelOf the label of a find */
export function storeCsv(
  jars: readonly Held<Batch>[],
  nameOf: (kind: string) => string,
  labelOf: (find: string) => string,
): string {
  return Papa.unparse(
    jars.map(({ content }) => ({
      code: content.code,
      kinds: content.kinds.map(nameOf).join(" or "),
      way: content.way,
      made_at: content.madeAt,
      keeps_until_ms: keepsUntil(Date.parse(content.madeAt), content.way),
      grams_in: content.gramsIn,
      grams_out: content.gramsOut ?? "",
      grams_left: leftOf(content) ?? "",
      where: content.where ?? "",
      finds: [...new Set(content.from.map(({ find }) => labelOf(find)))].join("; "),
    })),
    // a cell that a spreadsheet would run as a formula is text
    { newline: "\r\n", escapeFormulae: true },
  );
}
