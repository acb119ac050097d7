import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import type { Page } from "playwright-core";
import { uuidv7 } from "uuidv7";
import { seasonFinds } from "../demo/season.ts";
import { type Application, DESK, mistakesTo, PHONE, startApplication, untilVerdict } from "./application.ts";
import { seriousFindings } from "./axe.ts";
import { idOf, untilShown, visit } from "./every-view.ts";

/** How many changes only this device has, as the log tells it once. */
const TOLD_AS_WAITING = /on this device only; sent/;

/** Waits until the server holds a find as put away, or as brought back. */
async function untilArchived(application: Application, page: Page, name: string, wanted: boolean): Promise<void> {
  const address = `${application.address}/api/documents/${idOf(name)}`;
  for (let tries = 0; tries < 150; tries += 1) {
    const held = (await (await page.request.get(address)).json()) as { archived: boolean };
    if (held.archived === wanted) return;
    await page.waitForTimeout(100);
  }
  throw new Error(`the server did not come to hold ${name} as ${wanted ? "put away" : "brought back"}`);
}

describe("the views", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  it("say in words that a frost morning makes stain and nose worthless", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("white ones, morning")}/record/nose`);
    await untilVerdict(page, "hold");
    expect(await mistakesTo(page, "agaricus-xanthodermus")).to.equal(0);
    await page
      .getByRole("note")
      .getByText(/Frost last night silences the smell/)
      .waitFor();
    await page.goto(`${application.address}/finds/${idOf("white ones, morning")}/record/foot`);
    await page
      .getByRole("note")
      .getByText(/no yellow means nothing yet/)
      .waitFor();
    await context.close();
  });

  it("show at Decide each danger with its distance, and in words what speaks against and for it", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("orange cluster")}/decide`);
    await untilVerdict(page, "hold");
    await page.locator('[data-reason="print-pending"]').waitFor();
    await page.getByRole("button", { name: /^funeral bell\s*, 1 mistake away/ }).click();
    await page
      .getByTestId("if-wrong")
      .getByText(/^If the .* were wrong/)
      .first()
      .waitFor();
    const detail = page.getByTestId("danger-detail");
    expect(await detail.textContent())
      .to.match(/Against it\..*velvety/s)
      .and.to.match(/For it\./);
    await context.close();
  });

  it("never put the deadly one of a mixed cluster in the basket", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("cluster on the birch")}/decide`);
    await untilVerdict(page, "leave");
    expect(await page.locator('[data-body="C"]').getAttribute("data-body-verdict")).to.equal("leave");
    await context.close();
  });

  it("answer in the browser's worker exactly as the server does, for every find of the season", async () => {
    const { page, context } = await application.open();
    for (const find of seasonFinds()) {
      const response = await page.request.post(`${application.address}/api/assess`, { data: find });
      const answer = (await response.json()) as {
        verdict: "leave" | "hold" | "basket";
        dangers: { sheet: string; mistakes: number }[];
      };
      await visit(page, application, `/finds/${find.id}/decide`);
      await untilVerdict(page, answer.verdict);
      for (const danger of answer.dangers)
        expect(await mistakesTo(page, danger.sheet), `${find.label}: ${danger.sheet}`).to.equal(danger.mistakes);
    }
    await context.close();
  });

  it("ask for nothing beyond this machine", async () => {
    const { page, context } = await application.open();
    const foreign: string[] = [];
    page.on("request", (request) => {
      if (!request.url().startsWith(application.address) && !/^(blob|data):/.test(request.url()))
        foreign.push(request.url());
    });
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await untilVerdict(page, "hold");
    await page.waitForLoadState("networkidle");
    expect(foreign).to.deep.equal([]);
    await context.close();
  });

  it("hold when the judge cannot be had", async () => {
    const { page, context } = await application.open();
    await page.route(/judge\.worker/, (route) =>
      route.fulfill({ contentType: "text/javascript", body: "throw new Error('broken')" }),
    );
    await page.goto(`${application.address}/finds/${idOf("white ones in an arc")}/decide`);
    await page.locator('[data-verdict="hold"][data-state="failed"]').first().waitFor();
    await page.goto(`${application.address}/finds/${idOf("white ones in an arc")}/record/foot`);
    await page.locator('[data-verdict="hold"][data-state="failed"]').first().waitFor();
    expect(await page.locator('[data-verdict="basket"]').count()).to.equal(0);
    await context.close();
  });

  it("ask the judge again by themselves where it could not be had", async () => {
    const { page, context } = await application.open();
    let asked = 0;
    await page.route(/judge\.worker/, (route) => {
      asked += 1;
      // the first two break down as they begin; from then on there is one
      return asked <= 2
        ? route.fulfill({ contentType: "text/javascript", body: "throw new Error('broken')" })
        : route.continue();
    });
    await page.goto(`${application.address}/finds/${idOf("white ones in an arc")}/decide`);
    await page.locator('[data-verdict="hold"][data-state="failed"]').first().waitFor();
    // nothing is touched
    await untilVerdict(page, "basket");
    expect(asked).to.be.greaterThan(2);
    await context.close();
  });

  it("show no basket in the log for a find whose latest touches the server has not heard", async () => {
    const { page, context } = await application.open();
    await page.route(/\/api\/documents\//, (route) =>
      route.request().method() === "POST" ? route.abort() : route.continue(),
    );
    await page.goto(`${application.address}/finds/${idOf("white ones in an arc")}/record/bodies`);
    await untilVerdict(page, "basket");
    await page.getByRole("button", { name: "Add a body" }).click();
    await untilVerdict(page, "hold");
    await page
      .getByText(/on this device only/)
      .first()
      .waitFor();
    await page.getByRole("link", { name: "Finds", exact: true }).click();
    const line = page.getByRole("link", { name: /white ones in an arc/ });
    await line.getByText("changes on this device only").waitFor();
    expect(await line.textContent()).not.to.contain("Basket");
    await context.close();
  });

  it("put a find away and bring it back", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds`);
    await page.getByRole("button", { name: /put away grey brittle/ }).click();
    await page.getByRole("link", { name: /grey brittle/ }).waitFor({ state: "detached" });
    await page.getByRole("button", { name: "Bring it back" }).click();
    await page.getByRole("link", { name: /grey brittle/ }).waitFor();
    // what this device still had to tell would go with it, and the server may not even have heard of the first of it
    await page.getByText(TOLD_AS_WAITING).waitFor({ state: "detached" });
    await untilArchived(application, page, "grey brittle", false);
    await context.close();
  });

  it("move no line of the log under a thumb while one is put away and told", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/finds`);
    const away = page.getByRole("button", { name: /put away grey brittle/ });
    await away.waitFor();
    await away.scrollIntoViewIfNeeded();
    const above = page.getByRole("link", { name: /yellow basket-filler/ });
    const before = (await above.boundingBox())?.y;
    // the server is slow: what waits is told all the while
    await page.route(/\/api\/documents\//, async (route) => {
      await new Promise((done) => setTimeout(done, 1500));
      await route.continue();
    });
    await away.click();
    const back = page.getByRole("button", { name: "Bring it back" });
    await back.waitFor();
    const place = (await back.boundingBox())?.y;
    await page.getByText(/1 change on this device only/).waitFor();
    expect((await above.boundingBox())?.y, "the line above").to.equal(before);
    expect((await back.boundingBox())?.y, "the way back").to.equal(place);
    await page.getByText(TOLD_AS_WAITING).waitFor({ state: "detached" });
    expect((await back.boundingBox())?.y, "the way back, when all is told").to.equal(place);
    await back.click();
    await page.getByRole("link", { name: /grey brittle/ }).waitFor();
    await page.getByText(TOLD_AS_WAITING).waitFor({ state: "detached" });
    await untilArchived(application, page, "grey brittle", false);
    await context.close();
  });

  it("put a find away without the server as well, and tell it when it hears", async () => {
    const { page, context } = await application.open(DESK, "offline");
    await page.goto(`${application.address}/finds`);
    const away = page.getByRole("button", { name: /put away grey brittle/ });
    await away.waitFor();
    await context.setOffline(true);
    await away.click();
    await page.getByRole("link", { name: /grey brittle/ }).waitFor({ state: "detached" });
    await page.getByText(/1 change on this device only/).waitFor();
    await context.setOffline(false);
    await page.getByText(/on this device only/).waitFor({ state: "detached" });
    await untilArchived(application, page, "grey brittle", true);
    await page.getByRole("button", { name: "Bring it back" }).click();
    await page.getByRole("link", { name: /grey brittle/ }).waitFor();
    expect(await page.getByRole("alert").count()).to.equal(0);
    await untilArchived(application, page, "grey brittle", false);
    await context.close();
  });

  it("say so when there is no such find", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10`);
    await page.getByText("There is no such find here").waitFor();
    await context.close();
  });

  it("have nothing that axe holds serious in a packet, covered and uncovered", async () => {
    const { page, context } = await application.open(PHONE);
    const made = await page.request.post(`${application.address}/api/finds/${idOf("chanterelles")}/packets`, {
      data: { id: uuidv7() },
    });
    const { token } = (await made.json()) as { token: string };
    await page.goto(`${application.address}/packet/${token}`);
    await page.getByRole("heading", { name: "What do you see?" }).waitFor();
    expect(await seriousFindings(page), "covered").to.deep.equal([]);
    await page.getByRole("button", { name: "Uncover it" }).click();
    await page.getByRole("heading", { name: "As it was recorded" }).waitFor();
    expect(await seriousFindings(page), "uncovered").to.deep.equal([]);
    await context.close();
  });

  it("have nothing that axe holds serious while hands are full, in the list of keys, and at the answers afterwards", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await page.locator('[data-state="fresh"]').first().waitFor();
    await page.keyboard.press("?");
    await page.getByRole("dialog").waitFor();
    expect(await seriousFindings(page), "keys").to.deep.equal([]);
    await page.keyboard.press("Escape");
    await page.getByRole("dialog").waitFor({ state: "detached" });
    await page.keyboard.press("h");
    await page.getByRole("button", { name: /^Begin/ }).click();
    await page.getByTestId("run-stage").waitFor();
    expect(await seriousFindings(page), "stage").to.deep.equal([]);
    await page.waitForTimeout(400);
    await page.keyboard.press("Space");
    await page.getByRole("button", { name: "End here" }).click();
    await page.getByTestId("run-answers").waitFor();
    expect(await seriousFindings(page), "answers").to.deep.equal([]);
    await context.close();
  });

  it("find a sheet by a misspelt older name, open it, and tell what every statement rests on", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/sheets`);
    await page.getByLabel("Find a sheet by name").fill("lepiota procara");
    await page.locator('[data-sheet="macrolepiota-procera"]').getByRole("link").click();
    await page.getByRole("heading", { level: 1, name: "Parasol" }).waitFor();
    const ring = page.locator('[data-statement="ring"]');
    expect(await ring.textContent()).to.match(/movable collar/);
    // what most of a sheet rests on is said once, at its head; what rests on something else says so itself
    await page.getByText(/Where nothing else is said, the statements are (from memory|common practice)/).waitFor();
    expect(await page.locator("[data-statement]").getByText("from memory").count()).to.equal(0);
    await page.getByText("snakeskin bands on the stem").waitFor();
    await context.close();
  });

  it("set a danger beside what the find seems to be, from Decide", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("orange cluster")}/decide`);
    await untilVerdict(page, "hold");
    await page.getByRole("button", { name: /^funeral bell/ }).click();
    await page.getByRole("link", { name: "What tells it from what this seems to be" }).click();
    await page.locator('[data-difference="spore-print"]').waitFor();
    const names = await page.getByRole("heading").allTextContents();
    expect(names).to.deep.equal(["velvet shank", "funeral bell"]);
    expect(await page.locator('[data-difference="spore-print"]').textContent()).to.match(/white.*rust brown/);
    await context.close();
  });

  it("say so where there is no such sheet, and where a name is on no sheet", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/sheets/lunar-cap`);
    await page.getByRole("heading", { name: "There is no such sheet" }).waitFor();
    await page.getByRole("link", { name: "All sheets" }).click();
    await page.getByLabel("Find a sheet by name").fill("zzqqxxw");
    await page.getByText("No sheet has a name like that.").waitFor();
    await context.close();
  });

  it("fold the far dangers, and unfold them at a touch", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await untilVerdict(page, "hold");
    const dark = page.getByRole("complementary", { name: "What still stands" });
    const folds = dark.locator("[data-fold] > button");
    const before = await dark.locator("[data-danger]:visible").count();
    expect(before).to.be.at.most(12);
    for (const fold of await folds.all()) await fold.click();
    const all = readKnowledge().dangers.length;
    expect(await dark.locator("[data-danger]:visible").count()).to.equal(all);
    await page.goto(`${application.address}/finds/${idOf("pale one")}/decide`);
    await page.getByTestId("unfold-board").click();
    expect(await page.locator("tr[data-danger]").count()).to.equal(all);
    await context.close();
  });

  it("move nothing that can be touched on a phone when the answer does", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await untilShown(page, "/finds/x");
    // the chosen answer stays on the screen: going on by itself is another matter
    await page.getByRole("button", { name: "More of this find" }).click();
    await page.getByRole("menuitemcheckbox").click();
    await page.locator('[data-chip="base"]').click();
    const places = () =>
      page.evaluate(() =>
        [...document.querySelectorAll(".choice, .thumb button, .thumb a, .whole-foot a, .stations a, .next-note")].map(
          (one) => {
            const { x, y, width, height } = one.getBoundingClientRect();
            return [one.textContent, x, y, width, one.classList.contains("next-note") ? 0 : height]
              .map(String)
              .join(" ")
              .replace(/^Next.*?(?=\\d)/, "");
          },
        ),
      );
    await page.waitForTimeout(500);
    const bars = (all: string[]) => all.filter((one) => !one.startsWith("Next"));
    const before = bars(await places());
    for (const state of ["bulb", "plain", "tapered"]) {
      // touched where it stands: a test that scrolls would move it itself
      await page.locator(`[data-character="base"] [data-state="${state}"]`).evaluate((one: HTMLElement) => one.click());
      await page.waitForTimeout(600);
      expect(bars(await places()), state).to.deep.equal(before);
    }
    await context.close();
  });
});
