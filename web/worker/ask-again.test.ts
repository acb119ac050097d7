import { mock } from "node:test";
import { setImmediate as turn } from "node:timers/promises";
import { expect } from "chai";
import { type Asking, askUntilAnswered } from "./ask-again.ts";

describe("a question that is asked until it is answered", () => {
  const heard: string[] = [];
  let asked = 0;
  let failing = 0;
  let asking: Asking;
  const ask = () => {
    asked += 1;
    return asked <= failing ? Promise.reject(new Error("no judge")) : Promise.resolve(`answer ${asked}`);
  };
  const begin = (failures: number) => {
    failing = failures;
    asking = askUntilAnswered({
      ask,
      onReply: (reply) => heard.push(reply),
      onFailure: () => heard.push("none"),
    });
    return asking.first;
  };
  /** What is settled is heard in the turns after it. */
  const after = async (ms: number) => {
    mock.timers.tick(ms);
    await turn();
  };

  beforeEach(() => {
    mock.timers.enable({ apis: ["setTimeout"] });
    heard.length = 0;
    asked = 0;
  });
  afterEach(() => {
    asking.stop();
    mock.timers.reset();
  });

  it("says each time that there is none, waits twice as long, and asks no more once it is answered", async () => {
    await begin(2);
    expect(heard).to.deep.equal(["none"]);
    await after(1900);
    expect(asked).to.equal(1);
    await after(200);
    expect(heard).to.deep.equal(["none", "none"]);
    await after(2100);
    expect(asked).to.equal(2);
    await after(2000);
    expect(heard).to.deep.equal(["none", "none", "answer 3"]);
    await after(600_000);
    expect(asked).to.equal(3);
  });

  it("never waits longer than a minute", async () => {
    await begin(20);
    for (let waits = 0; waits < 12; waits += 1) await after(60_000);
    expect(asked).to.equal(13);
  });

  it("hears and asks nothing any more when it is stopped", async () => {
    const first = begin(0);
    asking.stop();
    await first;
    expect(heard).to.deep.equal([]);
    asked = 0;
    await begin(5);
    asking.stop();
    await after(600_000);
    expect(asked).to.equal(1);
  });
});
