import { expect } from "chai";
import { assess } from "../answer/answer.ts";
import { SHIPPED } from "../tests/shipped.ts";
import { takenForEvidence } from "./ground.ts";
import { typicalFind } from "./typical.ts";

/** Places where dangers have been met that no book names for them (common practice, no source). */
const PLACES = [
  { habitat: ["orchard"], host: ["apple"] },
  { habitat: ["roadside"], host: ["hawthorn"] },
  { habitat: ["graveyard"], host: ["yew"] },
  { habitat: ["lawn-or-park"], host: ["horse-chestnut"] },
  { habitat: ["garden-bed"], host: ["cherry"], substrate: ["wood-chips"] },
] as const;

describe("the ground and its trees", () => {
  for (const place of PLACES)
    it(`tell nothing against a danger: ${Object.values(place).flat().join(", ")}`, () => {
      const gone = SHIPPED.dangers.flatMap((danger) => {
        const find = typicalFind(danger);
        const isOfSoil = danger.characters.substrate?.mature?.soil !== undefined;
        const { substrate, ...rest } = { substrate: find.site?.substrate, ...place };
        const site = { ...find.site, ...rest, ...(isOfSoil ? { substrate } : {}) };
        const answer = assess({ ...find, site: JSON.parse(JSON.stringify(site)) }, SHIPPED);
        const own = answer.dangers.find((one) => one.sheet === danger.id);
        return own?.mistakes === 0 ? [] : [`${danger.id}: ${own?.points.map((point) => point.text).join("; ")}`];
      });
      expect(gone).to.deep.equal([]);
    });

  it("a danger that comes up through soil may lift some on its cap", () => {
    for (const danger of SHIPPED.dangers.filter((one) => one.characters.substrate?.mature?.soil !== undefined)) {
      const find = typicalFind(danger);
      const bodies = find.bodies.map((body) => ({
        ...body,
        seen: [
          ...(body.seen ?? []).filter((entry) => entry.character !== "cap-surface"),
          { character: "cap-surface" as const, states: ["soil-lifted"] },
        ],
      }));
      const own = assess({ ...find, bodies }, SHIPPED).dangers.find((one) => one.sheet === danger.id);
      expect(own?.points ?? [], danger.id).to.deep.equal([]);
    }
  });

  it("a sheet that never heard of a tree is found by the lint's rule", () => {
    const cap = SHIPPED.byId.get("amanita-phalloides");
    if (cap === undefined) throw new Error("no sheet");
    expect(takenForEvidence(cap)).to.deep.equal([]);
    const mature = Object.fromEntries(
      Object.entries(cap.characters.host?.mature ?? {}).filter(([state]) => state !== "cherry"),
    );
    const narrow = { ...cap, characters: { ...cap.characters, host: { ...cap.characters.host, mature } } };
    expect(takenForEvidence(narrow as typeof cap)).to.deep.equal([["host", "cherry"]]);
  });
});
