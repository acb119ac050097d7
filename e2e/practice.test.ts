import { expect } from "chai";
import type { Page } from "playwright-core";
import { type Application, PHONE, startApplication } from "./application.ts";

/** What this device has kept of practice, as the server holds it. */
async function triesOf(application: Application, page: Page): Promise<Record<string, unknown>[]> {
  const reply = await page.request.get(`${application.address}/api/documents?after=0&limit=500`);
  const { documents } = (await reply.json()) as {
    documents: { kind: string; content: { tries?: Record<string, unknown>[] } }[];
  };
  return documents.filter((one) => one.kind === "sitting").flatMap((one) => one.content.tries ?? []);
}

async function untilTries(
  application: Application,
  page: Page,
  many: number,
  exercise: string,
): Promise<Record<string, unknown>[]> {
  for (let turn = 0; turn < 100; turn += 1) {
    const tries = (await triesOf(application, page)).filter((one) => one.exercise === exercise);
    if (tries.length >= many) return tries;
    await page.waitForTimeout(100);
  }
  throw new Error(`the server did not come to hold ${many} tries`);
}

describe("practice", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  it("a whole find by thumb: looks cost minutes, the dark half is covered until it is said, and then tells", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/practice/whole`);
    await page.getByRole("heading", { name: /^Which danger is nearest/ }).waitFor();
    expect(await page.getByTestId("whole-told").count()).to.equal(0);
    for (const look of ["look-under", "look-at-cap"]) {
      await page.locator(`[data-look="${look}"]`).first().tap();
      await page.locator(`[data-taken="${look}"]`).first().waitFor();
    }
    await page.getByRole("heading", { level: 1, name: /1\.5 minutes spent/ }).waitFor();
    // the danger that is held to be the nearest, on the dark half
    await page.locator('[data-danger] [data-mistakes="1"]').first().tap();
    await page.locator('[data-say="hold"]').tap();
    await page.locator('[data-sure="6"]').tap();
    await page.getByTestId("whole-told").waitFor();
    await page.getByText("By what you had seen").waitFor();
    const rows = await page.locator(".figures tbody tr").count();
    expect(rows).to.be.greaterThan(4);
    const [kept] = await untilTries(application, page, 1, "whole");
    expect(kept).to.include({ verdict: "hold", sure: 0.6, minutes: 1.5 });
    expect(kept?.looks).to.have.length(2);
    await page.getByRole("button", { name: "Next" }).tap();
    await page.getByRole("heading", { level: 1, name: "0 minutes spent" }).waitFor();
    await context.close();
  });

  it("a danger in the basket ends the round, with the course of the poisoning told soberly", async () => {
    const { page, context } = await application.open();
    // a test by its word is the same for everybody: the first deadly one in it
    await page.goto(`${application.address}/practice/test/angel`);
    for (let turn = 0; turn < 20; turn += 1) {
      await page.locator('[data-say="basket"]').click();
      await page.locator('[data-sure="9"]').click();
      await page.getByTestId("whole-told").waitFor();
      if ((await page.getByTestId("course").count()) > 0) break;
      await page.getByRole("button", { name: "Next" }).click();
      await page.getByText(new RegExp(`find ${turn + 2} of 20`)).waitFor();
    }
    expect(await page.getByTestId("course").textContent()).to.match(/after the meal|not well known|passes/);
    expect(await page.getByRole("status").first().textContent()).to.match(/^No: the .* went into the basket/);
    await context.close();
  });

  it("one look by keyboard: a digit names it, a digit says how sure, Enter goes on", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/practice/look`);
    const answered: string[] = [];
    for (let turn = 0; turn < 3; turn += 1) {
      const choices = page.locator(".practice-choice");
      await choices.first().waitFor();
      // a drawing of its own, or a smell in words
      expect(await page.locator(".practice-drawn path, .practice-smell").count()).to.be.greaterThan(0);
      await page.keyboard.press("2");
      await page.locator(".practice-sure").waitFor();
      await page.keyboard.press("8");
      await page.locator("[data-answer]").waitFor();
      answered.push((await page.locator("[data-answer]").getAttribute("data-answer")) ?? "");
      await page.keyboard.press("Enter");
      await page.locator("[data-answer]").waitFor({ state: "detached" });
    }
    expect(answered.every((one) => one !== "")).to.equal(true);
    const tries = await untilTries(application, page, 3, "look");
    expect(tries.length).to.be.at.least(3);
    expect(tries.every((one) => one.sure === 0.8)).to.equal(true);
    await context.close();
  });

  it("by ear: the drawing is told as it would be drawn, and never by its name", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/practice/look`);
    const drawing = page.locator(".practice-drawn svg");
    // smells are words from the first: another one, until it is one that is drawn
    for (let turn = 0; turn < 12; turn += 1) {
      await page.locator(".practice-choice").first().waitFor();
      if ((await drawing.count()) > 0) break;
      await page.reload();
    }
    await drawing.waitFor();
    const told = (await drawing.getAttribute("aria-label")) ?? "";
    expect(told.length).to.be.greaterThan(10);
    await page.getByRole("button", { name: "Tell it in words" }).click();
    expect((await page.locator(".practice-told").textContent())?.toLowerCase()).to.equal(told.toLowerCase());
    await context.close();
  });

  it("these two: the look first, then which; the wrong look is not made right by luck", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/practice/two`);
    await page.locator("[data-look]").first().waitFor();
    await page.keyboard.press("1");
    await page.keyboard.press("1");
    await page.keyboard.press("5");
    const said = page.getByRole("status");
    await said.waitFor();
    const isRight = (await said.getAttribute("data-right")) === "true";
    const [kept] = await untilTries(application, page, 1, "two");
    expect(kept?.isRight).to.equal(isRight);
    await page.getByRole("link", { name: "All that tells these two apart" }).waitFor();
    await context.close();
  });

  it("what proves nothing and the lamp tell why, and all of it is told under How well", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/practice/nothing`);
    await page.locator("[data-observation]").first().waitFor();
    for (const one of await page.locator("[data-observation]").all())
      await one.locator('[data-counts="false"]').click();
    await page.locator('[data-sure="3"]').click();
    await page.getByRole("status").waitFor();
    await page.goto(`${application.address}/practice/lamp`);
    await page.locator(".practice-choice").first().click();
    await page.locator('[data-sure="4"]').click();
    await page.getByRole("status").waitFor();
    await page.goto(`${application.address}/practice/how-well`);
    await page.getByRole("heading", { name: "Day by day" }).waitFor();
    await page
      .getByText(/Too few tries to tell|of ten were right/)
      .first()
      .waitFor();
    await page.getByText(/Nothing here permits/).waitFor();
    await context.close();
  });

  it("a find of one's own comes back months later without what became of it", async () => {
    const { page, context } = await application.open();
    await page.clock.setFixedTime(new Date("2027-03-01T10:00:00Z"));
    await page.goto(`${application.address}/practice/own`);
    await page.getByRole("heading", { name: "What would you say of it now?" }).waitFor();
    const text = (await page.locator("main").textContent()) ?? "";
    // one body has no row of bodies that would tell its age
    if ((await page.locator(".bodies-body").count()) === 0)
      expect(text).to.match(/one body, (egg|button|young|mature|old)\./);
    expect(text).not.to.match(/white ones|chanterelles by|orange cluster|grey brittle|pale one|basket-filler/);
    await page.locator('[data-say="hold"]').click();
    await page.locator('[data-sure="5"]').click();
    await page.getByRole("link", { name: "What you did with it then" }).waitFor();
    await context.close();
  });
});

describe("practice in the wood and on paper", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("no");
  });
  after(() => application.stop());

  it("goes on without the server, and what was tried is there when there is one again", async () => {
    const { page, context } = await application.open(PHONE, "offline");
    await page.goto(`${application.address}/practice/look`);
    await page.locator(".practice-choice").first().waitFor();
    await page.evaluate("navigator.serviceWorker.ready");
    // the trainer is fetched with the rest of the application
    await page.waitForTimeout(1500);
    await context.setOffline(true);
    await page.goto(`${application.address}/practice/lamp`);
    await page.locator(".practice-choice").first().tap();
    await page.locator('[data-sure="5"]').tap();
    await page.getByRole("status").waitFor();
    await page.getByRole("button", { name: "Next" }).tap();
    await page.getByRole("status").waitFor({ state: "detached" });
    await page.locator(".practice-choice").first().waitFor();
    await context.setOffline(false);
    const [kept] = await untilTries(application, page, 1, "lamp");
    expect(kept).to.include({ sure: 0.5 });
    await context.close();
  });

  it("a whole find by keyboard alone: looks by Tab and Enter, the verdict and how sure by digits, Enter goes on", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/practice/whole`);
    const look = page.locator('[data-look="look-under"]').first();
    await look.focus();
    await page.keyboard.press("Enter");
    await page.locator('[data-taken="look-under"]').first().waitFor();
    // leave, hold, basket
    await page.keyboard.press("1");
    await page.locator('[data-say="leave"][aria-pressed="true"]').waitFor();
    await page.keyboard.press("9");
    await page.getByTestId("whole-told").waitFor();
    const [kept] = await untilTries(application, page, 1, "whole");
    expect(kept).to.include({ verdict: "leave", sure: 0.9 });
    await page.keyboard.press("Enter");
    await page.getByRole("heading", { level: 1, name: "0 minutes spent" }).waitFor();
    await context.close();
  });

  it("a set is put together, saved as a file, and read again; a file that is none says by which field", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/practice/teach`);
    await page.getByLabel("What the round is called").fill("Deadly ones");
    await page.getByLabel("Add a kind").selectOption("amanita-virosa");
    await page.getByLabel("Add a kind").selectOption("galerina-marginata");
    const file = page.waitForEvent("download");
    await page.getByRole("button", { name: "Save the set as a file" }).click();
    const path = await (await file).path();
    await page.reload();
    await page.getByLabel("A set of finds").setInputFiles(path);
    await page.getByRole("button", { name: "Begin, 2 finds" }).waitFor();
    expect(await page.getByLabel("What the round is called").inputValue()).to.equal("Deadly ones");
    await page.getByLabel("A set of finds").setInputFiles({
      name: "wrong.json",
      mimeType: "application/json",
      buffer: Buffer.from(
        JSON.stringify({
          format: "jittery-cap/practice-set",
          version: 1,
          name: "x",
          items: [{ sheet: "lunar-cap", seed: "s" }],
        }),
      ),
    });
    expect(await page.getByRole("alert").textContent()).to.match(/wrong\.json: items.*sheet/);
    await context.close();
  });

  it("says when it is enough, and lets whoever wants go on", async () => {
    const { page, context } = await application.open();
    await page.clock.install({ time: new Date("2026-10-05T18:00:00Z") });
    await page.goto(`${application.address}/practice/lamp`);
    for (let turn = 0; turn < 7; turn += 1) {
      await page.locator(".practice-choice").first().click();
      await page.locator('[data-sure="6"]').click();
      await page.getByRole("status").waitFor();
      const next = page.getByRole("button", { name: "Next" });
      await next.waitFor();
      await page.waitForTimeout(500);
      // two minutes over each: longer than most, and no pause yet
      await page.clock.runFor(120_000);
      await next.click();
      await page.locator(".practice-choice:not([disabled])").first().waitFor();
      await page.locator(".practice-choice-right").waitFor({ state: "detached" });
    }
    await page.goto(`${application.address}/practice/today`);
    await page.getByRole("heading", { level: 1, name: "Enough for today" }).waitFor();
    await page.getByRole("link", { name: "Go on all the same" }).waitFor();
    await context.close();
  });
});
