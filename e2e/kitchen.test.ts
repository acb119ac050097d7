import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { type Application, DESK, startApplication } from "./application.ts";
import { type KitchenFind, kitchenFind, sit, sortAll, tellOf, tickAll } from "./kitchen-finds.ts";
import { pdfText } from "./pdf-text.ts";
import { documents, until } from "./told.ts";

/** The afternoon of the day on which all of it was found. */
const AFTERNOON = new Date("2026-09-27T15:00:00+02:00");

/** A page of which the clock can be moved. */
async function openAt(application: Application, path: string, at = AFTERNOON) {
  const opened = await application.open(DESK);
  await opened.page.clock.install({ time: at });
  await opened.page.goto(application.address + path);
  return opened;
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
      .getByRole("group", { name: /^Smell the pan of the field mushroom/ })
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
    const meal = await until(async () =>
      (await documents(page, application)).find((one) => one.kind === "meal" && one.content.served !== undefined),
    );
    expect(JSON.stringify(meal)).not.to.match(/Hanne|Jorun|Tove|Runa|pregnant/);
    // the spoon of the kind that was new is the first portion of a tasting, and the basket is empty
    await page.goto(`${application.address}/kitchen/tastings`);
    await page
      .locator('[data-tasting][data-stage="wait"]')
      .getByText(/^Wait until/)
      .waitFor();
    await page.goto(`${application.address}/kitchen/basket`);
    await page.getByText(/^Nothing is decided to be carried home/).waitFor();
    // nine hours later somebody is ill: the meal is there already, and the paper tells what it rests on
    await page.clock.fastForward("09:00:00");
    await page.goto(`${application.address}/ill`);
    await page
      .getByTestId("from-the-log")
      .getByRole("button", { name: /Hanne: .*about 150 g/ })
      .click();
    await page
      .getByTestId("told")
      .getByText(/At the stove for/)
      .waitFor();
    expect(await page.locator('[data-window="amatoxin"]').getAttribute("data-state")).to.equal("usual-hours");
    const file = page.waitForEvent("download");
    await page.getByRole("button", { name: "Paper for the hospital, as a file" }).click();
    const paper = (await pdfText(await (await file).path())).replace(/\s+/g, " ");
    expect(paper).to.match(
      /Hanne, age not told.*Besides the finder: .*Ilva Marrund, in the hand.*mistakes? away; amatoxin/,
    );
    expect(paper)
      .to.contain("pasture ring")
      .and.contain("bog chanterelles")
      .and.match(/amatoxin \(liver\): usually 6 h to 24 h/);
    expect(paper).not.to.match(/harmless|\bsafe\b|no danger/i);
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
    await page.getByText(/^A is not food: it is judged anew in its own find/).waitFor();
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
    const { page, context } = await openAt(application, "/kitchen/table");
    await sortAll(page, finds);
    await page.goto(`${application.address}/kitchen/tastings`);
    await tellOf(page, "Hanne");
    const [, bog] = finds;
    await page.getByLabel("Which body").selectOption(`${bog?.id} A`);
    await page.getByRole("button", { name: "Begin", exact: true }).click();
    const tasting = page.locator("[data-tasting]");
    // the first portion waits until a raw one is kept back
    await tasting.getByLabel("Where the raw one is kept").fill("cellar, blue box");
    await tasting.getByRole("button", { name: "Kept back" }).click();
    const have = async (name: string) => {
      const button = tasting.getByRole("button", { name: `Had ${name} now` });
      await button.waitFor();
      expect(await button.isDisabled()).to.equal(true);
      for (const one of await tasting.getByRole("checkbox").all()) await one.check();
      await button.click();
      await page.locator('[data-stage="wait"]').waitFor();
    };
    const waited = async (time: string) => {
      await page.clock.fastForward(time);
      await page.locator('[data-stage="next"], [data-stage="done"]').first().waitFor();
    };
    await have("a tablespoon");
    // three o'clock in the afternoon: twelve hours and a morning
    await page.clock.fastForward("15:00:00");
    await page.waitForTimeout(300);
    expect(await page.locator('[data-stage="wait"]').count()).to.equal(1);
    // one new kind at a time
    const [ring] = finds;
    await page.getByLabel("Who tastes").selectOption({ label: "Hanne" });
    await page.getByLabel("Which body").selectOption(`${ring?.id} A`);
    await page.getByText("Not now: a first tasting of another kind is under way.").waitFor();
    expect(await page.getByRole("button", { name: "Begin", exact: true }).isDisabled()).to.equal(true);
    await waited("02:00:00");
    await have("about double");
    // the clock survives a reload
    await page.reload();
    await page
      .locator('[data-stage="wait"]')
      .getByText(/^Wait until/)
      .waitFor();
    await waited("25:00:00");
    await have("a meal");
    const file = page.waitForEvent("download");
    await tasting.getByRole("button", { name: "calendar file" }).click();
    expect((await file).suggestedFilename()).to.equal("tasting.ics");
    await tasting.getByLabel("Felt anything").fill("a little sick");
    await tasting.getByRole("button", { name: "Write it down: this ends it" }).click();
    await page
      .locator('[data-stage="ended"]')
      .getByText(/a little sick/)
      .waitFor();
    await context.close();
  });

  it("keeps both portions that two devices told of one tasting before somebody, and loses neither by itself", async () => {
    const { page, context } = await openAt(application, "/kitchen/tastings");
    const [, bog] = finds;
    const id = uuidv7();
    const content = {
      person: uuidv7(),
      kinds: ["cantharellus-cibarius"],
      find: bog?.id,
      body: "A",
      begunAt: AFTERNOON.toISOString(),
      portions: [],
      felt: [],
    };
    const address = `${application.address}/api/documents/${id}`;
    await page.request.post(address, {
      data: {
        kind: "tasting",
        known: 0,
        create: { ...content, raw: { where: "cellar", at: AFTERNOON.toISOString() } },
      },
    });
    const tasting = page.locator("[data-tasting]");
    await tasting.getByRole("button", { name: /^Had a tablespoon/ }).waitFor();
    // the other device had all three portions meanwhile; this one is away and tells of a fourth
    await page.route(/\/api\//, (route) => route.abort());
    for (const one of await tasting.getByRole("checkbox").all()) await one.check();
    await tasting.getByRole("button", { name: /^Had a tablespoon/ }).click();
    await page.locator('[data-stage="wait"]').waitFor();
    const had = [0, 1, 2].map((day) => ({
      at: new Date(AFTERNOON.getTime() - (5 - day) * 86_400_000).toISOString(),
      grams: [15, 30, 100][day],
    }));
    const wrote = await page.request.post(address, {
      data: {
        kind: "tasting",
        known: 1,
        touches: [
          {
            id: uuidv7(),
            by: LOCAL_PERSON,
            at: AFTERNOON.toISOString(),
            changes: [{ kind: "set-field", field: "portions", value: had }],
          },
        ],
      },
    });
    expect(wrote.ok(), await wrote.text()).to.equal(true);
    await page.unroute(/\/api\//);
    await page.clock.fastForward("02:00");
    const trouble = page.locator(`[data-trouble="${id}"]`);
    await trouble.getByText(/^A tasting stands on this device otherwise/).waitFor();
    await page.locator('[data-stage="wait"]').getByText("15 g, Sun 27 Sept").first().waitFor();
    await trouble.getByRole("button", { name: "Take it as it is elsewhere" }).click();
    await page.locator('[data-tasting][data-stage="done"]').waitFor();
    await context.close();
  });

  it("puts a kind up in a jar, and calls the jar back when a later look changes the answer", async () => {
    const [, bog] = finds;
    if (bog === undefined) throw new Error("there is no second find");
    const { page, context } = await openAt(application, "/kitchen/table");
    await sortAll(page, [bog]);
    await page.goto(`${application.address}/kitchen/store`);
    for (const body of bog.bodies)
      await page.locator(`[data-put-up="${bog.id} ${body}"]`).getByRole("checkbox").check();
    // what can be ticked is ticked once for the find
    const ticks = page.locator("[data-put-up]").getByRole("button", { name: "tick" });
    for (let tries = 0; tries < 20 && (await ticks.count()) > 0; tries += 1) await ticks.first().click();
    await page
      .getByTestId("expected")
      .getByText(/by the rule of ten to one/)
      .waitFor();
    await page.getByRole("button", { name: "Put up", exact: true }).click();
    await page.waitForURL(/\/kitchen\/store\/[0-9A-Z]{5}$/);
    const code = page.url().slice(-5);
    await page.locator(`[data-jar="${code}"]`).getByLabel(`Weight of jar ${code}`).fill("44");
    await page.locator(`[data-jar="${code}"]`).getByLabel(`Weight of jar ${code}`).press("Enter");
    await page.getByText("44 of 44 g left").waitFor();
    // the labels of the whole store, read back
    await page.goto(`${application.address}/kitchen/store`);
    const labels = page.waitForEvent("download");
    await page.getByRole("button", { name: "Labels for a sheet of paper" }).click();
    const text = await pdfText(await (await labels).path());
    expect(text).to.contain(code).and.contain("bog chanterelles").and.contain("Dried 2026-09-27");
    // gills where ridges were seen: the find is no longer what it was decided as
    const kept = (await (await page.request.get(`${application.address}/api/documents/${bog.id}`)).json()) as {
      version: number;
    };
    const wrote = await page.request.post(`${application.address}/api/documents/${bog.id}`, {
      data: {
        kind: "find",
        known: kept.version,
        touches: [
          {
            id: uuidv7(),
            by: LOCAL_PERSON,
            at: AFTERNOON.toISOString(),
            changes: [
              {
                kind: "observe",
                body: "A",
                character: "underside",
                entries: [{ character: "underside", states: ["gills"] }],
              },
            ],
          },
        ],
      },
    });
    expect(wrote.ok(), await wrote.text()).to.equal(true);
    const recall = page.locator(`[data-recall="${bog.id}"]`);
    await recall.getByText("One jar rests on this find.").waitFor();
    await page.locator(`[data-jar="${code}"][data-recalled="true"]`).waitFor();
    // nothing of it can be cooked any more, only thrown away
    await page.getByRole("button", { name: `Take out of jar ${code}` }).click();
    expect(await page.locator(`[data-jar="${code}"]`).getByRole("button", { name: "cooked" }).count()).to.equal(0);
    await recall.getByRole("button", { name: "thrown away" }).click();
    await recall.waitFor({ state: "detached" });
    await context.close();
  });
});
