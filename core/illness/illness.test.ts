import { expect } from "chai";
import fc from "fast-check";
import {
  type Account,
  FELT,
  MESSAGE_LENGTH,
  messageOf,
  readTold,
  standingMeals,
  strike,
  type Told,
  tell,
  togetherTold,
} from "./account.ts";
import { ONSET_WINDOWS, WINDOW_WORDS, windowsAt } from "./windows.ts";

const HOUR = 3_600_000;
const NOW = new Date("2026-09-20T12:00:00Z");
const ago = (hours: number): string => new Date(NOW.getTime() - hours * HOUR).toISOString();
const stateAt = (hours: number) =>
  new Map(windowsAt([new Date(NOW.getTime() - hours * HOUR)], NOW).map(({ id, state }) => [id, state]));

describe("windows of onset", () => {
  // White and others, Toxicon 157 (2019), and handbooks of poison centres; from memory
  it("are those of the clinical classification, in hours from the meal", () => {
    const published: Readonly<Record<string, readonly [number, number]>> = {
      muscarine: [0.25, 2],
      "ibotenic-acid": [0.5, 3],
      gut: [0.5, 4],
      gyromitrin: [5, 12],
      amatoxin: [6, 24],
      rhabdomyolysis: [24, 72],
      orellanine: [48, 480],
    };
    for (const [id, hours] of Object.entries(published))
      expect(ONSET_WINDOWS.find((one) => one.id === id)?.usual, id).to.deep.equal(hours);
  });

  it("are all told at every hour: none is closed by the clock", () => {
    fc.assert(
      fc.property(fc.double({ min: -100, max: 5000, noNaN: true }), (hours) => {
        const states = stateAt(hours);
        expect([...states.keys()]).to.deep.equal(ONSET_WINDOWS.map(({ id }) => id));
        for (const state of states.values()) expect(WINDOW_WORDS[state]).to.match(/may|not ruled out/);
      }),
    );
  });

  it("keep the liver poison open after early sickness", () => {
    expect(stateAt(1).get("amatoxin")).to.equal("to-come");
    expect(stateAt(3).get("gut")).to.equal("usual-hours");
    expect(stateAt(3).get("amatoxin")).to.equal("to-come");
    expect(stateAt(12).get("amatoxin")).to.equal("usual-hours");
    expect(stateAt(30).get("amatoxin")).to.equal("usual-hours");
    expect(stateAt(30).get("orellanine")).to.equal("to-come");
  });

  it("are counted from each of several meals: a later one hides nothing of an earlier", () => {
    const both = new Map(
      windowsAt([new Date(ago(1)), new Date(ago(20))], NOW).map(({ id, state }) => [id, state] as const),
    );
    expect(both.get("amatoxin")).to.equal("usual-hours");
    expect(both.get("gut")).to.equal("usual-hours");
    expect(both.get("orellanine")).to.equal("to-come");
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 600, noNaN: true }),
        fc.double({ min: 0, max: 600, noNaN: true }),
        (a, b) => {
          const alone = stateAt(a);
          for (const { id, state } of windowsAt([new Date(ago(a)), new Date(ago(b))], NOW))
            if (alone.get(id) === "usual-hours") expect(state).to.equal("usual-hours");
        },
      ),
    );
    expect(windowsAt([], NOW).every(({ state }) => state === "to-come")).to.equal(true);
  });

  it("count a meal that is still to come as eaten now, and refuse a time that is none", () => {
    expect([...stateAt(-5).values()].every((state) => state === "to-come")).to.equal(true);
    expect(() => windowsAt([new Date("never")], NOW)).to.throw(RangeError);
  });
});

const someTold: fc.Arbitrary<Told> = fc.record({
  id: fc.uuid(),
  toldAt: fc.constant(ago(1)),
  kind: fc.constant("felt" as const),
  who: fc.constantFrom("", "Hanne", "Jorun"),
  since: fc.integer({ min: 0, max: 90 }).map(ago),
  what: fc.oneof(
    fc.constantFrom(...FELT),
    fc.string({ minLength: 1, maxLength: 400 }).filter((text) => text.trim() !== ""),
  ),
});
const meal = (id: string, hours: number, what: string): Told => ({
  id,
  kind: "meal",
  toldAt: ago(0),
  eatenAt: ago(hours),
  what,
});

