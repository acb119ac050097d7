import { expect } from "chai";
import type { Page } from "playwright-core";
import { type Application, DESK, startApplication } from "./application.ts";
import { type KitchenFind, kitchenFind } from "./kitchen-finds.ts";

/** The afternoon of the day on which all of it was found. */
const AFTERNOON = new Date("2026-09-27T15:00:00+02:00");

/** A page of which the clock can be moved. */
async function openAt(application: Application, path: string, at = AFTERNOON) {
  const opened = await application.open(DESK);
  await opened.page.clock.install({ time: at });
  await opened.page.goto(application.address + path);
  return opened;
}

/** Looks at every body that lies on the table once more. */
async function sortAll(page: Page, finds: readonly KitchenFind[]): Promise<void> {
  for (const { id, bodies } of finds)
    for (const body of bodies) {
      const line = page.locator(`[data-table="${id} ${body}"]`);
      await line.getByRole("button", { name: "As recorded" }).click();
      await page.locator(`[data-table="${id} ${body}"][data-sorted="as-recorded"]`).waitFor();
    }
}

async function tickAll(page: Page): Promise<void> {
  const open = page.locator('[data-condition][data-done="false"]').getByRole("button", { name: "tick" });
  for (let tries = 0; tries < 30 && (await open.count()) > 0; tries += 1) {
    const before = await open.count();
    await open.first().click();
    await page.waitForFunction(
      (count) => document.querySelectorAll('[data-condition][data-done="false"] button').length < count,
      before,
    );
  }
}

