/** Somebody is ill: from anywhere, without a network, with nothing in the log, with a device that keeps nothing. */
import { expect } from "chai";
import { type Application, DESK, PHONE, startApplication, untilVerdict } from "./application.ts";
import { idOf } from "./every-view.ts";

const HOUR = 3_600_000;

/** A moment as a field of date and time takes it, in the browser's own time zone. */
const localAgo = (hours: number): string => {
  const at = new Date(Date.now() - hours * HOUR);
  const words = new Intl.DateTimeFormat("sv-SE", {
    timeZone: "Europe/Berlin",
    dateStyle: "short",
    timeStyle: "short",
  }).format(at);
  return words.replace(" ", "T");
};

describe("when somebody is ill", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  for (const [size, name] of [
    [PHONE, "phone"],
    [DESK, "desk"],
  ] as const)
    it(`is one touch away from every view on a ${name}, and opens without a network`, async () => {
      const { page, context } = await application.open(size, "offline");
      await page.goto(`${application.address}/finds`);
      await page.evaluate(() => navigator.serviceWorker.ready);
      // the first visit keeps the program: what is not kept yet could not be opened
      await page.waitForFunction(async () => (await caches.keys()).some((cache) => cache.includes("precache")));
      await page.waitForTimeout(2000);
      await context.setOffline(true);
      for (const path of [
        "/finds",
        `/finds/${idOf("pale one")}/record/foot`,
        `/finds/${idOf("orange cluster")}/decide`,
        "/kitchen/basket",
        "/sheets",
      ]) {
        await page.goto(application.address + path);
        await page.getByRole("link", { name: "Ill?" }).locator("visible=true").first().click();
        await page.getByRole("heading", { level: 1, name: /ill after mushrooms/ }).waitFor();
        await page.getByText(/your emergency number, now/).waitFor();
      }
      await page.goto(`${application.address}/ill`);
      await page.getByText(/your emergency number, now/).waitFor();
      await context.close();
    });

  it("keeps the liver poison open after early sickness, and everything that was told with its time", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/ill`);
    await page
      .getByLabel("What, how much, how cooked, alcohol")
      .fill("honey fungus and a white one, about 150 g, fried");
    await page.getByLabel("Eaten at").fill(localAgo(3));
    await page.getByRole("button", { name: "Write it down" }).tap();
    await page.getByLabel("Who").fill("Hanne");
    await page.getByRole("button", { name: "sick", exact: true }).tap();
    await page.getByRole("button", { name: "feels better again" }).tap();
    const window = (id: string) => page.locator(`[data-window="${id}"]`).getAttribute("data-state");
    expect(await window("gut")).to.equal("usual-hours");
    expect(await window("muscarine")).to.equal("usual-hours-past");
    expect(await window("amatoxin")).to.equal("to-come");
    expect(await window("orellanine")).to.equal("to-come");
    expect(await page.locator("[data-window]").count()).to.equal(8);
    const message = (await page.getByTestId("message").textContent()) ?? "";
    expect(message).to.match(/\(3 h ago\): honey fungus.*Hanne: sick.*late liver poison\.$/s);
    expect(message.length).to.be.at.most(1000);
    // struck out it stays, and after the page was closed as well
    await page.getByRole("button", { name: /^Strike out: Hanne: feels better/ }).tap();
    await page.reload();
    const told = page.getByTestId("told");
    await told.getByText(/honey fungus/).waitFor();
    expect(await told.locator("s").textContent()).to.contain("feels better again");
    expect(await page.getByTestId("message").textContent()).not.to.contain("feels better");
    // a day later the usual hours of most are past, and none has gone
    await page.getByLabel("What, how much, how cooked, alcohol").fill("the rest of it");
    await page.getByLabel("Eaten at").fill(localAgo(2));
    await page.getByRole("button", { name: "Write it down" }).tap();
    expect(await page.locator("[data-window]").count()).to.equal(8);
    await context.close();
  });

  it("dials the numbers that were entered, on this device alone", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/ill`);
    const numbers = page.getByLabel("Your numbers, one a line");
    await numbers.fill("000\nPoison centre 00 000 00 00\nIlva, who knows them");
    await numbers.blur();
    await page.getByRole("link", { name: "Poison centre 00 000 00 00" }).waitFor();
    expect(await page.getByRole("link", { name: "000", exact: true }).getAttribute("href")).to.equal("tel:000");
    expect(await page.getByRole("link", { name: /Poison centre/ }).getAttribute("href")).to.equal("tel:000000000");
    await page.getByText("Ilva, who knows them").waitFor();
    await context.close();
  });

  it("works where the device's own database cannot be opened, and comforts nobody", async () => {
    const { page, context } = await application.open(PHONE);
    await page.addInitScript(() => {
      Object.defineProperty(window, "indexedDB", {
        get() {
          throw new Error("closed");
        },
      });
    });
    await page.goto(`${application.address}/ill`);
    await page.getByText(/Feeling better is a stage of it/).waitFor();
    const text = (await page.textContent("main")) ?? "";
    expect(text).not.to.match(/harmless|safe|may be eaten|do not worry|no danger|probably/i);
    await context.close();
  });

  it("loses nothing of what two tabs tell, and says so where the device keeps nothing", async () => {
    const { page, context } = await application.open(PHONE);
    const other = await context.newPage();
    for (const tab of [page, other]) await tab.goto(`${application.address}/ill`);
    await page.getByRole("button", { name: "cramps" }).click();
    await other.getByRole("button", { name: "drowsy" }).click();
    await page.getByRole("button", { name: "confused" }).click();
    await other.reload();
    for (const what of ["cramps", "drowsy", "confused"])
      await other
        .getByTestId("told")
        .getByText(new RegExp(`Felt: ${what}`))
        .waitFor();
    await other.evaluate(() => {
      Storage.prototype.setItem = () => {
        throw new DOMException("full", "QuotaExceededError");
      };
    });
    await other.getByRole("button", { name: "sweating" }).click();
    await other
      .getByRole("alert")
      .getByText(/could not keep it/)
      .waitFor();
    await other
      .getByTestId("told")
      .getByText(/Felt: sweating/)
      .waitFor();
    await context.close();
  });

  it("stands in the first level of a find that is judged, without moving anything", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await untilVerdict(page, "hold");
    expect(await page.getByRole("link", { name: "Ill?" }).locator("visible=true").count()).to.equal(1);
    await context.close();
  });
});
