/** A browser that comes to a server over a bad line. The application has to be built. */
import type { Browser, BrowserContext, Page } from "playwright-core";
import { launchBrowser } from "../../e2e/application.ts";
import { pause, say } from "./child.ts";
import { Line } from "./line.ts";
import type { Machine } from "./machine.ts";

const WAITS_MS = 180_000;
/** A far valley: what the radio bars of a telephone call one. */
const FAR = { delayMs: 300, bytesPerSecond: 30_000 } as const;

interface Visit {
  readonly line: Line;
  readonly page: Page;
  readonly context: BrowserContext;
  readonly address: string;
}

/** Somebody signed in, at a browser that has never been here, on a line that begins whole. */
async function visit(machine: Machine, work: (visit: Visit) => Promise<boolean>): Promise<boolean> {
  const line = new Line(Number(new URL(machine.address).port));
  const address = `http://127.0.0.1:${await line.begin()}`;
  let browser: Browser | undefined;
  try {
    browser = await launchBrowser();
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
    const [name = "", value = ""] = machine.cookie.split("=");
    await context.addCookies([{ name, value, url: address }]);
    const page = await context.newPage();
    page.setDefaultTimeout(WAITS_MS);
    return await work({ line, page, context, address });
  } finally {
    await browser?.close();
    await line.stop();
  }
}

/** Begins a find and touches what grows around it, as somebody does who has no time. @returns its id */
async function record(page: Page, touches: number): Promise<string> {
  await page.getByRole("button", { name: "New find" }).click();
  await page.locator('[data-station="bodies"]').waitFor();
  await page.getByRole("link", { name: "Ground", exact: true }).click();
  await page.locator('[data-station="ground"]').waitFor();
  const states = page.locator("[data-character] [data-state]");
  await states.first().waitFor();
  const most = await states.count();
  for (let at = 0; at < touches; at++) {
    await states.nth(at % most).click();
    await pause(0.3);
  }
  return /finds\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? "";
}

/** How many touches of a find the server has. */
async function touchesOf({ cookie, address }: Machine, id: string): Promise<number> {
  const reply = await fetch(`${address}/api/documents/${id}/touches?limit=200`, { headers: { cookie } });
  return reply.ok ? ((await reply.json()) as { touches: unknown[] }).touches.length : 0;
}

/** A first visit on a slow line, and a find recorded on it. */
export const slowVisit = (machine: Machine): Promise<boolean> =>
  visit(machine, async ({ line, page, address }) => {
    line.become(FAR);
    const begun = performance.now();
    await page.goto(`${address}/finds`, { timeout: WAITS_MS });
    await page.getByRole("button", { name: "New find" }).waitFor();
    const first = performance.now() - begun;
    const TOUCHES = 10;
    const id = await record(page, TOUCHES);
    const recorded = performance.now();
    await page
      .getByText(/^saved/)
      .first()
      .waitFor();
    const saved = performance.now() - recorded;
    const there = await touchesOf(machine, id);
    say(
      `a telephone on a line of ${FAR.delayMs} ms each way and ${FAR.bytesPerSecond / 1000} kB/s: the finds of a first visit after ${(first / 1000).toFixed(1)} s; ${there} of ${TOUCHES} touches at the server, the last ${(saved / 1000).toFixed(1)} s after it was made`,
    );
    return there === TOUCHES;
  });

/** What of the application a browser keeps that is not what the server sends: halves, and errors. */
async function notWhole(page: Page): Promise<{ kept: number; bad: string[] }> {
  return page.evaluate(async () => {
    const bad: string[] = [];
    let kept = 0;
    for (const name of await caches.keys()) {
      const cache = await caches.open(name);
      for (const request of await cache.keys()) {
        kept += 1;
        const here = await (await cache.match(request))?.arrayBuffer();
        const there = await (await fetch(request.url, { cache: "no-store" })).arrayBuffer();
        if (here?.byteLength !== there.byteLength)
          bad.push(`${request.url}: ${here?.byteLength} of ${there.byteLength}`);
      }
    }
    return { kept, bad };
  });
}

/** In the headers of the first answer of a connection and the second, at a body's first bytes, and far into files. */
const CUT_AFTER_BYTES = [700, 900, 1000, 1100, 2000, 3000, 20_000, 60_000, 150_000];

/** Visits on a line that breaks off every answer in the middle, until it does not any more; then one without a network. */
export const halves = (machine: Machine): Promise<boolean> =>
  visit(machine, async ({ line, page, context, address }) => {
    for (const cutAfterBytes of CUT_AFTER_BYTES) {
      line.become({ cutAfterBytes });
      line.cut();
      await page.goto(`${address}/finds`, { timeout: 20_000 }).catch(() => undefined);
      await pause(3);
    }
    const { cuts } = line;
    line.become({});
    line.cut();
    await page.goto(`${address}/finds`);
    await page.getByRole("button", { name: "New find" }).waitFor();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await pause(3);
    const { kept, bad } = await notWhole(page);
    await context.setOffline(true);
    await page.reload();
    await page.getByRole("button", { name: "New find" }).waitFor();
    say(
      `the program's files cut off in the middle, ${cuts} times: of ${kept} files kept by the browser ${bad.length} are not whole${bad.length === 0 ? "" : ` (${bad.join(", ")})`}; opened without a network afterwards`,
    );
    return bad.length === 0 && kept > 0;
  });
