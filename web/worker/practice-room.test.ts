import { DANGER_TIERS } from "@jittery-cap/core";
import { allSkills, type Exercise, type Learner, pairId, type Tried } from "@jittery-cap/core/trainer";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import fc from "fast-check";
import { type Learning, practiceRoom } from "./practice-room.ts";

const KNOWLEDGE = readKnowledge();
const room = practiceRoom(KNOWLEDGE);
const BEGAN = Date.UTC(2026, 8, 10);
const EUROPE: Learner = { region: "europe", ofYear: 252, sought: [], wrongInLog: [] };
const learning = (tries: readonly Tried[] = [], learner: Learner = EUROPE): Learning => ({
  tries,
  learner,
  now: BEGAN + 19 * 3_600_000,
  dayBegan: BEGAN,
});

describe("the trainer beside the sheets", () => {
  it("makes an exercise of every kind that is asked for, and always the same of the same seed", () => {
    const kinds: Readonly<Partial<Record<Exercise, readonly string[]>>> = {
      whole: ["whole"],
      // where no look decides a pair, the pair is practised on a whole find
      two: ["two", "whole"],
      look: ["look"],
      nothing: ["nothing"],
      lamp: ["lamp"],
    };
    for (const exercise of ["whole", "two", "look", "nothing", "lamp"] as const)
      for (const seed of ["a", "b", "c"]) {
        const item = room.next(learning(), seed, exercise);
        expect(kinds[exercise], `${exercise} ${seed}`).to.include(item?.kind);
        expect(room.next(learning(), seed, exercise)).to.deep.equal(item);
        expect(item?.edition).to.equal(KNOWLEDGE.edition);
      }
  });

  it("mixes them where none is asked for", () => {
    const kinds = new Set(Array.from({ length: 30 }, (_unused, index) => room.next(learning(), `mix ${index}`)?.kind));
    expect(kinds.size).to.be.at.least(3);
  });

  it("names what an exercise speaks of, and never the kind of a whole find before it is told", () => {
    for (let index = 0; index < 20; index += 1) {
      const two = room.next(learning(), `names ${index}`, "two");
      if (two?.kind !== "two") continue;
      expect(two.names[two.danger]?.common).to.be.a("string");
      expect(two.names[two.sought]?.common).to.be.a("string");
    }
    const whole = room.next(learning(), "whole", "whole");
    expect(whole?.names).to.deep.equal({});
  });

  it("shows as often a danger as the good one that it is taken for", () => {
    const sheets = Array.from({ length: 60 }, (_unused, index) => {
      const item = room.next(learning(), `share ${index}`, "whole");
      return item?.kind === "whole" ? item.sheet : "";
    });
    const dangers = sheets.filter((id) => DANGER_TIERS.has(KNOWLEDGE.byId.get(id)?.tier ?? "edible"));
    expect(dangers.length).to.be.within(15, 45);
  });

  it("goes on with a find look by look, and says what each cost and showed", () => {
    const bare = room.whole("amanita-virosa", "seed", [], {});
    expect(bare.taken).to.deep.equal([]);
    expect(bare.minutes).to.equal(0);
    const [first, second] = bare.offered;
    if (first === undefined || second === undefined) throw new Error("nothing is offered");
    const after = room.whole("amanita-virosa", "seed", [first, second], {});
    expect(after.minutes).to.equal(first.minutes + second.minutes);
    expect(after.taken.map((look) => look.text)).to.deep.equal([first.text, second.text]);
    for (const look of after.taken) expect(look.saw.length).to.be.greaterThan(3);
    expect(after.conditions.length).to.be.greaterThan(1);
    expect(() => room.whole("lunar-cap", "seed", [], {})).to.throw(RangeError);
  });

  it("offers four dangers to name, the one of the confusion among them, in an order that tells nothing", () => {
    const skill = pairId("galerina-marginata", "kuehneromyces-mutabilis");
    const places = new Set<number>();
    for (let index = 0; index < 24; index += 1) {
      const { dangers } = room.whole("kuehneromyces-mutabilis", `order ${index}`, [], {}, skill);
      expect(dangers).to.have.length(4);
      expect(new Set(dangers.map(({ id }) => id)).size).to.equal(4);
      places.add(dangers.findIndex(({ id }) => id === "galerina-marginata"));
    }
    expect(places).to.deep.equal(new Set([0, 1, 2, 3]));
  });

  it("tells what came of a find: what it was, the nearest first, and the course only where it was let through", () => {
    const through = room.result("amanita-virosa", "seed", [], {}, { verdict: "basket", sure: 0.9 });
    expect(through.kind.id).to.equal("amanita-virosa");
    expect(through.course).to.match(/liver/);
    expect(through.nearest).to.have.length(5);
    const distances = through.nearest.map((one) => one.mistakes);
    expect(distances).to.deep.equal([...distances].sort((one, other) => one - other));
    expect(room.result("amanita-virosa", "seed", [], {}, { verdict: "leave", sure: 0.9 }).course).to.equal(undefined);
  });

  it("puts deadly confusions of here and now first, each danger once", () => {
    const ahead = room.ahead(learning());
    expect(ahead).to.have.length(6);
    expect(new Set(ahead.map(({ danger }) => danger.id)).size).to.equal(6);
    for (const { danger } of ahead) expect(danger.tier).to.equal("deadly");
  });

  it("tells today's state of whatever was tried, without a number that is none", () => {
    const skills = allSkills(KNOWLEDGE).map(({ id }) => id);
    const tries = fc.array(
      fc.record({
        skill: fc.constantFrom(...skills),
        at: fc.integer({ min: BEGAN - 400 * 86_400_000, max: BEGAN + 18 * 3_600_000 }),
        isRight: fc.boolean(),
        sure: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(tries, (all) => {
        const today = room.today(learning(all));
        for (const value of [today.minutes, today.due, today.fresh, today.daysToCatchUp, today.tries])
          expect(value).to.be.at.least(0).and.to.satisfy(Number.isFinite);
        expect(today.fresh).to.be.at.most(12);
        expect(room.next(learning(all), "any")).not.to.equal(undefined);
      }),
      { numRuns: 25 },
    );
  });

  it("asks less and less for what is known: right three times, it does not come back for days", () => {
    const skill = pairId("amanita-phalloides", "volvariella-volvacea");
    const at = BEGAN + 10 * 3_600_000;
    const tries = [0, 15, 120].map(
      (minutes): Tried => ({ skill, at: at + minutes * 60_000, isRight: true, sure: 0.9 }),
    );
    expect(room.today(learning(tries)).due).to.equal(0);
    const wrong = tries.map((one) => ({ ...one, isRight: false }));
    expect(room.today(learning(wrong)).due).to.equal(1);
  });

  it("tells sheets that it does not know by the id it was asked for, and as nothing that is for the pot", () => {
    expect(room.lines(["lunar-cap"])).to.deep.equal([
      { id: "lunar-cap", common: "lunar-cap", scientific: "", tier: "inedible" },
    ]);
  });

  it("takes the same twenty for the same word, whoever asks", () => {
    expect(room.test("club night")).to.deep.equal(practiceRoom(KNOWLEDGE).test("club night"));
  });

  it("lists every danger by name, for whoever names another", () => {
    const dangers = room.dangers();
    expect(dangers).to.have.length(KNOWLEDGE.dangers.length);
    const names = dangers.map(({ common }) => common);
    expect(names).to.deep.equal([...names].sort((one, other) => one.localeCompare(other, "en")));
  });
});
