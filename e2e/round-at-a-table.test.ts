import { expect } from "chai";
import { type Application, PHONE, startApplication } from "./application.ts";

describe("a round at a table", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("no");
  });
  after(() => application.stop());

  it("is answered from three phones, covered until it is uncovered, and survives a reload of the table", async () => {
    const table = await application.open();
    await table.page.goto(`${application.address}/practice/teach`);
    await table.page.getByLabel("What the round is called").fill("Club night");
    await table.page.getByRole("button", { name: "5 by chance" }).click();
    await table.page.getByRole("button", { name: "Begin, 5 finds" }).click();
    const link = await table.page.getByTestId("join-link").getAttribute("href");
    if (link === null) throw new Error("no link");
    const phones = await Promise.all([0, 1, 2].map(() => application.open(PHONE)));
    const people = ["Ode", "Bram", "Tilde"];
    for (const [index, { page }] of phones.entries()) {
      await page.goto(link);
      await page.getByLabel("Your name here").fill(people[index] ?? "");
      await page.getByRole("button", { name: "Join" }).tap();
      await page.getByText(/You are in/).waitFor();
    }
    await table.page.getByRole("button", { name: "Show the first find" }).click();
    for (const { page } of phones) await page.getByText("Find 1 of 5").waitFor();
    // what the table looks at is seen on every phone
    await table.page.locator('[data-look="look-under"]').first().click();
    for (const { page } of phones) await page.getByText(/Look under the cap/).waitFor();
    for (const [index, { page }] of phones.entries()) {
      await page.locator(`[data-say="${["basket", "hold", "leave"][index]}"]`).tap();
      await page.locator('[data-sure="7"]').tap();
      await page.getByTestId("phone-said").waitFor();
      expect(await page.getByTestId("phone-told").count()).to.equal(0);
    }
    await table.page.getByText("3 have answered").waitFor();
    expect(await table.page.getByTestId("table-answers").count()).to.equal(0);
    await table.page.reload();
    await table.page.getByText("3 have answered").waitFor();
    await table.page.locator('[data-taken="look-under"]').waitFor();
    await table.page.getByRole("button", { name: "Uncover" }).click();
    await table.page.getByTestId("table-answers").waitFor();
    const kind = await table.page.getByTestId("table-told").textContent();
    expect(await table.page.locator("[data-verdict]").first().textContent()).to.match(/^Ode: basket/);
    for (const { page } of phones) {
      await page.getByTestId("phone-told").waitFor();
      expect(await page.getByTestId("phone-title").textContent()).to.equal(kind);
      await page.getByText("1 of 3 at this table had it in the basket.").waitFor();
    }
    await table.page.getByRole("button", { name: "Next find" }).click();
    for (const { page } of phones) await page.getByText("Find 2 of 5").waitFor();
    // ended, the link leads nowhere
    const id = /teach\/([0-9a-f-]{36})/.exec(table.page.url())?.[1] ?? "";
    await table.page.goto(`${application.address}/practice/teach/${id}/paper`);
    await table.page.getByTestId("paper-answers").waitFor();
    expect(await table.page.locator(".practice-paper-find").count()).to.equal(6);
    await table.page.request.delete(`${application.address}/api/rounds/${id}`);
    await phones[0]?.page.getByText(/was ended/).waitFor();
    for (const { context } of [table, ...phones]) await context.close();
  });
});

describe("a phone at a table", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("no");
  });
  after(() => application.stop());

  it("that comes late sees what is shown, may say otherwise until it is uncovered, and keeps its name over a reload", async () => {
    const table = await application.open();
    await table.page.goto(`${application.address}/practice/teach`);
    await table.page.getByLabel("What the round is called").fill("Late");
    await table.page.getByLabel("Add a kind").selectOption("amanita-virosa");
    await table.page.getByRole("button", { name: "Begin, 1 find" }).click();
    const link = (await table.page.getByTestId("join-link").getAttribute("href")) ?? "";
    await table.page.getByRole("button", { name: "Show the first find" }).click();
    await table.page.getByRole("heading", { name: "0 minutes spent" }).waitFor();
    // what the table shows is on its way to the server when it is on the screen
    const seen = async () => (await table.page.request.get(link.replace("/round/", "/api/round-links/"))).text();
    let text = await seen();
    for (let tries = 0; tries < 100 && !text.includes('"find"'); tries++) {
      await table.page.waitForTimeout(100);
      text = await seen();
    }
    expect(text).to.contain('"find"').and.not.to.contain('"rules"');
    const { page, context } = await application.open(PHONE);
    await page.goto(link);
    await page.getByLabel("Your name here").fill("Late one");
    await page.getByRole("button", { name: "Join" }).tap();
    await page.getByText("Find 1 of 1").waitFor();
    for (const [verdict, words] of [
      ["basket", /You said basket/],
      ["leave", /You said leave it/],
    ] as const) {
      await page.locator(`[data-say="${verdict}"]`).tap();
      await page.locator('[data-sure="8"]').tap();
      await page.getByTestId("phone-said").getByText(words).waitFor();
    }
    await page.reload();
    await page
      .getByTestId("phone-said")
      .getByText(/You said leave it/)
      .waitFor();
    await table.page.getByText("1 has answered").waitFor();
    await table.page.getByRole("button", { name: "Uncover" }).click();
    await page.getByText("0 of 1 at this table had it in the basket.").waitFor();
    await table.page.getByText("Nobody would have carried it home").waitFor();
    await context.close();
    await table.context.close();
  });

  it("that has a wrong link is told so, and is shown nothing of anybody", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/round/${"0".repeat(32)}`);
    await page.getByText(/There is no such round/).waitFor();
    expect(await page.locator("nav").count()).to.equal(0);
    await context.close();
  });
});
