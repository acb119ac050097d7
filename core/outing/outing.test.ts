import { expect } from "chai";
import fc from "fast-check";
import { outingKind, placeKind } from "../documents/kinds/outing.ts";
import { applyTouches } from "../documents/touch.ts";
import { bodyOf, findOf } from "../tests/build.ts";
import { AMMERBOG, hourOf, idNumber, outingOn, PASTURE, squareAt } from "../tests/season.ts";
import { outingOf, searchOf } from "./attach.ts";
import { isUnderWay, minutesOf, type Outing, outingSchema, searchingAt } from "./outing.ts";
import { type Reminder, reminderSchema } from "./reminder.ts";
import { stillOpen } from "./still-open.ts";

const DAY = "2026-09-14";
const kept = (number: number, content: Outing) => ({ id: idNumber(number), content });

describe("an outing", () => {
  it("goes on until it is ended, and by itself no longer than sixteen hours: a phone that died ended it too", () => {
    const outing = outingOn(DAY, 8, undefined);
    expect(isUnderWay(outing, Date.parse(hourOf(DAY, 23)))).to.equal(true);
    expect(isUnderWay(outing, Date.parse(hourOf(DAY, 25)))).to.equal(false);
    expect(isUnderWay(outingOn(DAY, 8, 12), Date.parse(hourOf(DAY, 11)))).to.equal(false);
    // a clock that was set back does not end it
    expect(isUnderWay(outing, Date.parse(hourOf(DAY, 2)))).to.equal(true);
  });

  it("is refused where it ends before it began, or counts one search twice", () => {
    const path = (outing: object) => outingSchema.safeParse(outing).error?.issues[0]?.path.join(".");
    expect(path({ ...outingOn(DAY, 12, 8) })).to.equal("endedAt");
    const search = { id: idNumber(1), from: hourOf(DAY, 8) };
    expect(path(outingOn(DAY, 8, 12, { searches: [search, search] }))).to.equal("searches.1.id");
    expect(path(outingOn(DAY, 8, 12, { searches: [{ ...search, to: hourOf(DAY, 7) }] }))).to.equal("searches.0.to");
    expect(path({ ...outingOn(DAY, 8, 12), verdict: "basket" })).to.equal("");
  });

  it("searches at one place after the other; a clock that jumps back ends nothing before it began", () => {
    const first = searchingAt([], AMMERBOG, hourOf(DAY, 8), idNumber(1));
    expect(searchingAt(first, AMMERBOG, hourOf(DAY, 9), idNumber(2))).to.equal(first);
    const second = searchingAt(first, PASTURE, hourOf(DAY, 9), idNumber(2));
    expect(second.map(({ to }) => to)).to.deep.equal([hourOf(DAY, 9), undefined]);
    const back = searchingAt(first, PASTURE, hourOf(DAY, 6), idNumber(2));
    expect(back[0]?.to).to.equal(back[0]?.from);
    expect(outingSchema.safeParse(outingOn(DAY, 5, 12, { searches: [...back] })).success).to.equal(true);
    expect(minutesOf({ id: idNumber(1), from: hourOf(DAY, 8) }, Date.parse(hourOf(DAY, 9.5)))).to.equal(90);
    expect(minutesOf({ id: idNumber(1), from: hourOf(DAY, 8), minutes: 20 }, Date.parse(hourOf(DAY, 9)))).to.equal(20);
  });
});

describe("what belongs to which outing", () => {
  const morning = kept(1, outingOn(DAY, 8, 12));
  const evening = kept(2, outingOn(DAY, 16, 19));
  it("is told by the time; shortly before it began counts to it, and between two belongs to none", () => {
    const at = (hour: number) => outingOf({ at: Date.parse(hourOf(DAY, hour)) }, [morning, evening])?.id;
    expect([9, 17, 7.9, 14, 7].map(at)).to.deep.equal([morning.id, evening.id, morning.id, undefined, undefined]);
  });

  it("of two at once is told by the place, and else the one that began later", () => {
    const position = (lat: number) => ({ lat, lon: -25.4 });
    const north = kept(
      1,
      outingOn(DAY, 8, 12, { nothing: [{ id: idNumber(5), at: hourOf(DAY, 9), position: position(61.95) }] }),
    );
    const south = kept(
      2,
      outingOn(DAY, 8.5, 12, { nothing: [{ id: idNumber(6), at: hourOf(DAY, 9), position: position(61.85) }] }),
    );
    const at = Date.parse(hourOf(DAY, 10));
    expect(outingOf({ at, position: position(61.94) }, [north, south])?.id).to.equal(north.id);
    expect(outingOf({ at, position: position(61.86) }, [north, south])?.id).to.equal(south.id);
    expect(outingOf({ at }, [north, south])?.id).to.equal(south.id);
  });

  it("within an outing is the search that was going on", () => {
    const searches = [
      { id: idNumber(1), place: AMMERBOG, from: hourOf(DAY, 8), to: hourOf(DAY, 9) },
      { id: idNumber(2), place: PASTURE, from: hourOf(DAY, 10) },
    ];
    const at = (hour: number) => searchOf({ searches }, Date.parse(hourOf(DAY, hour)))?.id;
    expect([7.9, 8.5, 9.5, 11].map(at)).to.deep.equal([1, 1, 1, 2].map(idNumber));
  });
});

