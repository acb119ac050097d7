/** What is told beside states: sizes, smells that somebody knows, what could not be looked at. */
import { expect } from "chai";
import type { Page } from "playwright-core";
import {
  type Application,
  newFind as begin,
  choose,
  startApplication,
  station,
  storedFind,
  tell,
  untilSaved,
} from "./application.ts";

describe("what is told and typed", () => {
  let application: Application;
  before(async () => {
    application = await startApplication();
  });
  after(() => application.stop());

  const newFind = (page: Page) => begin(application, page);

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
