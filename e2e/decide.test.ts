import { readFileSync } from "node:fs";
import { expect } from "chai";
import { uuidv7 } from "uuidv7";
import { seasonFinds } from "../demo/season.ts";
import { touchOf } from "../server/tests/scratch-app.ts";
import { type Application, startApplication, untilSaved, untilVerdict } from "./application.ts";

const idOf = (label: string): string => seasonFinds().find((find) => find.label?.startsWith(label))?.id ?? "";
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
    const { page, context } = await application.open();
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
    const { page, context } = await application.open();
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

  it("two people differ, and the find goes to hold; somebody with a link sees no answer and no place", async () => {
    const { page, context } = await application.open();
    const id = idOf("chanterelles");
    await page.goto(`${application.address}/finds/${id}/decide`);
    await untilVerdict(page, "basket");
    await page.getByRole("button", { name: "Ask somebody who knows" }).click();
    const link = page.getByTestId("second-eyes").getByRole("link", { name: /\/packet\// });
    await link.waitFor();
    const other = await application.open();
    await other.page.goto((await link.getAttribute("href")) ?? "");
    await other.page.getByRole("heading", { name: "What do you see?" }).waitFor();
    const text = (await other.page.textContent("body")) ?? "";
    for (const hidden of ["Basket", "mistakes away", "Ammerbog", "chanterelles by"])
      expect(text, hidden).not.to.contain(hidden);
    // what was recorded stays covered until somebody asks for it
    const recorded = other.page.getByRole("img", { name: /^Body A, .*cap shape/ });
    expect(await recorded.count()).to.equal(0);
    await other.page.getByRole("button", { name: "Under", exact: true }).click();
    await other.page.locator('[data-character="underside"] [data-state="gills"]').click();
    await other.page.getByLabel("Your name").fill("Ilva Marrund");
    await other.page.getByRole("button", { name: "I had it in my hand" }).click();
    await other.page.getByRole("button", { name: /^Send what I saw, 1 look/ }).click();
    await other.page.getByText(/Sent\. Thank you/).waitFor();
    await other.page.getByRole("button", { name: "Uncover it" }).click();
    await recorded.waitFor();
    await other.context.close();
    await page.reload();
    const said = page.locator('[data-opinion="in-hand"]');
    await said.getByText(/you ridges, they gills/).waitFor();
    await said.getByRole("button", { name: "Take it into the record" }).click();
    await page
      .locator('[data-verdict="hold"][data-state="fresh"], [data-verdict="leave"][data-state="fresh"]')
      .first()
      .waitFor();
    // the record with both looks is with the server
    await page.waitForFunction(
      async (address) => JSON.stringify(await (await fetch(address)).json()).includes('"by"'),
      `${application.address}/api/documents/${id}`,
    );
    // undone again for the tests behind this one
    await page.goto(`${application.address}/finds/${id}/record/under`);
    await page
      .locator('[data-verdict="hold"][data-state="fresh"], [data-verdict="leave"][data-state="fresh"]')
      .first()
      .waitFor();
    await page.keyboard.press("z");
    await untilVerdict(page, "basket");
    await untilSaved(page);
    await context.close();
  });

  it("a simulated person and two books are noted, and the simulated one fulfils nothing", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/decide`);
    const eyes = page.getByTestId("second-eyes");
    await eyes.getByRole("button", { name: "Ask somebody who knows" }).click();
    await eyes.getByRole("button", { name: "Somebody simulated, who differs" }).click();
    await eyes
      .locator('[data-opinion="simulated"]')
      .getByText(/fulfils nothing/)
      .waitFor();
    await eyes.getByText("Nobody has had it in the hand besides you.").waitFor();
    await eyes.getByLabel("Title of a book").fill("A book of the lakes");
    await eyes.getByRole("button", { name: "It agrees" }).click();
    await eyes.getByText(/1 of two books agrees/).waitFor();
    // a packet that is taken back is gone from the page, and its link leads nowhere
    const link = (await eyes.getByRole("link", { name: /\/packet\// }).getAttribute("href")) ?? "";
    await eyes.getByRole("button", { name: "Take it back" }).click();
    await eyes.locator("[data-packet]").waitFor({ state: "detached" });
    const { pathname } = new URL(link);
    expect(
      (await page.request.get(`${application.address}/api${pathname.replace("/packet/", "/packets/")}`)).status(),
    ).to.equal(404);
    await context.close();
  });

  it("a stricter ending wants its reason", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("chanterelles")}/decide`);
    await untilVerdict(page, "basket");
    await page.getByLabel("Ending of A").selectOption("left-to-grow");
    await page.getByLabel("Ending of B").selectOption("left-to-grow");
    expect(await page.getByRole("button", { name: "Decide, and freeze it" }).isDisabled()).to.equal(true);
    await page.getByLabel("Reason for A").fill("too few of them");
    await page.getByLabel("Reason for B").fill("too few of them");
    await page.getByRole("button", { name: "Decide, and freeze it" }).click();
    await page.getByText(/left to grow on \(too few of them\)/).waitFor();
    await context.close();
  });

  it("a change of house rules answers anew and shows which open finds turn; the woodtuft wants experience", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/rules`);
    await page.locator('[data-state="fresh"]').first().waitFor();
    await page.locator('[data-rule="smallBrown"] [data-state="known"]').click();
    await page
      .getByRole("alert")
      .getByText(/no funeral bell that you looked at/)
      .waitFor();
    await page.locator('[data-rule="distance"] [data-state="3"]').click();
    await page.getByTestId("turned").waitFor();
    await page.locator('[data-rule="distance"] [data-state="3"][aria-pressed="true"]').waitFor();
    await page.getByRole("button", { name: /My first years/ }).click();
    await page.locator('[data-rule="larvae"] [data-state="none"][aria-pressed="true"]').waitFor();
    await page.getByTestId("turned").waitFor();
    await context.close();
  });

  it("what is not known is shown as not known, and never as nothing", async () => {
    const { page, context } = await application.open();
    await page.route(/\/api\/(documents(\?|$)|live)/, (route) => route.abort());
    await page.goto(`${application.address}/finds/${idOf("pale one")}/rules`);
    await page.locator('[data-state="fresh"]').first().waitFor();
    await page.locator('[data-rule="larvae"] [data-state="none"]').click();
    await page
      .getByTestId("turned")
      .getByText(/is not known/)
      .waitFor();
    await page.route("**/api/decisions", (route) => route.abort());
    await page.goto(`${application.address}/kitchen/basket`);
    await page
      .getByRole("alert")
      .getByText(/Hold it all/)
      .waitFor();
    await page.getByText("Not known", { exact: true }).waitFor();
    expect(await page.getByText(/^\d+ bod(y|ies)$/).count()).to.equal(0);
    // while the answer is still worked out no danger is counted away
    await page.route("**/judge.worker*", () => undefined);
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await page
      .getByText(/not known yet/)
      .first()
      .waitFor();
    await context.close();
  });

  it("writes all finds without their places, and says what a format cannot carry", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/files`);
    const save = async (name: string) => {
      await page.getByRole("button", { name, exact: true }).click();
      const [download] = await Promise.all([
        page.waitForEvent("download"),
        page.getByRole("button", { name: "Write the file" }).click(),
      ]);
      const chunks: Buffer[] = [];
      for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
      return Buffer.concat(chunks).toString("utf8");
    };
    const json = await save("our own JSON");
    expect(JSON.parse(json)).to.have.length.greaterThan(5);
    expect(json).not.to.contain('"lat"').and.not.to.contain("Skirrow");
    // one's own file brings nothing twice
    const all = (JSON.parse(json) as unknown[]).length;
    const reread = { name: "finds.json", mimeType: "application/json", buffer: Buffer.from(json) };
    await page.getByLabel("File with finds").setInputFiles(reread);
    await page.getByTestId("brought").getByText(`0 new, ${all} already here, 0 here and different.`).waitFor();
    expect(await page.getByRole("button", { name: /^Take over/ }).count()).to.equal(0);
    await save("GPX waypoints");
    await page
      .getByTestId("losses")
      .getByText(/Not carried/)
      .first()
      .waitFor();
    await page.getByLabel("File with finds").setInputFiles({
      name: "finds.json",
      mimeType: "application/json",
      buffer: Buffer.from('{"format":"jittery-cap/find","version":1,"id":"x","bodies":[]}'),
    });
    await page
      .getByRole("alert")
      .getByText(/Nothing was taken.*bodies/)
      .waitFor();
    await context.close();
  });
});
