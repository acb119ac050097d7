/** On a phone an answer leads to the next question that matters, unless somebody goes elsewhere or holds a state down. */
import { expect } from "chai";
import type { Locator, Page } from "playwright-core";
import { type Application, newFind, PHONE, reach, startApplication, station, tell } from "./application.ts";
import { placeOf, settled } from "./on-the-phone.ts";

/** Lays a finger on something, and lifts it after most of a second. */
async function hold(page: Page, what: Locator): Promise<void> {
  await what.scrollIntoViewIfNeeded();
  const box = await what.boundingBox();
  if (box === null) throw new Error("nothing to hold");
  const session = await page.context().newCDPSession(page);
  const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await session.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints: [at] });
  await page.waitForTimeout(800);
  await session.send("Input.dispatchTouchEvent", { type: "touchEnd", touchPoints: [] });
}

describe("an answer that goes on by itself", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("no");
  });
  after(() => application.stop());

  it("does not take away who went elsewhere while a slow judge was still at work", async () => {
    const { page, context } = await application.open(PHONE);
    await page.addInitScript(() => {
      const post = Worker.prototype.postMessage;
      Worker.prototype.postMessage = function (this: Worker, message: unknown, options?: StructuredSerializeOptions) {
        setTimeout(() => post.call(this, message, options), 1200);
      } as typeof post;
    });
    await newFind(application, page);
    await settled(page);
    await page.locator('[data-told="age"] [data-state="mature"]').tap();
    await page
      .getByRole("button", { name: /^Under/ })
      .or(page.getByRole("link", { name: "Under", exact: true }))
      .first()
      .tap();
    await page.locator('[data-station="under"]').waitFor();
    await settled(page);
    await page.waitForTimeout(300);
    expect(await page.locator("[data-station]").getAttribute("data-station")).to.equal("under");
    await context.close();
  });

  it("stays where a state is held down: several are told of it", async () => {
    const { page, context } = await application.open(PHONE);
    await newFind(application, page);
    await tell(page, "age", "mature");
    await settled(page);
    await station(page, "Cap");
    await reach(page, '[data-character="cap-colour"]', "cap-colour");
    const state = (name: string) => page.locator(`[data-character="cap-colour"] [data-state="${name}"]`);
    await hold(page, state("white"));
    await settled(page);
    await page.waitForTimeout(300);
    expect(await state("white").getAttribute("aria-pressed")).to.equal("true");
    await state("cream").tap();
    await settled(page);
    expect(await state("white").getAttribute("aria-pressed")).to.equal("true");
    expect(await state("cream").getAttribute("aria-pressed")).to.equal("true");
    await context.close();
  });

  it("still goes on where the person waits", async () => {
    const { page, context } = await application.open(PHONE);
    await newFind(application, page);
    const before = await settled(page);
    await page.locator('[data-told="age"] [data-state="mature"]').tap();
    const now = await settled(page, placeOf(before));
    expect(now.item).not.to.equal(before.item);
    await context.close();
  });
});
