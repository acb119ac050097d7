import { expect } from "chai";
import type { Page } from "playwright-core";
import {
  type Application,
  newFind as begin,
  choose,
  DESK,
  mistakesTo,
  PALE_ON_GRASS,
  PALE_ON_GRASS_FURTHER,
  PHONE,
  reach,
  record,
  startApplication,
  station,
  storedFind,
  tell,
  untilSaved,
  untilVerdict,
  verdict,
} from "./application.ts";

/** Presses keys one after another, each after the last was taken. */
async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) await page.keyboard.press(key);
}

/** Goes on by keys until a question is the one that keys answer: which comes next is told by the answer, and that takes its time. */
async function onwardTo(page: Page, character: string): Promise<void> {
  await page.locator('[data-verdict][data-state="fresh"]').first().waitFor();
  const here = page.locator(`.block-active[data-character="${character}"]`);
  for (let step = 0; (await here.count()) === 0; step++) {
    expect(step, `${character} is asked here`).to.be.below(12);
    await press(page, "ArrowRight");
    await page.waitForTimeout(60);
  }
}

/** The record without what differs between two recordings of one mushroom. */
function comparable(find: Record<string, unknown>): string {
  const { id: _id, foundAt: _foundAt, ...rest } = find;
  return JSON.stringify(rest);
}

