/**
 * Times the application in the browser: a log of ten thousand finds, and the longest that anything keeps a person waiting while
 * a find is recorded on a phone whose processor is slowed four times. Usage: npm run bench:browser (after npm run build)
 */
import type { Page } from "playwright-core";
import { type Application, DESK, newFind, PHONE, startApplication, untilVerdict } from "../e2e/application.ts";
import { FINDS, fill } from "./ten-thousand-finds.ts";

const SLOWED = 4;
const SCREENS = 40;
const SETTLES_MS = 90_000;
const TOUCHES = 24;
const SLOWEST = 5;
const RESTS_MS = 3000;

const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((one, other) => one - other)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0;

/** First rows of a device that holds all of them, how many nodes stand on the page, and how long frames take while it scrolls. */
async function longLog(): Promise<string> {
  const application = await startApplication("no", fill);
  const { page } = await application.open(DESK);
  await page.goto(`${application.address}/finds`);
  await page.waitForFunction(
    (count) =>
      new Promise<boolean>((resolve) => {
        const asked = indexedDB.open("jittery-cap");
        asked.onerror = () => resolve(false);
        asked.onsuccess = () => {
          const database = asked.result;
          if (!database.objectStoreNames.contains("documents")) return resolve(false);
          const counted = database.transaction("documents").objectStore("documents").count();
          counted.onsuccess = () => {
            database.close();
            resolve(counted.result >= count);
          };
        };
      }),
    FINDS,
    { timeout: 300_000, polling: 1000 },
  );
  // the server goes through what it was given, on the same two cores: that is no part of this
  await page.waitForTimeout(SETTLES_MS);
  await page.reload({ waitUntil: "commit" });
  const rows = await page.evaluate(async () => {
    while (document.querySelectorAll(".log-line").length < 8) await new Promise(requestAnimationFrame);
    return performance.now();
  });
  await page.waitForTimeout(1500);
  const nodes = () => page.evaluate(() => document.querySelectorAll("*").length);
  const before = await nodes();
  const frames = await page.evaluate(async (screens) => {
    const list = document.querySelector(".log-scroll");
    if (list === null) throw new Error("there is no list");
    const took: number[] = [];
    let last = performance.now();
    for (let screen = 0; screen < screens; screen++) {
      list.scrollTop += list.clientHeight / 2;
      await new Promise(requestAnimationFrame);
      const now = performance.now();
      took.push(now - last);
      last = now;
    }
    return took;
  }, SCREENS);
  const after = await nodes();
  await application.stop();
  return `a log of ${FINDS} finds: first rows after ${rows.toFixed(0)} ms, ${before} nodes, ${after} after scrolling; a frame while it scrolls takes ${percentile(frames, 0.5).toFixed(0)} ms, 95 % ${percentile(frames, 0.95).toFixed(0)} ms`;
}

/** Frames while a map of all of them is pulled about. */
async function longMap(): Promise<string> {
  const application = await startApplication("no", fill);
  const { page } = await application.open(DESK);
  await page.goto(`${application.address}/season/log/map`);
  await page.waitForFunction(
    (count) => document.querySelector('[data-testid="on-the-map"]')?.textContent?.startsWith(`${count} finds`),
    FINDS,
    { timeout: 300_000, polling: 500 },
  );
  await page.waitForTimeout(SETTLES_MS / 30);
  // as text: what is built for Node carries helpers that a page does not have
  await page.evaluate(`(() => {
    window.frames_ = [];
    let last = performance.now();
    requestAnimationFrame(function frame(now) {
      window.frames_.push(now - last);
      last = now;
      requestAnimationFrame(frame);
    });
  })()`);
  const box = await page.locator(".map").boundingBox();
  const [x, y] = [(box?.x ?? 0) + 300, (box?.y ?? 0) + 200];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= SCREENS * 2; step++) await page.mouse.move(x + step * 3, y + (step % 20) * 2);
  await page.mouse.up();
  const frames = (await page.evaluate("window.frames_")) as number[];
  await application.stop();
  return `a map of ${FINDS} finds: a frame while it is pulled takes ${percentile(frames, 0.5).toFixed(0)} ms, 95 % ${percentile(frames, 0.95).toFixed(0)} ms, the longest ${Math.max(...frames).toFixed(0)} ms`;
}

interface Interaction {
  readonly kind: string;
  readonly ms: number;
}

/** Answers what the phone asks, one touch after another, as it comes. */
async function answerOn(page: Page): Promise<void> {
  const open = page.locator(".phone-body [data-character] [data-state], .phone-body [data-told] [data-state]");
  for (let touch = 0; touch < TOUCHES; touch++) {
    const count = await open.count();
    if (count > 0) await open.nth(touch % Math.min(count, 4)).tap();
    else await page.getByTestId("next-test").tap();
    await page.locator('[data-verdict][data-state="fresh"]').first().waitFor();
    await page.waitForTimeout(120);
  }
}

/** The longest that a touch kept a person waiting in a session: recording, Decide, the log, a sheet, settings. */
async function session(): Promise<string> {
  const application: Application = await startApplication("yes");
  const { page, context } = await application.open(PHONE);
  await page.addInitScript(() => {
    const kept: Interaction[] = JSON.parse(sessionStorage.getItem("interactions") ?? "[]");
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) {
        const { interactionId = 0, target } = entry as PerformanceEventTiming;
        const what = target instanceof Element ? (target.textContent ?? "").trim().slice(0, 40) : "";
        if (interactionId > 0) kept.push({ kind: `${entry.name} on “${what}”`, ms: entry.duration });
      }
      sessionStorage.setItem("interactions", JSON.stringify(kept));
    }).observe({ type: "event", buffered: true, durationThreshold: 16 } as PerformanceObserverInit);
  });
  await newFind(application, page);
  // a first visit also keeps the whole program on the device; who touches meanwhile waits longer
  await page.waitForTimeout(RESTS_MS);
  const slowed = await context.newCDPSession(page);
  await slowed.send("Emulation.setCPUThrottlingRate", { rate: SLOWED });
  await answerOn(page);
  await page.getByRole("link", { name: "Decide" }).tap();
  await untilVerdict(page, "hold").catch(() => untilVerdict(page, "leave"));
  await page.getByRole("link", { name: "Finds", exact: true }).tap();
  await page.locator(".log-line").first().waitFor();
  await page.locator(".log-line a").nth(1).tap();
  await page.locator('[data-verdict][data-state="fresh"]').first().waitFor();
  await page.waitForTimeout(500);
  const kept: Interaction[] = JSON.parse(await page.evaluate(() => sessionStorage.getItem("interactions") ?? "[]"));
  await application.stop();
  const times = kept.map(({ ms }) => ms);
  const worst = [...kept].sort((one, other) => other.ms - one.ms);
  return `${kept.length} events of a session on a phone, slowed ${SLOWED} times: middle ${percentile(times, 0.5)} ms, 98 % ${percentile(times, 0.98)} ms, longest ${worst
    .slice(0, SLOWEST)
    .map(({ kind, ms }) => `${ms} ms (${kind})`)
    .join(", ")}`;
}

const asked = process.argv[2];
if (asked === undefined || asked === "log") process.stdout.write(`${await longLog()}\n`);
if (asked === undefined || asked === "map") process.stdout.write(`${await longMap()}\n`);
if (asked === undefined || asked === "session") process.stdout.write(`${await session()}\n`);
process.exit(0);
