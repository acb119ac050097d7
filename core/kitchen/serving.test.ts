import { expect } from "chai";
import fc from "fast-check";
import { at, DAY, dayOf, eaterOf, HANNE, HOUR, handled, JORUN, mealOf, NOON } from "../tests/kitchen.ts";
import { type Eater, type EaterToday, MATTERS, PORTION_GRAMS } from "./eaters.ts";
import { type AtTable, dryStretches, servingFaults, sharedOut, sharesOf, wildDaysBefore } from "./serving.ts";

const TODAY: EaterToday = { lastAlcoholAt: null, tasting: undefined };
const sits = (eater: Partial<Eater> = {}, more: Partial<AtTable> = {}): AtTable => ({
  eater: eaterOf(eater),
  today: TODAY,
  known: new Set(["boletus-edulis", "hydnum-repandum", "morchella-esculenta", "coprinopsis-atramentaria"]),
  wildDays: 0,
  ...more,
});
const CEPS = handled("boletus-edulis");
const INKCAPS = handled("coprinopsis-atramentaria");
const most = (who: AtTable, ...pot: (typeof CEPS)[]) => sharesOf([who], pot, NOON).map((share) => share.most);

describe("who may have what", () => {
  it("gives children, the pregnant, the breastfeeding and the ill none of anything, whatever else is told of them", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("child", "pregnant", "breastfeeding", "ill"),
        fc.subarray([...MATTERS]),
        fc.constantFrom(null, undefined, at(-200)),
        (matter, others, lastAlcoholAt) => {
          const who = sits(
            { matters: [...new Set([matter, ...others] as Eater["matters"])] },
            { today: { ...TODAY, lastAlcoholAt } },
          );
          expect(most(who, CEPS, handled("hydnum-repandum"))).to.deep.equal([0, 0]);
        },
      ),
    );
    expect(most(sits({ ageYears: 11 }), CEPS)).to.deep.equal([0]);
    expect(most(sits({ ageYears: 16 }), CEPS)).to.deep.equal([PORTION_GRAMS.meal]);
  });

  it("gives the frail, and everybody of a kind that asks for it, a small portion", () => {
    expect(most(sits(), CEPS)).to.deep.equal([150]);
    expect(most(sits({ matters: ["frail"] }), CEPS)).to.deep.equal([50]);
    expect(most(sits(), handled("morchella-esculenta"))).to.deep.equal([50]);
  });

  it("refuses inky caps to whoever has drunk within five days, will drink, or of whom nobody told", () => {
    const drank = (lastAlcoholAt: EaterToday["lastAlcoholAt"]) =>
      most(sits({}, { today: { ...TODAY, lastAlcoholAt } }), INKCAPS);
    expect(drank(at(-119))).to.deep.equal([0]);
    expect(drank(at(-121))).to.deep.equal([50]);
    expect(drank(at(2))).to.deep.equal([0]);
    expect(drank(undefined)).to.deep.equal([0]);
    expect(drank("not a moment")).to.deep.equal([0]);
    expect(drank(null)).to.deep.equal([50]);
    // inky cap: three days before and after, five is safer (common practice, no source)
    const [stretch] = dryStretches([CEPS, INKCAPS], NOON);
    expect(stretch).to.deep.include({ from: NOON - 5 * DAY, to: NOON + 5 * DAY });
  });

  it("never gives a kind again to somebody who had trouble with it, however often it went well", () => {
    const had = [{ kind: "boletus-edulis", trouble: true }];
    expect(most(sits({ had }), CEPS)).to.deep.equal([0]);
    expect(most(sits({ had }), handled("boletus-edulis", "imleria-badia"))).to.deep.equal([0]);
    expect(most(sits({ had: [{ kind: "boletus-edulis", trouble: false }] }), CEPS)).to.deep.equal([150]);
  });

  it("gives a tablespoon of a kind that is new to somebody, of one new kind only, and none while another is tasted", () => {
    const nobody = sits({}, { known: new Set() });
    expect(most(nobody, CEPS)).to.deep.equal([15]);
    expect(most(nobody, CEPS, handled("hydnum-repandum"))).to.deep.equal([0, 0]);
    expect(most(sits({}, { known: new Set(["hydnum-repandum"]) }), CEPS, handled("hydnum-repandum"))).to.deep.equal([
      15, 150,
    ]);
    const tasting = sits({}, { known: new Set(), today: { ...TODAY, tasting: "hydnum-repandum" } });
    expect(most(tasting, CEPS)).to.deep.equal([0]);
    // a second spoon of the same kind is had by its tasting, after its wait, and not at the next meal
    const own = sits({}, { known: new Set(), today: { ...TODAY, tasting: "boletus-edulis" } });
    expect(most(own, CEPS)).to.deep.equal([0]);
    // a tasting that ended with something felt stands above whatever is told
    expect(most(sits({}, { troubled: new Set(["boletus-edulis"]) }), CEPS)).to.deep.equal([0]);
    // one of two kinds that stand for each other is not known: new
    expect(
      most(sits({}, { known: new Set(["boletus-edulis"]) }), handled("boletus-edulis", "imleria-badia")),
    ).to.deep.equal([15]);
  });

  it("never gives more by what is told beside: more matters, fewer known kinds, more days running", () => {
    fc.assert(
      fc.property(fc.subarray([...MATTERS]), fc.boolean(), fc.nat(4), (matters, isKnown, wildDays) => {
        const plain = most(sits(), CEPS)[0] ?? 0;
        const told = most(sits({ matters }, { wildDays, ...(isKnown ? {} : { known: new Set() }) }), CEPS)[0] ?? 0;
        expect(told).to.be.at.most(plain);
      }),
    );
  });

  it("gives none after wild mushrooms on two days running, counted by the days of the place", () => {
    const served = (days: number) =>
      mealOf({ served: { at: at(-24 * days), portions: [{ person: HANNE, kind: "x", grams: 90 }] } });
    const days = (...all: number[]) => wildDaysBefore(all.map(served), HANNE, NOON, dayOf);
    expect(days()).to.equal(0);
    expect(days(1)).to.equal(1);
    expect(days(1, 2)).to.equal(2);
    expect(days(2, 3)).to.equal(0);
    expect(wildDaysBefore([served(1)], JORUN, NOON, dayOf)).to.equal(0);
    expect(most(sits({}, { wildDays: 2 }), CEPS)).to.deep.equal([0]);
  });
});