describe("two devices on one outing", () => {
  const begun = outingOn(DAY, 8, undefined);
  const nothingAt = (number: number, hour: number) => ({ id: idNumber(number), at: hourOf(DAY, hour) });
  const own = () =>
    fc.record({
      nothing: fc.uniqueArray(fc.integer({ min: 1, max: 40 }), { maxLength: 6 }),
      searches: fc.uniqueArray(fc.integer({ min: 1, max: 40 }), { maxLength: 4 }),
      ends: fc.option(fc.integer({ min: 10, max: 20 }), { nil: undefined }),
    });
  it("lose nothing of either, in whichever order they are put together", () => {
    fc.assert(
      fc.property(own(), own(), (one, other) => {
        const of = ({ nothing, searches, ends }: typeof one): Outing => ({
          ...begun,
          nothing: nothing.map((number) => nothingAt(number, 8 + number / 20)),
          searches: searches.map((number) => ({ id: idNumber(number), from: hourOf(DAY, 8 + number / 20) })),
          ...(ends === undefined ? {} : { endedAt: hourOf(DAY, ends) }),
        });
        const [mine, theirs] = [of(one), of(other)];
        const [merged, turned] = [outingKind.merge(begun, mine, theirs), outingKind.merge(begun, theirs, mine)];
        const ids = (outing: Outing | undefined) =>
          [...(outing?.nothing ?? []), ...(outing?.searches ?? [])].map(({ id }) => id).sort();
        expect(ids(merged)).to.deep.equal(
          [
            ...new Set([...mine.nothing, ...theirs.nothing].map(({ id }) => id)),
            ...new Set([...mine.searches, ...theirs.searches].map(({ id }) => id)),
          ].sort(),
        );
        expect(ids(turned)).to.deep.equal(ids(merged));
        expect(turned?.endedAt).to.equal(merged?.endedAt);
        const ends = [mine.endedAt, theirs.endedAt].filter((end) => end !== undefined).sort();
        expect(merged?.endedAt).to.equal(ends.at(-1));
      }),
      { numRuns: 200 },
    );
  });

  it("that call different ground unclean, or show different things of a place, keep the stricter of both", () => {
    const base = squareAt(61.9, -25.4, 300, { share: "10km" });
    const merged = placeKind.merge(
      base,
      { ...base, concerns: ["roadside"], share: "exact" },
      { ...base, concerns: ["flood-silt"], share: "1km" },
    );
    expect(merged?.concerns).to.have.members(["roadside", "flood-silt"]);
    expect(merged?.share).to.equal("1km");
  });

  it("change it field by field, and back", () => {
    const touched = applyTouches(outingKind, { content: begun, archived: false }, [
      { changes: [{ kind: "set-field", field: "endedAt", value: hourOf(DAY, 12) }] },
    ]);
    if (!touched.ok) throw new Error(JSON.stringify(touched.faults));
    const back = applyTouches(outingKind, touched.value, [{ changes: touched.value.inverses[0] ?? [] }]);
    expect(back.ok && back.value.content).to.deep.equal(begun);
    const wrong = applyTouches(outingKind, { content: begun, archived: false }, [
      { changes: [{ kind: "set-field", field: "endedAt", value: hourOf(DAY, 7) }] },
    ]);
    expect(wrong.ok).to.equal(false);
  });
});

describe("an outing is not over until", () => {
  const outing = outingOn(DAY, 8, 12, { companions: [{ name: "Runa", isNew: true }] });
  const find = (number: number, body: object) =>
    findOf([{ ...bodyOf({}), ...body }], { id: idNumber(number), label: `find ${number}` });
  const kinds = (all: ReturnType<typeof stillOpen>) => all.map((one) => one.kind);
  const reminder: Reminder = reminderSchema.parse({
    kind: "puzzle",
    what: "find 3",
    from: "2026-09-28",
    to: "2026-10-02",
    find: idNumber(3),
    madeAt: hourOf(DAY, 13),
  });

  it("every find has an ending, every print is read, and every open one has a date", () => {
    const unread = { ending: "home-to-finish", print: { laidAt: hourOf(DAY, 12) } };
    expect(kinds(stillOpen(outing, [find(1, {})], []))).to.deep.equal(["no-ending"]);
    expect(kinds(stillOpen(outing, [find(2, unread)], []))).to.deep.equal(["print-unread", "no-date"]);
    expect(kinds(stillOpen(outing, [find(3, { ending: "puzzle-kept-open" })], []))).to.deep.equal(["no-date"]);
    expect(stillOpen(outing, [find(3, { ending: "puzzle-kept-open" })], [reminder])).to.deep.equal([]);
    expect(stillOpen(outing, [find(4, { ending: "left-past-it" })], [])).to.deep.equal([]);
  });

  it("somebody else has looked at what somebody new has found", () => {
    const found = { ...outing, foundBy: [{ find: idNumber(4), name: "Runa" }] };
    const left = find(4, { ending: "left-past-it" });
    expect(kinds(stillOpen(found, [left], []))).to.deep.equal(["only-the-new"]);
    const seen = { ...outing, foundBy: [{ find: idNumber(4), name: "Runa", seenBy: "Ilva" }] };
    expect(stillOpen(seen, [left], [])).to.deep.equal([]);
  });
});
