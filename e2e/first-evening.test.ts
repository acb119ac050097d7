/** A log that is empty: a first find by the hand, on one's own specimen or on an invented one. */
import { expect } from "chai";
import { type Application, choose, PHONE, startApplication, station, tell, untilVerdict } from "./application.ts";
import { settled } from "./on-the-phone.ts";

describe("a first evening", () => {
  let application: Application;
  // each evening is the first: with a log of its own
  beforeEach(async () => {
    application = await startApplication("no");
  });
  afterEach(() => application.stop());

  it("is led by the hand through a first find, and can be left at any time", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(application.address);
    await page.getByTestId("first-evening").getByRole("button", { name: "A first find, step by step" }).tap();
    const guide = page.getByTestId("guide");
    await guide.getByText("1 of 6: How old is it?").waitFor();
    await page.locator('[data-told="age"] [data-state="mature"]').tap();
    await guide.getByText("2 of 6: Where does it stand?").waitFor();
    await guide.getByRole("button", { name: "Leave" }).tap();
    await guide.waitFor({ state: "detached" });
    await page.reload();
    await page.locator("[data-station]").waitFor();
    expect(await guide.count()).to.equal(0);
    await context.close();
  });

  it("can be practised on an invented specimen, which shows what somebody looks at, and is to be left", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(application.address);
    const begin = page.getByTestId("first-evening").getByRole("button", { name: "The same on an invented one" });
    await begin.tap();
    const guide = page.getByTestId("guide");
    expect(await guide.textContent()).not.to.contain("mature, its cap open");
    await guide.getByRole("button", { name: "Look at the specimen in your hand" }).tap();
    await guide.getByText(/age: mature/).waitFor();
    await page.locator('[data-told="age"] [data-state="mature"]').tap();
    await settled(page);
    await station(page, "Foot");
    await guide.getByRole("button", { name: "Look at the specimen in your hand" }).tap();
    await guide.getByText(/foot: sac/).waitFor();
    await tell(page, "lifted", "whole");
    await settled(page);
    await station(page, "Foot");
    await choose(page, "base", "sac");
    await settled(page);
    await station(page, "Under");
    await choose(page, "underside", "gills");
    await settled(page);
    await station(page, "Under");
    await choose(page, "gill-colour", "white");
    await untilVerdict(page, "leave");
    await context.close();
  });
});