describe("what is served", () => {
  const table = [sits(), sits({ id: JORUN, matters: ["pregnant"] })];
  const shares = sharesOf(table, [CEPS], NOON);
  const grams = new Map([["boletus-edulis", 240]]);
  const portion = (person: string, had: number, kind = "boletus-edulis") => ({ person, kind, grams: had });

  it("is refused for who may not, for more than they may, for more than was cooked and for a stranger at the table", () => {
    expect(servingFaults([portion(HANNE, 150)], shares, grams)).to.deep.equal([]);
    expect(servingFaults([portion(JORUN, 1)], shares, grams)[0]).to.contain("pregnant");
    expect(servingFaults([portion(HANNE, 151)], shares, grams)[0]).to.contain("more than 150 g");
    expect(servingFaults([portion(HANNE, 150)], shares, new Map([["boletus-edulis", 100]]))[0]).to.contain("cooked");
    expect(servingFaults([portion("somebody", 10)], shares, grams)[0]).to.contain("does not sit there");
    expect(servingFaults([portion(HANNE, 10, "hydnum-repandum")], shares, grams)[0]).to.contain("not in the pot");
  });

  it("is shared out so that nothing is wrong with it, whoever sits there and however much there is", () => {
    fc.assert(
      fc.property(fc.array(fc.subarray([...MATTERS]), { minLength: 1, maxLength: 6 }), fc.nat(2000), (all, there) => {
        const people = all.map((matters, index) => sits({ id: `p${index}`, matters }));
        const own = sharesOf(people, [CEPS, handled("hydnum-repandum")], NOON + HOUR);
        const pot = new Map([
          ["boletus-edulis", there],
          ["hydnum-repandum", there / 2],
        ]);
        expect(servingFaults(sharedOut(own, pot), own, pot)).to.deep.equal([]);
      }),
    );
    expect(sharedOut(shares, grams)).to.deep.equal([portion(HANNE, 150)]);
  });
});
