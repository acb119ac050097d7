/** Below a path: the same application, with everything that it asks for and tells others below it. */
import type { ChildProcess } from "node:child_process";
import { expect } from "chai";
import type { Browser, BrowserContext, Page } from "playwright-core";
import { type Scratch, scratchDatabase } from "../server/tests/scratch-database.ts";
import { FIRST, toldBy } from "../server/tests/sign-in.ts";
import { choose, findIdOf, launchBrowser, startServer, station, untilSaved } from "./application.ts";
import { watchPages } from "./tell-pages.ts";

const BASE = "/cap";

describe("the application below a path", () => {
  let scratch: Scratch;
  let server: ChildProcess;
  let browser: Browser;
  let context: BrowserContext;
  let page: Page;
  let origin: string;
  const strays: string[] = [];
  before(async () => {
    scratch = await scratchDatabase();
    server = startServer(scratch.url, { PUBLIC_URL: `http://localhost${BASE}/` });
    const { address, word } = await toldBy(server);
    origin = `http://localhost:${new URL(address).port}`;
    expect(new URL(address).pathname).to.equal(BASE);
    browser = await launchBrowser();
    context = await browser.newContext({ locale: "en-GB", reducedMotion: "reduce" });
    watchPages(context);
    page = await context.newPage();
    page.setDefaultTimeout(30_000);
    page.on("request", (request) => {
      const { pathname, origin: of } = new URL(request.url());
      if (of === origin && !pathname.startsWith(`${BASE}/`)) strays.push(pathname);
    });
    await page.goto(`${origin}${BASE}/finds`);
    await page.getByLabel("Setup word").fill(word);
    await page.getByLabel("What others call you").fill(FIRST.name);
    await page.getByLabel("Sign-in name").fill(FIRST.signInName);
    await page.getByLabel("Password").fill(FIRST.password);
    await page.getByRole("button", { name: "Begin" }).click();
    await page.getByRole("button", { name: "New find" }).waitFor();
  });
  after(async () => {
    await browser.close();
    server.kill("SIGTERM");
    await new Promise((resolve) => server.once("exit", resolve));
    await scratch.drop();
  });

  it("has nothing beside it, and a cookie that goes nowhere else", async () => {
    expect((await fetch(`${origin}/finds`)).status).to.equal(404);
    expect((await fetch(`${origin}/api/health`)).status).to.equal(404);
    expect((await fetch(`${origin}${BASE}/api/health`)).status).to.equal(200);
    expect((await context.cookies()).map(({ path }) => path)).to.deep.equal([BASE]);
  });

  it("records, answers, keeps, and asks for nothing outside its path", async () => {
    await page.getByRole("button", { name: "New find" }).click();
    await page.locator('[data-station="bodies"]').waitFor();
    await station(page, "Cap");
    await choose(page, "cap-colour", "white");
    await untilSaved(page);
    await page.locator("[data-verdict]").first().waitFor();
    for (const path of ["/season/log/map", "/kitchen/basket", "/practice", "/sheets", "/outing/now"]) {
      await page.goto(`${origin}${BASE}${path}`);
      await page.getByRole("heading").first().waitFor();
    }
    expect(strays).to.deep.equal([]);
  });

  it("gives links that lead below its path", async () => {
    await page.goto(`${origin}${BASE}/me`);
    await page.getByLabel("For whom the invitation is").fill("Tosk");
    await page.getByRole("button", { name: "Make a link" }).click();
    const link = await page.locator('a[href*="/join/"]').getAttribute("href");
    expect(link).to.match(new RegExp(`^${origin}${BASE}/join/`));
    const joining = await browser.newContext();
    const guest = await joining.newPage();
    await guest.goto(link ?? "");
    await guest.getByLabel("What others call you").waitFor();
    await joining.close();
  });

  it("opens without a network, below its path as well", async () => {
    await page.goto(`${origin}${BASE}/finds`);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await context.setOffline(true);
    await page.reload();
    await page.getByRole("button", { name: "New find" }).click();
    await page.locator('[data-station="bodies"]').waitFor();
    expect(new URL(page.url()).pathname).to.match(new RegExp(`^${BASE}/finds/${findIdOf(page)}/record`));
    await context.setOffline(false);
    await page.goto(`${origin}${BASE}/sign-in`);
    expect(strays).to.deep.equal([]);
  });
});
