import { assess, type Find, isCharacterId, newFind } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { nextPlace, questionOf } from "../find/going-on.ts";
import { askedTests, askedWords, placeOfTest, testPath } from "./place-of-test.ts";
import { itemOf, STATIONS } from "./stations.ts";

const knowledge = readKnowledge();
const finds = [...seasonFinds(), newFind("0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10", "2026-09-14T10:00:00Z")];
const answers = finds.map((find) => assess(find, knowledge));

describe("where a planned test leads", () => {
  it("is a question of a station, on the body on which it is open", () => {
    const tests = finds.flatMap((find, index) => (answers[index]?.next.tests ?? []).map((test) => ({ find, test })));
    expect(tests.length).to.be.above(10);
    for (const { find, test } of tests) {
      const place = placeOfTest(find, test);
      if (test.test === "find-an-older-one") {
        expect(place).to.equal(undefined);
        continue;
      }
      const station = STATIONS.find((one) => one.id === place?.station);
      expect(station?.questions.map(itemOf), test.text).to.include(place?.item);
      expect(place?.body).to.equal(test.opens.body ?? test.body);
      if (isCharacterId(test.opens.character)) {
        expect(place?.item).to.equal(place?.item === "lifted" ? "lifted" : test.opens.character);
        expect(askedWords(test)).not.to.equal(test.text);
        expect(testPath(find, test)).to.contain(`ask=${place?.item}`);
      }
    }
  });

  it("goes on at the station and the body where one is, as long as something is open there", () => {
    const [find] = finds.slice(-1);
    const answer = answers.at(-1);
    if (answer === undefined || find === undefined) throw new Error("no new find");
    for (const { id } of STATIONS) {
      const open = answer.next.tests.map((test) => placeOfTest(find, test)).filter((place) => place?.station === id);
      for (const place of open) {
        if (place?.body === undefined) continue;
        expect(nextPlace(find, answer, id, place.body)?.station).to.equal(id);
        expect(nextPlace(find, answer, id, place.body)?.body).to.equal(place.body);
      }
    }
    expect(nextPlace(find, { ...answer, next: { ...answer.next, tests: [] } }, "cap", "A")).to.equal(undefined);
  });

  it("asks last what somebody has said cannot be told", () => {
    const fresh = newFind("0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10", "2026-09-14T10:00:00Z");
    const told: Find = {
      ...fresh,
      bodies: [{ id: "A", age: "mature", seen: [{ character: "ring", unseen: "cannot tell" }] }],
    };
    const { tests } = assess(told, knowledge).next;
    const asked = askedTests(told, tests);
    expect(asked).to.have.length(tests.length);
    const ring = asked.findIndex((test) => test.opens.character === "ring");
    if (ring >= 0) expect(ring).to.equal(asked.length - 1);
    expect(asked[0]?.opens.character).not.to.equal("ring");
  });

  it("knows which question a change has answered, to go back to it", () => {
    expect(questionOf({ kind: "set-body", body: "B", field: "age", value: "old" })).to.deep.equal({
      item: "age",
      body: "B",
    });
    expect(questionOf({ kind: "unsee", body: "A", character: "ring" })).to.deep.equal({ item: "ring", body: "A" });
    expect(questionOf({ kind: "remove-body", body: "A" })).to.equal(undefined);
  });
});
