import { readFileSync } from "node:fs";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { seasonFinds } from "../demo/season.ts";
import { touchOf } from "../server/tests/scratch-app.ts";
import { type Application, DESK, startApplication, untilSaved, untilVerdict } from "./application.ts";
import { idOf } from "./every-view.ts";

const CLUSTER = idOf("cluster on");
const GOOD = idOf("white ones in an arc");

describe("deciding", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  it("freezes a good find into the basket, weighs it, and counts it against the person's own limit", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${GOOD}/decide`);
    await untilVerdict(page, "basket");
    const bodies = seasonFinds().find((find) => find.id === GOOD)?.bodies ?? [];
    // trimming says what came off, before anything is frozen
    const kept = bodies.filter((body) => body.keep !== false).map((body) => body.id);
    for (const body of bodies)
      await page.getByLabel(`Ending of ${body.id}`).selectOption(body.keep === false ? "looked-at-only" : "basket");
    await page.getByLabel(`Ending of ${kept[0]}`).selectOption("basket-after-trimming");
    const off = page.getByRole("group", { name: `Taken off ${kept[0]}` });
    await off.getByText("Say what was taken off.").waitFor();
    expect(await page.getByRole("button", { name: "Decide, and freeze it" }).isDisabled()).to.equal(true);
    await off.getByRole("button", { name: "foot" }).click();
    await page.getByRole("button", { name: "Decide, and freeze it" }).click();
    await page.getByText(/in the basket, after trimming, foot off/).waitFor();
    await page.getByText(/The answer then was basket/).waitFor();
    await page.goto(`${application.address}/kitchen/basket`);
    const part = page.locator('[data-compartment="others"], [data-compartment="cook-only"]').first();
    await part.waitFor();
    await part.getByText(/after trimming · foot off/).waitFor();
    await page.getByRole("button", { name: /Weigh/ }).first().click();
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[aria-label^="Weight of"]')?.value !== "",
    );
    await page.getByLabel("A limit").fill("5");
    await page.getByRole("button", { name: "grams" }).click();
    await page
      .locator('[data-over="true"]')
      .getByText(/over it/)
      .waitFor();
    // the weight is with the record
    await page.reload();
    const weight = page.getByLabel(/^Weight of/).first();
    await weight.waitFor();
    const grams = Number(await weight.inputValue());
    expect(grams).to.be.above(0);
    // one's own weight takes its place, in one's own unit, and is kept in grams
    await page.getByLabel("Unit of weight").first().selectOption("oz");
    await weight.fill("10");
    await weight.press("Enter");
    await page.getByLabel("Unit of weight").first().selectOption("g");
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[aria-label^="Weight of"]')?.value === "283",
    );
    // and the limit with the person: another device counts against it too
    const other = await application.open();
    await other.page.goto(`${application.address}/kitchen/basket`);
    await other.page
      .getByTestId("limits")
      .getByText(/\d+ of 5 g/)
      .waitFor();
    await other.context.close();
    await context.close();
  });

  it("never lets the mixed cluster into the basket: not by the list, a request, a file, or a record that claims it", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${CLUSTER}/decide`);
    await untilVerdict(page, "leave");
    for (const body of ["A", "B", "C"]) {
      const options = page.getByLabel(`Ending of ${body}`).locator("option");
      const open = await options.evaluateAll((all) =>
        all.filter((one) => !(one as HTMLOptionElement).disabled).map((one) => (one as HTMLOptionElement).value),
      );
      expect(open).to.include("home-to-finish").and.not.to.include("basket").and.not.to.include("must-be-cooked");
    }
    const api = page.request;
    const { content } = (await (await api.get(`${application.address}/api/documents/${CLUSTER}`)).json()) as {
      content: object;
    };
    const { edition } = (await (await api.get(`${application.address}/api/health`)).json()) as { edition: string };
    const forged = await api.post(`${application.address}/api/documents/${uuidv7()}`, {
      data: {
        kind: "decision",
        known: 0,
        create: {
          find: content,
          rules: {},
          edition,
          answer: {
            verdict: "basket",
            bodies: ["A", "B", "C"].map((body) => ({ body, kept: true, verdict: "basket" })),
            restsOn: [],
            mistakes: {},
          },
          endings: ["A", "B", "C"].map((body) => ({ body, ending: "basket" })),
          decidedAt: "2026-09-14T12:00:00Z",
        },
      },
    });
    expect(forged.status()).to.equal(400);
    // a file whose bodies say that they are in the basket
    const file = JSON.parse(readFileSync("demo/finds/cluster-on-the-birch-stump.json", "utf8")) as {
      label: string;
      bodies: object[];
    };
    const claimed = {
      ...file,
      id: uuidv7(),
      label: "claimed by a file",
      bodies: file.bodies.map((body) => ({ ...body, ending: "basket" })),
    };
    await page.goto(`${application.address}/files`);
    await page.getByLabel("File with finds").setInputFiles({
      name: "finds.json",
      mimeType: "application/json",
      buffer: Buffer.from(JSON.stringify(claimed)),
    });
    await page.getByTestId("brought").getByText("1 new, 0 already here, 0 here and different.").waitFor();
    await page.getByRole("button", { name: "Take over 1 find" }).click();
    await page.getByTestId("taken").getByRole("link", { name: "claimed by a file" }).click();
    await untilVerdict(page, "leave");
    await untilSaved(page);
    await page.goto(`${application.address}/kitchen/basket`);
    await page.getByRole("heading", { name: "Basket" }).waitFor();
    await page.waitForLoadState("networkidle");
    expect(await page.getByText("claimed by a file").count()).to.equal(0);
    expect(await page.getByText("cluster on the birch stump").count()).to.equal(0);
    await context.close();
  });

  it("holds, and says so, where a part of the application cannot be fetched", async () => {
    const { page, context } = await application.open();
    await page.route(/decide-view/, (route) => route.abort());
    await page.goto(`${application.address}/finds/${GOOD}/decide`);
    await page
      .getByRole("alert")
      .getByText(/everything is held/)
      .waitFor();
    expect(await page.locator("[data-verdict]").getAttribute("data-verdict")).to.equal("hold");
    await context.close();
  });

  it("clears nothing without the server either, and nothing that an undo or an edit without a network makes of the mixed cluster", async () => {
    const { page, context } = await application.open(DESK, "offline");
    await page.goto(`${application.address}/finds/${CLUSTER}/record/bodies`);
    await untilVerdict(page, "leave");
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await context.setOffline(true);
    // the deadly one is struck from what is kept, and taken back again
    await page.getByRole("button", { name: /^Body C/ }).click();
    await page.locator('[data-told="keep"] [data-state="false"]').click();
    await page.keyboard.press("z");
    await untilVerdict(page, "leave");
    await page.getByRole("link", { name: "Decide" }).click();
    await page.getByTestId("endings").waitFor();
    for (const body of ["A", "B", "C"]) await page.getByLabel(`Ending of ${body}`).selectOption("home-to-finish");
    await page.getByRole("button", { name: "Decide, and freeze it" }).click();
    const decided = page.getByRole("list", { name: "Earlier decisions" }).getByRole("listitem");
    await decided.getByText(/On this device only; the server judges it again/).waitFor();
    await context.setOffline(false);
    await decided.getByText(/On this device only/).waitFor({ state: "detached" });
    await page.goto(`${application.address}/finds/${CLUSTER}/record/bodies`);
    await untilVerdict(page, "leave");
    await untilSaved(page);
    const { decisions } = (await (
      await page.request.get(`${application.address}/api/decisions?about=${CLUSTER}`)
    ).json()) as { decisions: { standing: { cleared: string[] } }[] };
    expect(decisions.map((one) => one.standing.cleared)).to.deep.equal([[]]);
    await context.close();
  });

  it("decides in the wood without a network; what came to light meanwhile takes it back when the server hears", async () => {
    const { page, context } = await application.open(DESK, "offline");
    const made = {
      ...JSON.parse(readFileSync("demo/finds/white-ones-in-an-arc.json", "utf8")),
      id: uuidv7(),
      label: "far from any mast",
    };
    await page.request.post(`${application.address}/api/documents/${made.id}`, {
      data: { kind: "find", known: 0, create: made },
    });
    await page.goto(`${application.address}/finds/${made.id}/decide`);
    await untilVerdict(page, "basket");
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await context.setOffline(true);
    for (const body of made.bodies as { id: string; keep?: boolean }[])
      await page.getByLabel(`Ending of ${body.id}`).selectOption(body.keep === false ? "looked-at-only" : "basket");
    await page.getByRole("button", { name: "Decide, and freeze it" }).click();
    await page.getByText(/On this device only; the server judges it again/).waitFor();
    await page.goto(`${application.address}/kitchen/basket`);
    const line = page.locator(`[data-carried="${made.id} A"]`);
    await line.getByText("in the basket").waitFor();
    await page.getByText(/By this device alone.*has not heard of one decision/).waitFor();
    // somebody at home turns a foot over
    const sac = await page.request.post(`${application.address}/api/documents/${made.id}`, {
      data: {
        kind: "find",
        known: 1,
        touches: [
          touchOf({ kind: "observe", body: "A", character: "base", entries: [{ character: "base", states: ["sac"] }] }),
        ],
      },
    });
    expect(sac.status()).to.equal(200);
    await context.setOffline(false);
    await line.getByText(/does not clear it: take it out/).waitFor();
    await page.locator('[data-compartment="apart-from-food"]').getByText("far from any mast").first().waitFor();
    await context.close();
  });

  it("leaves out by one touch the one body that holds up the others, and keeps it again", async () => {
    const { page, context } = await application.open();
    const looks = {
      underside: ["gills"],
      "gill-fold": ["folds-over"],
      "gill-attachment": ["adnate"],
      "gill-colour": ["cream"],
      "cap-surface": ["scaly"],
      "cap-colour": ["yellow", "brown"],
      "flesh-colour": ["white"],
      "stain-cut": ["none"],
      "stem-surface": ["fibrillose"],
      "stem-colour": ["brown"],
      ring: ["cottony"],
      "ring-colour": ["yellow"],
      base: ["fused"],
      smell: ["mushroomy"],
    };
    const body = (id: string, age: string, more: Record<string, readonly string[]>) => ({
      id,
      age,
      lifted: "whole",
      seen: Object.entries({ ...looks, ...more }).map(([character, states]) => ({ character, states })),
    });
    const printed = { "spore-print": ["white"] };
    const cluster = {
      format: "jittery-cap/find",
      version: 1,
      id: uuidv7(),
      label: "a clump on the mill stump",
      foundAt: "2026-10-03T10:00:00+02:00",
      place: { region: "europe" },
      site: { habitat: ["broadleaf-woodland"], substrate: ["stump"], host: ["oak"], growth: ["dense-cluster"] },
      rules: { upsetters: "cooked" },
      bodies: [body("A", "mature", printed), body("B", "young", {}), body("C", "mature", printed)],
    };
    const made = await page.request.post(`${application.address}/api/documents/${cluster.id}`, {
      data: { kind: "find", known: 0, create: cluster },
    });
    expect(made.ok()).to.equal(true);
    await page.goto(`${application.address}/finds/${cluster.id}/decide`);
    await untilVerdict(page, "hold");
    await page.getByText("Only B is in the way: leave B out, and the answer for A and C is the basket.").waitFor();
    await page.getByRole("button", { name: "Leave B out" }).click();
    await untilVerdict(page, "basket");
    await page.locator('[data-body="B"]').getByText("not kept").waitFor();
    await page.getByRole("button", { name: "Keep B again" }).click();
    await untilVerdict(page, "hold");
    await page.getByRole("button", { name: "Leave B out" }).waitFor();
    await context.close();
  });

  it("takes a find out of the basket when a later look says otherwise", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${GOOD}/record/foot`);
    await untilVerdict(page, "basket");
    await page.getByRole("button", { name: /^Body A/ }).click();
    await page.locator('[data-character="base"] [data-state="sac"]').click();
    await page
      .locator('[data-verdict="leave"][data-state="fresh"], [data-verdict="hold"][data-state="fresh"]')
      .first()
      .waitFor();
    await untilSaved(page);
    await page.goto(`${application.address}/kitchen/basket`);
    await page
      .locator('[data-compartment="apart-from-food"]')
      .getByText(/does not clear it: take it out/)
      .first()
      .waitFor();
    expect(await page.locator('[data-compartment="others"]').count()).to.equal(0);
    // thrown out, and nothing else changed: it is food no longer
    await page.goto(`${application.address}/finds/${GOOD}/record/foot`);
    await page.locator("[data-verdict]").first().waitFor();
    const { version } = (await (await page.request.get(`${application.address}/api/documents/${GOOD}`)).json()) as {
      version: number;
    };
    await page.request.post(`${application.address}/api/documents/${GOOD}`, {
      data: {
        kind: "find",
        known: version,
        touches: [touchOf({ kind: "set-body", body: "A", field: "keep", value: false })],
      },
    });
    await page.goto(`${application.address}/kitchen/basket`);
    await page
      .locator('[data-compartment="apart-from-food"]')
      .getByText(/does not keep it any more: take it out/)
      .waitFor();
    await context.close();
  });
});
