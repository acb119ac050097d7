/** One find on two devices that do not always hear of each other. */
import { expect } from "chai";
import type { Page } from "playwright-core";
import {
  type Application,
  newFind as begin,
  DESK,
  startApplication,
  storedFind,
  tell,
  untilSaved,
  untilVerdict,
} from "./application.ts";

describe("a find on two devices", () => {
  let application: Application;
  before(async () => {
    application = await startApplication();
  });
  after(() => application.stop());

  const newFind = (page: Page) => begin(application, page);

  /** Two devices on one find that both know: the second touches it while the first, without a network, does so too. */
  const apart = async (mine: (page: Page) => Promise<void>, theirs: (page: Page) => Promise<void>) => {
    const [one, two] = [await application.open(DESK, "offline"), await application.open(DESK, "offline")];
    await newFind(one.page);
    await tell(one.page, "age", "young");
    await untilSaved(one.page);
    await two.page.goto(one.page.url());
    await two.page.locator('[data-told="age"]').waitFor();
    await one.context.setOffline(true);
    await theirs(two.page);
    await untilSaved(two.page);
    await mine(one.page);
    await one.context.setOffline(false);
    const close = async () => {
      await one.context.close();
      await two.context.close();
    };
    return { one, two, close };
  };

  it("changed on two devices in different matters comes to one record on both, as soon as there is a network", async () => {
    const { one, two, close } = await apart(
      (page) => tell(page, "firmness", "firm"),
      (page) => tell(page, "larvae", "none"),
    );
    await untilSaved(one.page);
    // each sees what the other told, without asking for it
    for (const { page } of [one, two]) {
      await page.locator('[data-told="larvae"] [data-state="none"][aria-pressed="true"]').waitFor();
      await page.locator('[data-told="firmness"] [data-state="firm"][aria-pressed="true"]').waitFor();
    }
    expect(await storedFind(application, one.page)).to.deep.equal(await storedFind(application, two.page));
    await close();
  });

  it("takes back as one what was one touch, also on another device", async () => {
    const one = await application.open();
    const two = await application.open();
    await newFind(one.page);
    await tell(one.page, "age", "young");
    await one.page.getByRole("button", { name: "Add a body" }).click();
    await one.page.getByRole("button", { name: /^Body B/ }).waitFor();
    await untilSaved(one.page);
    await two.page.goto(one.page.url());
    await two.page.getByRole("button", { name: /^Body B/ }).waitFor();
    await two.page.locator('[data-verdict][data-state="fresh"]').waitFor();
    await two.page.keyboard.press("z");
    await two.page.getByRole("button", { name: /^Body B/ }).waitFor({ state: "detached" });
    await one.page.getByRole("button", { name: /^Body B/ }).waitFor({ state: "detached" });
    await two.page.keyboard.press("z");
    await one.page.locator('[data-told="age"] [data-state="young"][aria-pressed="false"]').waitFor();
    await one.context.close();
    await two.context.close();
  });

  it("changed on two devices in one matter is never mended by itself: the person decides", async () => {
    const { one, close } = await apart(
      (page) => tell(page, "firmness", "firm"),
      (page) => tell(page, "firmness", "mushy"),
    );
    await one.page.getByText("Changed on another device.").waitFor();
    await one.page.getByRole("button", { name: "Look at both" }).click();
    await one.page.getByRole("button", { name: /^Take the other, drop mine/ }).click();
    await untilVerdict(one.page, "leave");
    await close();
  });

  it("changed on two devices can be put together, which permits no more than either", async () => {
    const { one, close } = await apart(
      (page) => tell(page, "firmness", "firm"),
      (page) => tell(page, "firmness", "mushy"),
    );
    await one.page.getByRole("button", { name: "Look at both" }).click();
    await one.page.getByRole("button", { name: /^Put both together/ }).click();
    await one.page.getByRole("dialog").waitFor({ state: "detached" });
    await untilSaved(one.page);
    const { bodies } = (await storedFind(application, one.page)) as { bodies: { firmness: string }[] };
    expect(bodies[0]?.firmness).to.equal("mushy");
    await close();
  });

  it("changed on two devices can be kept as two finds: nothing of either is lost", async () => {
    const { one, two, close } = await apart(
      (page) => tell(page, "firmness", "firm"),
      (page) => tell(page, "firmness", "mushy"),
    );
    const address = one.page.url();
    await one.page.getByRole("button", { name: "Look at both" }).click();
    await one.page.getByRole("button", { name: /^Keep mine as a find of its own/ }).click();
    await one.page.waitForURL((url) => url.href !== address);
    await untilSaved(one.page);
    expect(JSON.stringify((await storedFind(application, one.page)).bodies)).to.contain('"firm"');
    expect(JSON.stringify((await storedFind(application, two.page)).bodies))
      .to.contain("mushy")
      .and.not.to.contain('"firm"');
    await close();
  });
});
