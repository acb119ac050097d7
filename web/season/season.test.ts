import "fake-indexeddb/auto";
import { expect } from "chai";
import { yearsOf } from "../places/patch-years.ts";
import { nextSaturday } from "../plan/next-saturday.ts";
import { dayOf, lastingWords, momentOf } from "./local-day.ts";
import { regrownOf } from "./regrown.ts";

describe("days by the clock of the device", () => {
  it("are those of its zone, also where the clock is put forward or back", () => {
    for (const day of ["2026-03-29", "2026-10-25", "2026-09-14", "2024-02-29"])
      for (const hour of [0, 2, 3, 12, 23]) {
        const moment = momentOf(day, hour);
        // an hour that the clock leaps over is the hour after
        expect(dayOf(moment), `${day} ${hour}`).to.equal(day);
      }
    expect(lastingWords(72)).to.equal("1 h 12 min");
    expect(lastingWords(-3)).to.equal("0 min");
  });

  it("know the next Saturday, today if it is one", () => {
    expect(nextSaturday("2026-11-26")).to.equal("2026-11-28");
    expect(nextSaturday("2026-11-28")).to.equal("2026-11-28");
    expect(nextSaturday("2026-12-31")).to.equal("2027-01-02");
  });
});

describe("a patch from year to year", () => {
  const met = (day: string, bodies: number, grams?: number) => ({
    at: `${day}T12:00:00Z`,
    bodies,
    ...(grams === undefined ? {} : { grams }),
  });
  it("is told in grams where all of it was weighed, else in bodies, with its first and last day", () => {
    const years = yearsOf({ met: [met("2025-10-02", 3, 90), met("2025-10-20", 5, 160), met("2026-10-11", 0)] });
    expect(years).to.deep.equal([
      { year: 2025, amount: 250, unit: "g", first: "2025-10-02", last: "2025-10-20" },
      { year: 2026, amount: 0, unit: "g", first: "2026-10-11", last: "2026-10-11" },
    ]);
    expect(yearsOf({ met: [met("2025-10-02", 3), met("2025-10-20", 5, 160)] })[0]).to.include({
      amount: 8,
      unit: "bodies",
    });
    expect(yearsOf({ met: [] })).to.deep.equal([]);
  });

  it("teaches how fast one grows by what was met again, and by nothing else", () => {
    const left = { at: "2026-09-14T10:00:00Z", sizeCm: 3, wantedCm: 6 };
    const reminder = (came: object | undefined) => ({
      kind: "left-to-grow" as const,
      what: "x",
      from: "2026-09-16",
      to: "2026-09-18",
      madeAt: left.at,
      left,
      ...(came === undefined ? {} : { came: came as { at: string; sizeCm?: number } }),
    });
    expect(
      regrownOf([
        reminder({ at: "2026-09-16T10:00:00Z", sizeCm: 5 }),
        reminder({ at: "2026-09-16T10:00:00Z" }),
        reminder(undefined),
      ]),
    ).to.deep.equal([{ days: 2, fromCm: 3, toCm: 5 }]);
  });
});
