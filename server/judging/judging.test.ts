import { assess, type Find, findSchema, summarise } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { JudgeBusy, type Judging, judgingInThreads } from "./judging.ts";

const knowledge = readKnowledge();
const finds = seasonFinds();
const crowdOf = (length: number): Find =>
  findSchema.parse({
    ...finds[0],
    bodies: Array.from({ length }, (_, index) => ({ ...finds[0]?.bodies[0], id: `B${index}`, sameAs: undefined })),
  });

describe("judging in threads", function () {
  this.timeout(60_000);
  let judging: Judging;
  before(() => {
    // threads read the sources by another loader: what they cover cannot be laid over what this process covers
    const { NODE_V8_COVERAGE: coverage } = process.env;
    delete process.env.NODE_V8_COVERAGE;
    judging = judgingInThreads(knowledge);
    if (coverage !== undefined) process.env.NODE_V8_COVERAGE = coverage;
  });
  after(() => judging.close());

  it("says what the core says, of every demo find, in whole and in short", async () => {
    expect(judging.edition).to.equal(knowledge.edition);
    expect(await judging.answers(finds)).to.deep.equal(
      JSON.parse(JSON.stringify(finds.map((find) => assess(find, knowledge)))),
    );
    expect(await judging.summaries(finds)).to.deep.equal(finds.map((find) => summarise(find, knowledge)));
  });

  it("leaves the event loop free while it judges what takes long", async () => {
    await judging.summaries(finds.slice(0, 1));
    let longest = 0;
    let last = performance.now();
    const timer = setInterval(() => {
      longest = Math.max(longest, performance.now() - last);
      last = performance.now();
    }, 5);
    const begun = performance.now();
    const crowd = crowdOf(120);
    await judging.summaries([crowd, crowd, crowd]);
    const took = performance.now() - begun;
    clearInterval(timer);
    // judged here, the loop would have stood still for all of it
    expect(longest).to.be.below(took / 2);
  });

  it("turns away what is too much, and goes on with the rest", async () => {
    const crowd = crowdOf(30);
    const all = await Promise.allSettled(Array.from({ length: 90 }, () => judging.summaries([crowd])));
    const failed = all.filter((one) => one.status === "rejected");
    expect(failed.length).to.be.within(1, 89);
    for (const one of failed) expect(one.reason).to.be.instanceOf(JudgeBusy);
    expect(await judging.summaries(finds.slice(0, 1))).to.have.length(1);
  });
});