describe("what is told while somebody is ill", () => {
  it("is never edited away: what was struck stands there with its time, and stays struck as it was", () => {
    fc.assert(
      fc.property(fc.uniqueArray(someTold, { selector: (one) => one.id, maxLength: 12 }), fc.nat(), (told, which) => {
        const account = told.reduce<Account>(tell, []);
        const id = told[which % Math.max(1, told.length)]?.id ?? "none";
        const struck = strike(strike(account, id, ago(0.5)), id, ago(0));
        expect(struck).to.have.length(account.length);
        expect(struck.map(({ struckAt: _at, ...one }) => one)).to.deep.equal(account);
        expect(struck.filter((one) => one.struckAt !== undefined).map((one) => one.struckAt)).to.deep.equal(
          told.length === 0 ? [] : [ago(0.5)],
        );
      }),
    );
  });

  it("counts from every meal that stands, the latest first", () => {
    const account = [meal("a", 40, "soup"), meal("b", 7, "honey fungus"), meal("c", 60, "toast")];
    expect(standingMeals(account).map(({ id }) => id)).to.deep.equal(["b", "a", "c"]);
    expect(standingMeals(strike(account, "b", ago(0))).map(({ id }) => id)).to.deep.equal(["a", "c"]);
    expect(standingMeals([])).to.deep.equal([]);
  });

  it("told in two places is one account: nothing of either is lost, and what either struck is struck", () => {
    const things = fc.uniqueArray(someTold, { selector: (one) => one.id, maxLength: 10 });
    fc.assert(
      fc.property(things, things, fc.nat(), (mine, theirs, which) => {
        const shared = [...mine, ...theirs];
        const struck = strike(mine, mine[which % Math.max(1, mine.length)]?.id ?? "", ago(0.2));
        const one = togetherTold(struck, shared);
        expect(one).to.deep.equal(togetherTold(shared, struck));
        expect(new Set(one.map(({ id }) => id))).to.deep.equal(new Set(shared.map(({ id }) => id)));
        expect(one.filter(({ struckAt }) => struckAt !== undefined)).to.have.length(mine.length === 0 ? 0 : 1);
      }),
    );
  });

  it("is read out in a thousand characters at most, and always ends with what must not be forgotten", () => {
    fc.assert(
      fc.property(fc.array(someTold, { maxLength: 40 }), (told) => {
        const text = messageOf([meal("m", 9, "fried, about 150 g each"), ...told], NOW, (iso) => iso.slice(0, 16));
        expect(text.length).to.be.at.most(MESSAGE_LENGTH);
        expect(text).to.match(/^Mushrooms were eaten\. Eaten .*\(9 h ago\): fried/);
        expect(text).to.match(/does not exclude a late liver poison\.$/);
      }),
    );
    expect(messageOf([], NOW, (iso) => iso)).to.contain("not told yet");
  });

  it("says nothing that was struck, and nothing that could comfort", () => {
    const account = strike([meal("a", 3, "wrong one"), meal("b", 3, "right one")], "a", ago(0));
    const text = messageOf(account, NOW, (iso) => iso);
    expect(text).not.to.contain("wrong one");
    for (const all of [text, ...FELT, ...ONSET_WINDOWS.map((one) => one.about), ...Object.values(WINDOW_WORDS)])
      expect(all).not.to.match(/harmless|safe|may be eaten|no danger|mild/i);
  });

  it("is read thing by thing: one that cannot be read is kept apart and takes no other with it, however many there are", () => {
    const many = Array.from({ length: 900 }, (_, index) => meal(`m${index}`, index / 10, "soup"));
    const wrong = [{ kind: "meal" }, meal("a", 3, "   "), { ...meal("b", 3, "x"), eatenAt: "noon" }, null, 7];
    const read = readTold([...many, ...wrong]);
    expect(read.told).to.deep.equal(many);
    expect(read.unreadable).to.deep.equal(wrong);
    for (const none of [undefined, {}, "told"]) expect(readTold(none)).to.deep.equal({ told: [], unreadable: [] });
    // a year that no calendar of ours has
    expect(
      readTold([{ ...meal("c", 3, "x"), eatenAt: new Date(Date.UTC(12026, 1)).toISOString() }]).told,
    ).to.deep.equal([]);
  });
});
