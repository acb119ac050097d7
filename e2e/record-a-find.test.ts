import { expect } from "chai";
import type { Page } from "playwright-core";
import {
  type Application,
  newFind as begin,
  choose,
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
    await press(page, "1", "ArrowRight", "4", ".");
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
    await press(page, "ArrowRight", "Shift+Digit5", ".", ".", ".", ".", ".");
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
    const { page, context } = await application.open();
    await newFind(page);
    await untilSaved(page);
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

  /** Two devices on one find that both know: the second touches it while the first, without a network, does so too. */
  const apart = async (mine: (page: Page) => Promise<void>, theirs: (page: Page) => Promise<void>) => {
    const [one, two] = [await application.open(), await application.open()];
    await newFind(one.page);
    await tell(one.page, "age", "young");
    await untilSaved(one.page);
    await two.page.goto(one.page.url());
    await two.page.locator('[data-told="age"]').waitFor();
    await one.context.setOffline(true);
    await theirs(two.page);
    await untilSaved(two.page);
    await mine(one.page);
    await one.context.setOffline(false);
    const close = async () => {
      await one.context.close();
      await two.context.close();
    };
    return { one, two, close };
  };

  it("changed on two devices in different matters comes to one record on both, as soon as there is a network", async () => {
    const { one, two, close } = await apart(
      (page) => tell(page, "firmness", "firm"),
      (page) => tell(page, "larvae", "none"),
    );
    await untilSaved(one.page);
    // each sees what the other told, without asking for it
    for (const { page } of [one, two]) {
      await page.locator('[data-told="larvae"] [data-state="none"][aria-pressed="true"]').waitFor();
      await page.locator('[data-told="firmness"] [data-state="firm"][aria-pressed="true"]').waitFor();
    }
    expect(await storedFind(application, one.page)).to.deep.equal(await storedFind(application, two.page));
    await close();
  });

  it("takes back as one what was one touch, also on another device", async () => {
    const one = await application.open();
    const two = await application.open();
    await newFind(one.page);
    await tell(one.page, "age", "young");
    await one.page.getByRole("button", { name: "Add a body" }).click();
    await one.page.getByRole("button", { name: /^Body B/ }).waitFor();
    await untilSaved(one.page);
    await two.page.goto(one.page.url());
    await two.page.getByRole("button", { name: /^Body B/ }).waitFor();
    await two.page.locator('[data-verdict][data-state="fresh"]').waitFor();
    await two.page.keyboard.press("z");
    await two.page.getByRole("button", { name: /^Body B/ }).waitFor({ state: "detached" });
    await one.page.getByRole("button", { name: /^Body B/ }).waitFor({ state: "detached" });
    await two.page.keyboard.press("z");
    await one.page.locator('[data-told="age"] [data-state="young"][aria-pressed="false"]').waitFor();
    await one.context.close();
    await two.context.close();
  });

  it("changed on two devices in one matter is never mended by itself: the person decides", async () => {
    const { one, close } = await apart(
      (page) => tell(page, "firmness", "firm"),
      (page) => tell(page, "firmness", "mushy"),
    );
    await one.page.getByText("Changed on another device.").waitFor();
    await one.page.getByRole("button", { name: "Look at both" }).click();
    await one.page.getByRole("button", { name: /^Take the other, drop mine/ }).click();
    await untilVerdict(one.page, "leave");
    await close();
  });

  it("changed on two devices can be put together, which permits no more than either", async () => {
    const { one, close } = await apart(
      (page) => tell(page, "firmness", "firm"),
      (page) => tell(page, "firmness", "mushy"),
    );
    await one.page.getByRole("button", { name: "Look at both" }).click();
    await one.page.getByRole("button", { name: /^Put both together/ }).click();
    await one.page.getByRole("dialog").waitFor({ state: "detached" });
    await untilSaved(one.page);
    const { bodies } = (await storedFind(application, one.page)) as { bodies: { firmness: string }[] };
    expect(bodies[0]?.firmness).to.equal("mushy");
    await close();
  });

  it("changed on two devices can be kept as two finds: nothing of either is lost", async () => {
    const { one, two, close } = await apart(
      (page) => tell(page, "firmness", "firm"),
      (page) => tell(page, "firmness", "mushy"),
    );
    const address = one.page.url();
    await one.page.getByRole("button", { name: "Look at both" }).click();
    await one.page.getByRole("button", { name: /^Keep mine as a find of its own/ }).click();
    await one.page.waitForURL((url) => url.href !== address);
    await untilSaved(one.page);
    expect(JSON.stringify((await storedFind(application, one.page)).bodies)).to.contain('"firm"');
    expect(JSON.stringify((await storedFind(application, two.page)).bodies))
      .to.contain("mushy")
      .and.not.to.contain('"firm"');
    await close();
  });

  it("takes sizes as numbers, refuses what is none, and lays a print that holds the find", async () => {
    const { page, context } = await application.open();
    await newFind(page);
    const cap = page.getByLabel("cap across, cm");
    await cap.fill("8,5");
    await cap.blur();
    await untilSaved(page);
    expect(JSON.stringify((await storedFind(application, page)).bodies)).to.contain('"capCm":8.5');
    await page.getByLabel("cap across, cm").fill("-3");
    await page.getByLabel("cap across, cm").blur();
    await page
      .getByRole("alert")
      .getByText(/bodies\[0\]\.measures\.capCm: must be more than 0/)
      .waitFor();
    await station(page, "Print");
    await tell(page, "print", "laid");
    await page.getByText(/No print is no result, never a pass/).waitFor();
    await page.getByRole("link", { name: "Decide" }).click();
    await page.locator('[data-reason="print-pending"]').waitFor();
    await context.close();
  });

  it("takes a smell that the finder has never met for a guess, says so, and cannot be talked out of it", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/settings`);
    const nose = page.getByRole("group", { name: "Smells that you have met" });
    await nose.locator('[data-state="mushroomy"]').click();
    await nose.locator('[data-state="aniseed"]').click();
    await page.getByText(/You have met 2 of/).waitFor();
    await newFind(page);
    await station(page, "Nose");
    await choose(page, "smell", "almond");
    await page
      .getByRole("note")
      .getByText(/counts as a guess/)
      .waitFor();
    const unsure = page.locator('[data-character="smell"] .extra').getByRole("button", { name: "unsure of it" });
    expect(await unsure.getAttribute("aria-pressed")).to.equal("true");
    await unsure.click();
    expect(await unsure.getAttribute("aria-pressed")).to.equal("true");
    await choose(page, "smell", "almond");
    await choose(page, "smell", "aniseed");
    await page.getByText(/counts as a guess/).waitFor({ state: "detached" });
    await untilSaved(page);
    await context.close();
  });

  it("shows and takes sizes in inches where somebody wants them, and keeps centimetres", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/settings`);
    await page.getByRole("group", { name: "Unit of sizes and rain" }).getByRole("button", { name: "inches" }).click();
    await newFind(page);
    const cap = page.getByLabel("cap across, in");
    await cap.fill("3.25");
    await cap.blur();
    await untilSaved(page);
    expect(JSON.stringify((await storedFind(application, page)).bodies)).to.contain('"capCm":8.26');
    await page.reload();
    expect(await page.getByLabel("cap across, in").inputValue()).to.equal("3.25");
    await context.close();
  });

  it("records that something could not be looked at, and why, without making a state of it", async () => {
    const { page, context } = await application.open();
    await newFind(page);
    await station(page, "Foot");
    const base = page.locator('[data-character="base"]');
    await base.getByRole("button", { name: "could not look" }).click();
    await page.getByRole("menuitem", { name: "base left in the ground" }).click();
    await base.getByRole("button", { name: "not looked: base left in the ground" }).waitFor();
    await untilSaved(page);
    expect(JSON.stringify((await storedFind(application, page)).bodies)).to.contain(
      '"unseen":"base left in the ground"',
    );
    await base.getByRole("button", { name: "cannot tell" }).click();
    await untilSaved(page);
    expect(JSON.stringify((await storedFind(application, page)).bodies))
      .to.contain('"unseen":"cannot tell"')
      .and.not.to.contain('"states"');
    await page.keyboard.press("?");
    await page.getByRole("dialog").getByText("none, I looked").waitFor();
    await context.close();
  });
});