describe("recording a find in the browser", () => {
  let application: Application;
  const records: string[] = [];

  before(async () => {
    application = await startApplication();
  });
  after(() => application.stop());

  const newFind = (page: Page) => begin(application, page);

  it("by mouse: hold with the angel one mistake away, then basket, then hold again for a body nobody looked at", async () => {
    const { page, context } = await application.open();
    await newFind(page);
    expect(await verdict(page)).to.equal("hold");
    await tell(page, "age", "young");
    await record(page, PALE_ON_GRASS);
    await untilVerdict(page, "hold");
    expect(await mistakesTo(page, "amanita-virosa")).to.equal(1);
    const next = page.getByTestId("next-test");
    expect(await next.getAttribute("data-test")).to.equal("lift-base-whole");

    await next.click();
    await page.locator('[data-station="foot"]').waitFor();
    await tell(page, "lifted", "whole");
    await choose(page, "base", "plain");
    await page
      .getByTestId("last-move")
      .getByText(/destroying angel.*now 2 mistakes away/)
      .waitFor();
    await choose(page, "stain-base", "none");
    await station(page, "Nose");
    await choose(page, "smell", "mushroomy");
    await page.keyboard.press("b");
    await page.locator('[data-station="bodies"]').getByText("Body B").waitFor();
    await tell(page, "age", "mature");
    await tell(page, "keep", "false");
    await station(page, "Under");
    await choose(page, "gill-colour", "chocolate-brown");
    await station(page, "Print");
    await choose(page, "spore-print", "chocolate-brown");
    await untilVerdict(page, "hold");
    expect(await mistakesTo(page, "amanita-virosa")).to.equal(2);
    await untilSaved(page);
    records.push(comparable(await storedFind(application, page)));

    // what it still asks for where nobody told the part of the world
    await page.getByRole("button", { name: /^Body A/ }).click();
    await record(page, PALE_ON_GRASS_FURTHER);
    await untilVerdict(page, "basket");

    await page.getByRole("link", { name: "Decide" }).click();
    await page.locator('[data-condition="second-person"]').waitFor();
    await page.getByRole("link", { name: "Record", exact: true }).click();
    await page.getByRole("button", { name: "Add a body" }).click();
    await untilVerdict(page, "hold");
    await context.close();
  });

  it("by keyboard alone: the same record", async () => {
    const { page, context } = await application.open();
    await newFind(page);
    await press(page, "3");
    await press(page, ",");
    await page.locator('[data-station="ground"]').waitFor();
    // ground: substrate, growth, habitat
    await press(page, "ArrowRight", "ArrowRight", "5", ".", ".");
    await page.locator('[data-station="cap"]').waitFor();
    await press(page, "1", ".");
    await page.locator('[data-station="under"]').waitFor();
    await press(page, "1");
    await onwardTo(page, "gill-colour");
    await press(page, "4", ".");
    await page.locator('[data-station="stem"]').waitFor();
    await press(page, "3", ".");
    await page.locator('[data-station="foot"]').waitFor();
    // how it was lifted, the foot, the nick
    await press(page, "2", "ArrowRight", "1", "ArrowRight", "1", ".", ".");
    await page.locator('[data-station="nose"]').waitFor();
    await press(page, "1", "b");
    await page.locator('[data-station="bodies"]').getByText("Body B").waitFor();
    // whether it is kept is asked first, then its age
    await press(page, "2", "ArrowLeft", "4", ".", ".");
    await page.locator('[data-station="under"]').waitFor();
    // the fifteenth gill colour: the second row of digits
    await onwardTo(page, "gill-colour");
    await press(page, "Shift+Digit5", ".", ".", ".", ".", ".");
    await page.locator('[data-station="print"]').waitFor();
    await press(page, "ArrowRight", "9");
    await untilVerdict(page, "hold");
    await untilSaved(page);
    records.push(comparable(await storedFind(application, page)));
    await context.close();
  });

  it("with a thumb on a phone: the same record", async () => {
    const { page, context } = await application.open(PHONE);
    await newFind(page);
    const thumb = async (selector: string) => {
      const [, item = ""] = /data-(?:told|character)="([^"]+)"/.exec(selector) ?? [];
      await reach(page, selector.split(" ")[0] ?? selector, item);
      await page.locator(selector).tap();
    };
    // here the person chooses the order: nothing goes on by itself
    await page.getByRole("button", { name: "More of this find" }).tap();
    await page.getByRole("menuitemcheckbox").tap();
    await thumb('[data-told="age"] [data-state="young"]');
    for (const [name, touches] of [
      ["Ground", ['[data-character="habitat"] [data-state="grassland"]']],
      ["Cap", ['[data-character="cap-colour"] [data-state="white"]']],
      [
        "Under",
        ['[data-character="underside"] [data-state="gills"]', '[data-character="gill-colour"] [data-state="pink"]'],
      ],
      ["Stem", ['[data-character="ring"] [data-state="skirt"]']],
      [
        "Foot",
        [
          '[data-told="lifted"] [data-state="whole"]',
          '[data-character="base"] [data-state="plain"]',
          '[data-character="stain-base"] [data-state="none"]',
        ],
      ],
      ["Nose", ['[data-character="smell"] [data-state="mushroomy"]']],
    ] as const) {
      await station(page, name);
      for (const touch of touches) await thumb(touch);
    }
    await page.getByRole("button", { name: "Add a body" }).tap();
    await page.locator('[data-station="bodies"]').getByText("Body B").waitFor();
    await thumb('[data-told="age"] [data-state="mature"]');
    await thumb('[data-told="keep"] [data-state="false"]');
    await station(page, "Under");
    await thumb('[data-character="gill-colour"] [data-state="chocolate-brown"]');
    await station(page, "Print");
    await thumb('[data-character="spore-print"] [data-state="chocolate-brown"]');
    await untilVerdict(page, "hold");
    await untilSaved(page);
    records.push(comparable(await storedFind(application, page)));
    expect(new Set(records).size, "mouse, keyboard and thumb").to.equal(1);
    const sideways = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(sideways, "nothing reaches past the edge of the phone").to.be.at.most(0);
    await context.close();
  });

  it("hands-free, with the answers afterwards: the same record", async () => {
    const { page, context } = await application.open();
    await newFind(page);
    await tell(page, "age", "young");
    await record(page, PALE_ON_GRASS);
    await untilVerdict(page, "hold");
    await press(page, "h");
    await page.getByRole("button", { name: /^Begin/ }).click();
    const stage = page.getByTestId("run-stage");
    await stage.waitFor();
    expect(await stage.getAttribute("data-step")).to.equal("lift-base-whole");
    // one touch, then keys, until there is something to answer
    await page.waitForTimeout(400);
    await stage.click({ position: { x: 500, y: 500 } });
    const steps = new Set<string | null>();
    while (await stage.isVisible()) {
      steps.add(await stage.getAttribute("data-step", { timeout: 500 }).catch(() => null));
      await page.waitForTimeout(400);
      await press(page, "Space");
    }
    await page.getByTestId("run-answers").waitFor();
    await tell(page, "lifted", "whole");
    await choose(page, "base", "plain");
    const answered: string[] = ["base"];
    for (const [character, state] of [
      ["stain-base", "none"],
      ["smell", "mushroomy"],
    ] as const)
      if ((await page.locator(`[data-character="${character}"]`).count()) > 0) {
        await choose(page, character, state);
        answered.push(character);
      }
    steps.delete(null);
    expect(steps.size, "the run asked for more than the foot").to.be.greaterThan(1);
    await page.getByRole("button", { name: "Back to the find" }).click();
    for (const [name, character, state] of [
      ["Foot", "stain-base", "none"],
      ["Nose", "smell", "mushroomy"],
    ] as const)
      if (!answered.includes(character)) {
        await station(page, name);
        await choose(page, character, state);
      }
    await press(page, "b");
    await page.locator('[data-station="bodies"]').getByText("Body B").waitFor();
    await tell(page, "age", "mature");
    await tell(page, "keep", "false");
    await station(page, "Under");
    await choose(page, "gill-colour", "chocolate-brown");
    await station(page, "Print");
    await choose(page, "spore-print", "chocolate-brown");
    await untilVerdict(page, "hold");
    await untilSaved(page);
    records.push(comparable(await storedFind(application, page)));
    expect(new Set(records).size, "mouse, keyboard, thumb and hands-free").to.equal(1);
    await context.close();
  });

  it("is still there, with its answer, after the browser was closed and opened again", async () => {
    const { page, context } = await application.open();
    await page.goto(application.address);
    await page
      .getByRole("link", { name: /not named yet/ })
      .first()
      .click();
    await page.locator('[data-verdict][data-state="fresh"]').waitFor();
    expect(["hold", "basket"]).to.include(await verdict(page));
    await page.reload();
    await page.locator('[data-verdict][data-state="fresh"]').waitFor();
    await context.close();
  });

  it("can be undone and done again, touch by touch", async () => {
    const { page, context } = await application.open();
    await newFind(page);
    await tell(page, "age", "young");
    await station(page, "Foot");
    await tell(page, "lifted", "whole");
    await choose(page, "base", "plain");
    const chosen = page.locator('[data-character="base"] [data-state="plain"]');
    expect(await chosen.getAttribute("aria-pressed")).to.equal("true");
    await page.keyboard.press("z");
    await page.waitForFunction(
      () =>
        document.querySelector('[data-character="base"] [data-state="plain"]')?.getAttribute("aria-pressed") ===
        "false",
    );
    await page.keyboard.press("y");
    await page.waitForFunction(
      () =>
        document.querySelector('[data-character="base"] [data-state="plain"]')?.getAttribute("aria-pressed") === "true",
    );
    await untilSaved(page);
    const find = await storedFind(application, page);
    expect(JSON.stringify(find.bodies)).to.contain('"plain"');
    await context.close();
  });

  it("keeps what was touched while the server was silent, answers meanwhile, and sends it afterwards", async () => {
    const { page, context } = await application.open(DESK, "offline");
    await newFind(page);
    await untilSaved(page);
    // the judge is there: on a first visit nothing else keeps it
    await untilVerdict(page, "hold");
    await context.setOffline(true);
    await tell(page, "age", "mature");
    await station(page, "Print");
    await choose(page, "spore-print", "green");
    await untilVerdict(page, "leave");
    await page.getByText(/on this device only/).waitFor();
    await context.setOffline(false);
    await untilSaved(page);
    const find = await storedFind(application, page);
    expect(JSON.stringify(find.bodies)).to.contain('"green"').and.to.contain('"mature"');
    await context.close();
  });
});
