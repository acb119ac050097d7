/** A test that is asked for opens something: never a look that was surely made and that nothing hides. */
import { expect } from "chai";
import fc from "fast-check";
import { assess } from "../answer/answer.ts";
import { isCharacterId } from "../find/vocabulary.ts";
import { isHidden } from "../judge/masks.ts";
import { sceneOf } from "../judge/scene.ts";
import { borderFinds } from "../tests/border-finds.ts";
import { SHIPPED } from "../tests/shipped.ts";

describe("a planned test", () => {
  it("opens what is unanswered, unsure or hidden; a hold without any says why nothing helps", () => {
    fc.assert(
      fc.property(borderFinds(), (find) => {
        const answer = assess(find, SHIPPED);
        if (answer.verdict === "hold" && answer.next.tests.length === 0)
          expect(answer.next.nothingHelps ?? "").to.have.length.greaterThan(10);
        for (const { opens, test } of answer.next.tests) {
          const body = find.bodies.find((one) => one.id === opens.body);
          if (body === undefined) continue;
          const entries = (body.seen ?? []).filter((entry) => entry.character === opens.character);
          const sure = entries.some((entry) => entry.states !== undefined && entry.sure !== false);
          if (!sure) continue;
          const scene = sceneOf(find).bodies.find((one) => one.body.id === body.id);
          const look = isCharacterId(opens.character) ? scene?.looks.get(opens.character) : undefined;
          const hidden = look !== undefined && scene !== undefined && isHidden(look, scene.conditions);
          expect(hidden, `${test} opens ${opens.character} of a ${body.age} one`).to.equal(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});
