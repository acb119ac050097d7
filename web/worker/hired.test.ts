import { setTimeout as wait } from "node:timers/promises";
import { expect } from "chai";
import { expose } from "comlink";
import { hiring } from "./hired.ts";

let atWork: Promise<unknown> = Promise.resolve();

/** What the thread of these tests can do. */
const able = {
  echo: (word: string) => word,
  fail: () => {
    throw new TypeError("that is no question");
  },
  /** Answers after a while, one after the other. */
  work: (ms: number) => {
    atWork = atWork.then(() => wait(ms, ms));
    return atWork;
  },
  /** Never answers. */
  hang: () => new Promise<string>(() => undefined),
};

/** A thread as a browser gives one: what it is told comes in a message of its own, one after the other. */
class Thread extends EventTarget {
  static begun: Thread[] = [];
  readonly #channel = new MessageChannel();
  isOver = false;
  constructor() {
    super();
    Thread.begun.push(this);
    expose(able, this.#channel.port2);
    this.#channel.port1.start();
  }
  postMessage(message: unknown) {
    this.#channel.port1.postMessage(message);
  }
  override addEventListener(kind: string, listener: EventListener) {
    if (kind === "message") this.#channel.port1.addEventListener(kind, listener);
    else super.addEventListener(kind, listener);
  }
  override removeEventListener(kind: string, listener: EventListener) {
    if (kind === "message") this.#channel.port1.removeEventListener(kind, listener);
    else super.removeEventListener(kind, listener);
  }
  terminate() {
    this.isOver = true;
    this.#channel.port1.close();
  }
}

const SILENCE = 150;
/** A thread that can be asked, and how what was asked ended. */
const someone = (atMost = 10_000) =>
  hiring<typeof able>(() => new Thread() as unknown as Worker, { silence: SILENCE, atMost });
const ending = (asked: Promise<unknown>) =>
  asked.then(
    (reply) => reply,
    (error: unknown) => (error instanceof Error ? error.message : error),
  );

describe("a thread that is asked", () => {
  beforeEach(() => {
    Thread.begun = [];
  });
  afterEach(() => {
    for (const one of Thread.begun) one.terminate();
  });

  it("is hired at the first question, and answers them all", async () => {
    const ask = someone();
    expect(Thread.begun).to.have.length(0);
    expect(await ask((remote) => remote.echo("one"))).to.equal("one");
    expect(await ask((remote) => remote.echo("two"))).to.equal("two");
    expect(Thread.begun).to.have.length(1);
  });

  it("is not late with what stands behind much else, as long as that is answered", async () => {
    const ask = someone();
    // all at once, each well within its time, together well beyond it
    const asked = Array.from({ length: 8 }, () => ask((remote) => remote.work(60)));
    expect(await Promise.all(asked.map(ending))).to.deep.equal(Array(8).fill(60));
    expect(Thread.begun).to.have.length(1);
  });

  it("is dead when nothing is heard of it; whoever waits is told at once, and the next question hires another", async () => {
    const ask = someone();
    await ask((remote) => remote.echo("it lives"));
    const first = ending(ask((remote) => remote.hang()));
    await wait(SILENCE / 2);
    const begun = performance.now();
    const second = ending(ask((remote) => remote.hang()));
    expect(await first).to.equal("the thread did not answer");
    expect(await second).to.equal("the thread did not answer");
    // not after a silence of its own
    expect(performance.now() - begun).to.be.lessThan(SILENCE);
    expect(Thread.begun[0]?.isOver).to.equal(true);
    expect(await ask((remote) => remote.echo("another"))).to.equal("another");
    expect(Thread.begun).to.have.length(2);
  });

  it("is not taken for dead because the page itself stood still", async () => {
    const ask = someone();
    const asked = ending(ask((remote) => remote.work(SILENCE / 2)));
    await wait(SILENCE / 3);
    // as a phone that was put away: what was answered meanwhile lies there, and so does the end of the time
    const wakes = performance.now() + 2 * SILENCE;
    while (performance.now() < wakes);
    expect(await asked).to.equal(SILENCE / 2);
    expect(Thread.begun).to.have.length(1);
  });

  it("leaves no question waiting for ever, however much else it answers", async () => {
    const ask = someone(3 * SILENCE);
    const forgotten = ending(ask((remote) => remote.hang()));
    let isOver = false;
    void forgotten.then(() => {
      isOver = true;
    });
    while (!isOver) {
      await ending(ask((remote) => remote.echo("still here")));
      await wait(10);
    }
    expect(await forgotten).to.equal("the thread did not answer");
  });

  it("says of one question that it cannot be answered, and goes on with the others", async () => {
    const ask = someone();
    const [failed, answered] = await Promise.all([
      ending(ask((remote) => remote.fail())),
      ending(ask((remote) => remote.echo("fine"))),
    ]);
    expect([failed, answered]).to.deep.equal(["that is no question", "fine"]);
    expect(Thread.begun).to.have.length(1);
  });

  it("that breaks down is known to be dead before its time is over", async () => {
    const ask = someone();
    const asked = ending(ask((remote) => remote.hang()));
    Thread.begun[0]?.dispatchEvent(new Event("error"));
    expect(await asked).to.equal("the thread broke down");
    expect(await ask((remote) => remote.echo("another"))).to.equal("another");
  });

  it("that broke down while nobody asked costs no question", async () => {
    const ask = someone();
    await ask((remote) => remote.echo("one"));
    Thread.begun[0]?.dispatchEvent(new Event("error"));
    expect(await ask((remote) => remote.echo("two"))).to.equal("two");
    expect(Thread.begun).to.have.length(2);
  });

  it("that cannot be begun at all is no answer, and is tried again", async () => {
    let isThere = false;
    const ask = hiring<typeof able>(
      () => {
        if (!isThere) throw new ReferenceError("there are no threads here");
        return new Thread() as unknown as Worker;
      },
      { silence: SILENCE, atMost: SILENCE },
    );
    expect(await ending(ask((remote) => remote.echo("one")))).to.equal("there are no threads here");
    isThere = true;
    expect(await ask((remote) => remote.echo("two"))).to.equal("two");
  });
});
