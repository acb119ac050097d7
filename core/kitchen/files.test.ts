import { expect } from "chai";
import { parse } from "csv-parse/sync";
import ICAL from "ical.js";
import { calendarOf } from "../formats/ics.ts";
import { at, batchOf, HANNE, HOUR, mealOf, NOON, nextMorning, tastingOf } from "../tests/kitchen.ts";
import { batchSchema } from "./batch.ts";
import { kitchenJson, storeCsv, storeEvents, tastingEvents } from "./files.ts";
import { mealSchema } from "./meal.ts";
import { tastingSchema, tastingStage } from "./tasting.ts";

const dateOf = (moment: number) => new Date(moment);
const eventsIn = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));

describe("files of the kitchen", () => {
  it("tell the waits of a tasting to a calendar: the next portion, the raw one, the dried slice", () => {
    const tasting = tastingOf({ portions: [{ at: at(0), grams: 15 }] });
    const stage = tastingStage(tasting, NOON + HOUR, nextMorning);
    const events = eventsIn(
      calendarOf("Tasting", tastingEvents("t", tasting, stage, "Hanne: ceps, dried; fresh", dateOf), dateOf(NOON)),
    );
    expect(events.map((one) => one.startDate.toJSDate().getTime() - NOON)).to.deep.equal([
      19 * HOUR,
      72 * HOUR,
      21 * 24 * HOUR,
    ]);
    expect(events[0]?.summary).to.equal("Hanne: ceps, dried; fresh: about double may be next");
    // one that has ended asks for no further portion, and its raw one is kept still
    const felt = { ...tasting, felt: [{ at: at(1), what: "sick" }] };
    const after = tastingEvents("t", felt, tastingStage(felt, NOON + HOUR, nextMorning), "x", dateOf);
    expect(after.map(({ id }) => id)).to.deep.equal(["t-raw", "t-slice"]);
  });

  it("name each jar that has something left, or of which nobody knows, before its time", () => {
    const { gramsOut: _out, ...unweighed } = batchOf({ code: "00001" });
    const jars = [
      { id: "a", content: batchOf({ way: "frozen" }) },
      { id: "b", content: unweighed },
      { id: "c", content: batchOf({ took: [{ at: at(1), grams: 24, how: "eaten" }] }) },
    ];
    const events = eventsIn(calendarOf("Store", storeEvents(jars, dateOf), dateOf(NOON)));
    expect(events.map(({ summary }) => summary)).to.deep.equal([
      "Jar 7K2QX is near its time",
      "Jar 00001 is near its time",
    ]);
  });

  it("hold all of the kitchen in one file, each document as its schema reads it back", () => {
    const file = JSON.parse(
      kitchenJson({
        meals: [{ id: HANNE, content: mealOf() }],
        batches: [{ id: HANNE, content: batchOf() }],
        tastings: [{ id: HANNE, content: tastingOf() }],
      }),
    );
    expect(file).to.include({ format: "jittery-cap/kitchen", version: 1 });
    const [{ id: _meal, ...meal }] = file.meals;
    const [{ id: _batch, ...batch }] = file.batches;
    const [{ id: _tasting, ...tasting }] = file.tastings;
    expect(mealSchema.parse(meal)).to.deep.equal(mealOf());
    expect(batchSchema.parse(batch)).to.deep.equal(batchOf());
    expect(tastingSchema.parse(tasting)).to.deep.equal(tastingOf());
  });

  it("hold the store as a table that another reader reads back, and run no formula in it", () => {
    const jars = [
      { id: "a", content: batchOf({ where: '=HYPERLINK("x")' }) },
      { id: "b", content: batchOf({ code: "00001", took: [{ at: at(1), grams: 4, how: "given-away" }] }) },
    ];
    const rows = parse(
      storeCsv(
        jars,
        () => "king bolete, dried",
        () => 'the "old" wood',
      ),
      { columns: true },
    ) as Record<string, string>[];
    expect(rows.map((row) => [row.code, row.grams_left, row.kinds, row.finds])).to.deep.equal([
      ["7K2QX", "24", "king bolete, dried", 'the "old" wood'],
      ["00001", "20", "king bolete, dried", 'the "old" wood'],
    ]);
    expect(rows[0]?.where?.startsWith("'=")).to.equal(true);
  });
});
