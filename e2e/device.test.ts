/** What the bench asks of the device: its clock, voice, screen and text size, and how long a touch takes. */
import { expect } from "chai";
import type { Page } from "playwright-core";
import {
  type Application,
  DESK,
  newFind,
  PHONE,
  reach,
  startApplication,
  station,
  untilVerdict,
} from "./application.ts";
import { idOf } from "./every-view.ts";

/** A page's own script: touches a state of the foot and tells after how many ms it was drawn, and was answered. */
interface Standing {
  readonly state: string;
  readonly top: number;
  readonly says: string;
}

/** What the dark half says, and where its dangers begin. */
const STANDING = `(() => ({
  state: document.querySelector("[data-verdict]").getAttribute("data-state"),
  top: document.querySelector(".standing-rows").getBoundingClientRect().top,
  says: document.querySelector(".standing-sentence").innerText.trim(),
}))()`;

/** The same at the moment when a touch was drawn and its answer is not there yet. */
const whileWorking = (state: string) => `new Promise((resolve) => {
  const verdict = document.querySelector("[data-verdict]");
  const watch = new MutationObserver(() => {
    if (verdict.getAttribute("data-state") !== "working") return;
    watch.disconnect();
    resolve(${STANDING});
  });
  watch.observe(verdict, { attributes: true });
  document.querySelector('[data-character="base"] [data-state="${state}"]').click();
})`;

const timed = (state: string) => `new Promise((resolve) => {
  const started = performance.now();
  const choice = document.querySelector('[data-character="base"] [data-state="${state}"]');
  const verdict = document.querySelector("[data-verdict]");
  let drawn = 0;
  const watch = new MutationObserver(() => {
    if (drawn === 0 && choice.getAttribute("aria-pressed") === "true") drawn = performance.now() - started;
    if (drawn === 0 || verdict.getAttribute("data-state") !== "fresh") return;
    watch.disconnect();
    resolve([drawn, performance.now() - started]);
  });
  // of the whole page it would have to note every stroke that is drawn, and time itself
  for (const one of [choice, verdict]) watch.observe(one, { attributes: true });
  choice.click();
})`;

/** A page's own script: stands in for loudspeaker, voice and screen, and counts what is asked of them. */
const RECORDER = `
  window.heard = { tones: 0, spoken: [], awake: 0 };
  window.AudioContext = class {
    currentTime = 0;
    destination = {};
    createOscillator() {
      return { frequency: {}, connect() {}, start() { window.heard.tones += 1; }, stop() {} };
    }
  };
  Object.defineProperty(window, "speechSynthesis", {
    value: { cancel() {}, speak(words) { window.heard.spoken.push(words.text); } },
  });
  Object.defineProperty(navigator, "wakeLock", {
    value: {
      async request() {
        window.heard.awake += 1;
        return { async release() { window.heard.awake -= 1; } };
      },
    },
  });`;
const heard = (page: Page): Promise<{ tones: number; spoken: string[]; awake: number }> =>
  page.evaluate("window.heard");

