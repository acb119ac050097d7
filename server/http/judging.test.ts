import { assess, findSchema } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { Judging } from "../judging.ts";

const knowledge = readKnowledge();
const [first] = seasonFinds();
if (first === undefined) throw new Error("no demo finds");

describe("judging on the server", () => {
  it("says what the core says, of every demo find", async () => {
    const judging = new Judging(knowledge);
    for (const find of seasonFinds()) {
      const { verdict, bodies } = assess(find, knowledge);
      expect(await judging.standing(find.id, "1", find)).to.deep.include({ verdict, bodies });
    }
  });

  it("judges a version once, and the next one anew", async () => {
    const judging = new Judging(knowledge);
    const one = await judging.standing(first.id, "1", first);
    expect(await judging.standing(first.id, "1", first)).to.equal(one);
    const bare = findSchema.parse({ ...first, bodies: first.bodies.map(({ id }) => ({ id })) });
    const next = await judging.standing(first.id, "2", bare);
    expect(next).not.to.equal(one);
    expect(next.verdict).to.equal(assess(bare, knowledge).verdict);
  });

  it("judges anew what was written anew under an old id and version", async () => {
    const judging = new Judging(knowledge);
    const bare = findSchema.parse({ ...first, bodies: first.bodies.map(({ id }) => ({ id })) });
    await judging.ofFind({ find: first, version: 1, updatedAt: "2026-09-14T10:00:00.000Z" });
    const anew = await judging.ofFind({ find: bare, version: 1, updatedAt: "2026-11-14T10:00:00.000Z" });
    expect(anew.verdict).to.equal(assess(bare, knowledge).verdict);
    expect(anew.bodies).to.deep.equal(assess(bare, knowledge).bodies);
  });

  it("leaves the loop free between two records, however many are asked for at once", async () => {
    const judging = new Judging(knowledge);
    let turns = 0;
    let judged = false;
    const count = () => {
      turns += 1;
      if (!judged) setImmediate(count);
    };
    setImmediate(count);
    const many = Array.from({ length: 40 }, (_, index) => ({ ...first, id: `copy-${index}` }));
    await Promise.all(many.map((find) => judging.standing(find.id, "1", find)));
    judged = true;
    // one turn of the loop for each record at the least: nobody waits for all of them
    expect(turns).to.be.at.least(many.length);
  });

  it("goes on after a record that cannot be judged", async () => {
    const judging = new Judging(knowledge);
    let failed = false;
    await judging.standing("broken", "1", { bodies: null } as never).catch(() => {
      failed = true;
    });
    expect(failed).to.equal(true);
    expect((await judging.standing(first.id, "1", first)).verdict).to.equal(assess(first, knowledge).verdict);
  });
});