async function sit(
  page: Page,
  name: string,
  more: { readonly age?: string; readonly matter?: string } = {},
): Promise<void> {
  await page.getByRole("button", { name: "Somebody new" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Name").fill(name);
  if (more.matter !== undefined) await dialog.getByRole("button", { name: more.matter, exact: true }).click();
  if (more.age !== undefined) {
    await dialog.getByLabel("Age in years").fill(more.age);
    await dialog.getByLabel("Age in years").press("Enter");
  }
  await dialog.getByRole("button", { name: "Keep" }).click();
  await dialog.waitFor({ state: "detached" });
  await page.locator(`[data-seat="${name}"]`).waitFor();
}

describe("the kitchen", () => {
  let application: Application;
  let finds: KitchenFind[];
  beforeEach(async () => {
    application = await startApplication();
    const { page, context } = await application.open();
    finds = [
      await kitchenFind(page.request, application.address, "white ones in an arc", "pasture ring"),
      await kitchenFind(page.request, application.address, "chanterelles", "bog chanterelles"),
    ];
    await context.close();
  });
  afterEach(() => application.stop());

  it("brings two kinds from the basket to a served meal, of which two of four people have none", async () => {
    const { page, context } = await openAt(application, "/kitchen/basket");
    await page.getByRole("link", { name: "Sort at the table" }).click();
    await sortAll(page, finds);
    await page.getByRole("link", { name: "To the meal" }).click();
    await page.getByRole("button", { name: "Plan a meal" }).click();
    await page.getByRole("heading", { name: /^On the table at/ }).waitFor();
    await sit(page, "Hanne");
    await sit(page, "Jorun");
    await sit(page, "Tove", { age: "7" });
    await sit(page, "Runa", { matter: "pregnant" });
    await tickAll(page);
    await page.getByText(/^2 kinds, each in a pan of its own/).waitFor();
    for (const name of ["Tove", "Runa"]) {
      const shares = page.locator(`[data-seat="${name}"] [data-share]`);
      expect(await shares.evaluateAll((all) => all.map((one) => one.getAttribute("data-most")))).to.deep.equal([
        "0",
        "0",
      ]);
    }
    await page.locator('[data-seat="Tove"]').getByText("a child: none of any wild mushroom").first().waitFor();
    // both kinds are new to both: two new kinds on one day are none
    await page
      .locator('[data-seat="Hanne"]')
      .getByText(/two new kinds on one day/)
      .first()
      .waitFor();
    for (const name of ["Hanne", "Jorun"]) {
      const had = page.locator(`[data-seat="${name}"]`).getByRole("button", { name: /before, without trouble/ });
      await had.first().click();
      await page.locator(`[data-seat="${name}"] [data-most="150"]`).first().waitFor();
    }
    // one is known now: the other is tasted by the spoon; Hanne has had that too
    await page.locator('[data-seat="Jorun"] [data-most="15"]').waitFor();
    await page
      .locator('[data-seat="Hanne"]')
      .getByRole("button", { name: /before, without trouble/ })
      .click();
    await page.waitForFunction(() => document.querySelectorAll('[data-seat="Hanne"] [data-most="150"]').length === 2);
    await page.getByRole("button", { name: "Begin to cook now" }).click();
    const serve = page.getByRole("button", { name: "Served, now" });
    expect(await serve.isDisabled()).to.equal(true);
    // the pan of the button-like kind is smelled before anything is served
    await page.clock.fastForward("30:00");
    await page
      .getByRole("group", { name: /^Smell the pan of the agaricus/ })
      .getByRole("button", { name: /^mushroom/ })
      .click();
    await page.clock.fastForward("01:00:00");
    await page.getByText("All is ready.").waitFor();
    await page.waitForFunction(() =>
      [...document.querySelectorAll("button")].some((one) => one.textContent === "Served, now" && !one.disabled),
    );
    await serve.click();
    await page
      .locator("[data-meal]")
      .getByText(/^Hanne: .*150 g/)
      .waitFor();
    expect(await page.locator("[data-meal]").textContent())
      .to.match(/Jorun: .*15 g/)
      .and.not.match(/Tove|Runa/);
    const meals = await until(async () =>
      (await documents(page, application)).filter((one) => one.kind === "meal" && one.content.served !== undefined),
    );
    expect(JSON.stringify(meals)).not.to.match(/Hanne|Jorun|Tove|Runa|pregnant/);
    // the spoon of the kind that was new is the first portion of a tasting, and the basket is empty
    await page.goto(`${application.address}/kitchen/tastings`);
    await page
      .locator('[data-tasting][data-stage="wait"]')
      .getByText(/^Wait until/)
      .waitFor();
    await page.goto(`${application.address}/kitchen/basket`);
    await page.getByText(/^Nothing is decided to be carried home/).waitFor();
    await context.close();
  });

  it("cooks nothing that was not looked at again, that somebody calls a stranger, or that is past its days", async () => {
    const { page, context } = await openAt(application, "/kitchen/meal");
    await page.getByRole("button", { name: "Plan a meal" }).click();
    await page.getByText("not looked at once more at the table").first().waitFor();
    await page.getByText("Nothing may come to the pot yet.").waitFor();
    const [ring] = finds;
    await page.goto(`${application.address}/kitchen/table`);
    await page
      .locator(`[data-table="${ring?.id} A"]`)
      .getByRole("button", { name: /is a stranger$/ })
      .click();
    await page.getByText(/^A has a find of its own now, and is not food/).waitFor();
    await page.getByRole("link", { name: "Open it" }).click();
    await page
      .getByRole("heading", { name: /the other kind/ })
      .or(page.getByText(/the other kind/))
      .first()
      .waitFor();
    await context.close();
    // a week later nothing keeps any more
    const later = await openAt(application, "/kitchen/table", new Date("2026-10-05T15:00:00+02:00"));
    const [, bog] = finds;
    if (bog !== undefined) await sortAll(later.page, [bog]);
    await later.page.goto(`${application.address}/kitchen/meal`);
    await later.page
      .getByText(/its days in the cold are over/)
      .first()
      .waitFor();
    await later.page.getByText("Nothing may come to the pot yet.").waitFor();
    await later.context.close();
  });

  it("tastes over three days, one portion after the other, and ends with whatever is felt", async () => {
    const { page, context } = await openAt(application, "/kitchen/tastings");
    await page.getByRole("button", { name: "Somebody new" }).click();
    const dialog = page.getByRole("dialog");
    await dialog.getByLabel("Name").fill("Hanne");
    await dialog.getByRole("button", { name: "Keep" }).click();
    await dialog.waitFor({ state: "detached" });
    // a body that may be one of several kinds is tasted as none of them: both of these are
    const bodies = page.getByLabel("Which body").locator("option");
    expect(await bodies.count()).to.be.above(0);
    await context.close();
  });
});

interface Kept {
  readonly kind: string;
  readonly content: Record<string, unknown>;
}

async function documents(page: Page, application: Application): Promise<readonly Kept[]> {
  const reply = (await (await page.request.get(`${application.address}/api/documents`)).json()) as {
    documents: readonly Kept[];
  };
  return reply.documents;
}

/** Asks until there is something. */
async function until<One>(ask: () => Promise<readonly One[]>): Promise<readonly One[]> {
  for (let tries = 0; tries < 100; tries += 1) {
    const found = await ask();
    if (found.length > 0) return found;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error("nothing came");
}