describe("the device at the bench", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  it("keeps time, and sounds its marks: one tone at ten seconds, two at a minute, three at five", async () => {
    const { page, context } = await application.open();
    await page.clock.install();
    await page.addInitScript(RECORDER);
    await newFind(application, page);
    await station(page, "Foot");
    // from here on time passes only where the test lets it
    await page.clock.pauseAt(new Date(Date.now() + 3_600_000));
    await page.keyboard.press("t");
    const clock = page.getByTestId("stopwatch");
    const tones = async () => (await heard(page)).tones;
    await page.clock.runFor(9000);
    await clock.getByText("0:09").waitFor();
    expect(await tones()).to.equal(0);
    await page.clock.runFor(3000);
    await clock.getByText("0:12").waitFor();
    await clock.getByText("It sounds at 1:00.").waitFor();
    expect(await tones()).to.equal(1);
    await page.clock.runFor(50_000);
    await clock.getByText("1:02").waitFor();
    expect(await tones()).to.equal(3);
    await page.clock.runFor(240_000);
    await clock.getByText("5:02").waitFor();
    expect(await tones()).to.equal(6);
    await page.keyboard.press("t");
    await page.clock.runFor(5000);
    await clock.getByText("5:02").waitFor();
    await context.close();
  });

  it("speaks each step of a run, keeps the screen awake, and lets it sleep again", async () => {
    const { page, context } = await application.open(PHONE);
    await page.addInitScript(RECORDER);
    await page.goto(`${application.address}/finds/${idOf("pale one")}/run`);
    await page.locator('[data-state="fresh"]').first().waitFor();
    await page.getByRole("button", { name: /^Begin/ }).click();
    const stage = page.getByTestId("run-stage");
    await stage.waitFor();
    const shown: string[] = [];
    while (await stage.isVisible()) {
      shown.push((await stage.getByRole("heading", { level: 1 }).textContent()) ?? "");
      expect((await heard(page)).spoken.at(-1)).to.equal(shown.at(-1));
      expect((await heard(page)).awake).to.equal(1);
      // a touch so soon after the last is the same one
      await page.waitForTimeout(400);
      await stage.click({ position: { x: 200, y: 600 } });
    }
    expect((await heard(page)).spoken).to.deep.equal(shown);
    expect(shown.length).to.be.greaterThan(1);
    await page.getByTestId("run-answers").waitFor();
    expect((await heard(page)).awake).to.equal(0);
    await context.close();
  });

  it("can be read at twice the text size without anything reaching past the edge", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await untilVerdict(page, "hold");
    await page.addStyleTag({ content: "html { font-size: 200% }" });
    for (const name of ["Ground", "Bodies", "Cap", "Under", "Stem", "Foot", "Cut", "Nose", "Print"]) {
      await station(page, name);
      const sideways = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(sideways, name).to.be.at.most(0);
    }
    await context.close();
  });

  it("keeps the dangers where they stand while an answer is worked out, and the old sentence is not to be read", async () => {
    const { page, context } = await application.open(DESK);
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await untilVerdict(page, "hold");
    const before = await page.evaluate<Standing>(STANDING);
    const during = await page.evaluate<Standing>(whileWorking("bulb"));
    expect(during.state).to.equal("working");
    expect(during.says).to.equal("Working it out.");
    expect(during.top).to.equal(before.top);
    await untilVerdict(page, "hold");
    expect((await page.evaluate<Standing>(STANDING)).says).not.to.contain("Working it out");
    await context.close();
  });

  for (const [size, name] of [
    [PHONE, "phone"],
    [DESK, "desk"],
  ] as const)
    it(`tells how long a touch takes on a slow ${name}`, async () => {
      const { page, context } = await application.open(size);
      // the question stays on the screen, to be answered again
      await page.addInitScript(() =>
        localStorage.setItem("preferences", JSON.stringify({ state: { weightUnit: "g", goesOn: false }, version: 1 })),
      );
      await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
      await untilVerdict(page, "hold");
      const session = await context.newCDPSession(page);
      await session.send("Emulation.setCPUThrottlingRate", { rate: 4 });
      await reach(page, '[data-character="base"]', "base");
      // what a first visit fetches and lays down is no part of a touch
      await page.waitForTimeout(1500);
      const figure: number[] = [];
      const dark: number[] = [];
      for (const state of [
        "tapered",
        "bulb",
        "sac",
        "plain",
        "tapered",
        "gutter-bulb",
        "plain",
        "sac",
        "bulb",
        "plain",
      ]) {
        const [drawn, answered] = await page.evaluate<[number, number]>(timed(state));
        figure.push(drawn);
        dark.push(answered);
        await page.waitForTimeout(150);
      }
      const middle = (values: number[]) =>
        [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)] ?? 0;
      process.stdout.write(
        `      ${name}, CPU slowed four times, median of ${figure.length} touches: figure ${middle(figure).toFixed(0)} ms, dark half ${middle(dark).toFixed(0)} ms\n`,
      );
      expect(figure).to.have.length(10);
      await context.close();
    });
});
