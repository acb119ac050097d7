/** A new version is started while pages are open: they go on with what they have, lose nothing, and come over when they are told to. */
import type { ChildProcess } from "node:child_process";
import { rmSync } from "node:fs";
import { expect } from "chai";
import type { Browser, BrowserContext, Page } from "playwright-core";
import { Line } from "../commands/regime/line.ts";
import { type Scratch, scratchDatabase } from "../server/tests/scratch-database.ts";
import { addressOf, cookieOfFirst, toldBy } from "../server/tests/sign-in.ts";
import { choose, findIdOf, launchBrowser, startServer, station, untilSaved } from "./application.ts";
import { makeNewVersion } from "./new-version.ts";
import { watchPages } from "./tell-pages.ts";

/** The scripts that a page has fetched, by name. */
const scriptsOf = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    performance
      .getEntriesByType("resource")
      .map((one) => one.name)
      .filter((name) => name.includes("/assets/") && name.endsWith(".js")),
  );

describe("a new version while pages are open", () => {
  const newer = makeNewVersion();
  let scratch: Scratch;
  let browser: Browser;
  let line: Line;
  let address: string;
  let session: { name: string; value: string };
  let running: ChildProcess;

  const startOf = (folder?: string) => startServer(scratch.url, folder === undefined ? {} : { WEB_FOLDER: folder });
  const stopped = (child: ChildProcess) =>
    new Promise((resolve) => {
      child.once("exit", resolve);
      child.kill("SIGTERM");
    });
  const portOf = (told: string) => Number(new URL(told).port);
  /** Starts the other beside it, leads everybody there, and only then stops the one before. */
  const rollTo = async (folder?: string) => {
    const next = startOf(folder);
    line.leadTo(portOf(await addressOf(next)));
    await stopped(running);
    running = next;
  };
  const open = async (serviceWorkers: "allow" | "block"): Promise<{ page: Page; context: BrowserContext }> => {
    const context = await browser.newContext({ locale: "en-GB", reducedMotion: "reduce", serviceWorkers });
    watchPages(context);
    await context.addCookies([{ ...session, url: address }]);
    const page = await context.newPage();
    page.setDefaultTimeout(30_000);
    await page.goto(`${address}/finds`);
    await page.getByRole("button", { name: "New find" }).click();
    await page.locator('[data-station="bodies"]').waitFor();
    await station(page, "Cap");
    await choose(page, "cap-colour", "white");
    await untilSaved(page);
    return { page, context };
  };
  const looksAt = async (page: Page, id: string) => {
    const read = await page.request.get(`${address}/api/documents/${id}`);
    const { content } = (await read.json()) as { content: { bodies: { seen?: { character: string }[] }[] } };
    return content.bodies[0]?.seen?.map((look) => look.character).sort();
  };

  before(async () => {
    scratch = await scratchDatabase();
    running = startOf();
    const told = await toldBy(running);
    session = await cookieOfFirst(told);
    line = new Line(portOf(told.address));
    address = `http://127.0.0.1:${await line.begin()}`;
    browser = await launchBrowser();
  });
  after(async () => {
    await browser.close();
    await line.stop();
    await stopped(running);
    await scratch.drop();
    rmSync(newer.folder, { recursive: true });
  });
  afterEach(() => rollTo());

  it("a page goes on with the version that it has, and takes the new one with all that was recorded", async () => {
    const { page, context } = await open("allow");
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    const id = findIdOf(page);
    await rollTo(newer.folder);
    await station(page, "Under");
    await choose(page, "underside", "gills");
    await untilSaved(page);
    // a view that it had not fetched before
    await page.getByRole("link", { name: "Season" }).first().click();
    await page.waitForURL("**/season**");
    await page.getByRole("heading").first().waitFor();
    expect((await scriptsOf(page)).some((name) => name.includes(newer.mark))).to.equal(false);
    await page.evaluate(async () => {
      await (await navigator.serviceWorker.getRegistration())?.update();
    });
    await page.getByRole("button", { name: "Take it" }).click();
    await page.waitForFunction(
      (mark) => performance.getEntriesByType("resource").some((one) => one.name.includes(mark)),
      newer.mark,
    );
    await page.goto(`${address}/finds/${id}/record`);
    await untilSaved(page);
    expect(await looksAt(page, id)).to.deep.equal(["cap-colour", "underside"]);
    await context.close();
  });

  it("a page without a store of its own says what it cannot show, keeps what it has, and comes over by one touch", async () => {
    const { page, context } = await open("block");
    const id = findIdOf(page);
    await rollTo(newer.folder);
    await station(page, "Under");
    await choose(page, "underside", "gills");
    await untilSaved(page);
    await page.getByRole("link", { name: "Season" }).first().click();
    await page.getByText("This part could not be shown").waitFor();
    await page.getByRole("link", { name: "Back to the finds" }).click();
    await page.getByRole("button", { name: "New find" }).waitFor();
    expect((await scriptsOf(page)).every((name) => name.includes(newer.mark))).to.equal(true);
    expect(await looksAt(page, id)).to.deep.equal(["cap-colour", "underside"]);
    await context.close();
  });

  it("a page that gets its files from the server of the other version says so, and is whole when it is led to one", async () => {
    const { page, context } = await open("block");
    let isMixed = true;
    await page.route("**/assets/*.js", (route) =>
      isMixed ? route.fulfill({ status: 404, body: "" }) : route.continue(),
    );
    await page.goto(`${address}/finds`);
    await page.getByText("could not be fetched whole").waitFor();
    isMixed = false;
    await page.getByRole("button", { name: "New find" }).waitFor();
    await context.close();
  });
});
