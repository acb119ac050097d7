/** `npm run pictures`: starts the application with the demo data in a database of its own and takes every kept picture. */
import { spawn } from "node:child_process";
import { rmSync, writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import type { Browser, Page } from "playwright-core";
import { INVENTED } from "../demo/invented-people.ts";
import { seasonFinds } from "../demo/season.ts";
import { launchBrowser } from "../e2e/application.ts";
import { type KitchenFind, kitchenFind, sit, sortAll, tickAll } from "../e2e/kitchen-finds.ts";
import { cookieOfInvented } from "../server/tests/sign-in.ts";
import { AFTERNOON, DESK, NOBODY, PHONE, type Picture } from "./picture.ts";
import { PICTURES_OF_CIRCLES } from "./pictures-of-circles.ts";
import { PICTURES_OF_PRACTICE } from "./pictures-of-practice.ts";

const FOLDER = process.env.PICTURES ?? fileURLToPath(new URL("../docs/screenshots", import.meta.url));
const DATA_FOLDER = ".data/pictures";

const PICTURES: readonly Picture[] = [
  {
    name: "find-desk",
    size: DESK,
    find: "pale one",
    path: (id) => `/finds/${id}/record/foot`,
    prepare: (page) => lookAtBody(page, "B"),
  },
  {
    name: "find-phone",
    size: PHONE,
    find: "pale one",
    path: (id) => `/finds/${id}/record/foot`,
    prepare: touchOnPhone,
  },
  {
    name: "tests-prints",
    size: DESK,
    find: "orange cluster",
    path: (id) => `/finds/${id}/tests/prints`,
    prepare: readOnBlack,
  },
  { name: "ill-phone", size: PHONE, path: () => "/ill", prepare: tellAMeal },
  { name: "decide-hold", size: DESK, find: "orange cluster", path: (id) => `/finds/${id}/decide` },
  { name: "log-desk", size: DESK, path: () => "/finds", prepare: untilJudged },
  { name: "kitchen-meal", size: DESK, path: () => "/kitchen/table", at: AFTERNOON, prepare: cookAMeal },
  {
    name: "outing-phone",
    size: PHONE,
    path: () => "/outing/now",
    at: new Date("2026-09-19T10:02:00+02:00"),
    prepare: walkAWhile,
  },
  {
    name: "plan-desk",
    size: DESK,
    path: () => "/outing/plan",
    at: new Date("2026-09-24T19:00:00+02:00"),
    prepare: untilPlanned,
  },
  { name: "map-desk", size: DESK, path: () => "/season/log/map", prepare: untilMapped },
  {
    name: "season-desk",
    size: DESK,
    path: () => "/season/pictures",
    prepare: (page) => page.getByText(/^6\d outings in 2 years/).waitFor(),
  },
  ...PICTURES_OF_PRACTICE,
  ...PICTURES_OF_CIRCLES,
];

/** An outing begun, with two finds, a place where nothing was, and the way between them. */
async function walkAWhile(page: Page): Promise<void> {
  await page.getByRole("button", { name: "a walk nobody takes" }).click();
  await page.getByRole("button", { name: /^Begin an outing/ }).click();
  for (const touch of [/^Found one here/, "Nothing here", /^Found one here/] as const) {
    await page.clock.runFor(7 * 60_000);
    await page.getByRole("button", { name: touch }).click();
    await page.waitForTimeout(400);
  }
  await page.clock.runFor(4 * 60_000);
  await page.locator(".way-found").nth(1).waitFor();
}

async function untilPlanned(page: Page): Promise<void> {
  await page.locator("[data-foretold]").first().click();
  await page.getByTestId("rests-on").first().waitFor();
  await page.locator("[data-there] svg").first().waitFor();
}

/** The land lies under what was found. */
async function untilMapped(page: Page): Promise<void> {
  await page.locator(".map-name").first().waitFor();
  await page.waitForTimeout(800);
}

const KITCHEN_MODELS = ["white ones in an arc", "chanterelles"] as const;
const ON_THE_TABLE = ["pasture ring", "bog chanterelles"] as const;
const madeFinds = new Map<string, readonly KitchenFind[]>();

/** Finds that are cooked in the pictures, each set made once: what is in one meal is in no other. */
async function foundForTheKitchen(page: Page, names: readonly [string, string]): Promise<readonly KitchenFind[]> {
  const { origin } = new URL(page.url());
  const known = madeFinds.get(names[0]);
  if (known !== undefined) return known;
  const finds: KitchenFind[] = [];
  for (const [index, model] of KITCHEN_MODELS.entries())
    finds.push(await kitchenFind(page.request, origin, model, names[index] ?? model));
  madeFinds.set(names[0], finds);
  await page.reload();
  return finds;
}

/** A meal on the stove, with who eats. */
async function cookAMeal(page: Page): Promise<void> {
  const finds = await foundForTheKitchen(page, ON_THE_TABLE);
  await sortAll(page, finds);
  await page.getByRole("link", { name: "To the meal" }).click();
  await page.getByRole("button", { name: "Plan a meal" }).click();
  await page.getByRole("heading", { name: /^On the table at/ }).waitFor();
  await sit(page, "Hanne");
  await sit(page, "Jorun");
  await sit(page, "Tove", { age: "7" });
  await tickAll(page);
  for (const name of ["Hanne", "Hanne", "Jorun"]) {
    await page
      .locator(`[data-seat="${name}"]`)
      .getByRole("button", { name: /before, without trouble/ })
      .first()
      .click();
    await page.waitForTimeout(500);
  }
  await page.getByRole("button", { name: "Begin to cook now" }).click();
  await page.clock.fastForward("28:00");
  await page.getByRole("group", { name: /^Smell the pan/ }).waitFor();
  await page.waitForTimeout(1500);
  await page.getByTestId("still-open").scrollIntoViewIfNeeded();
}

/** A print under its cup is read: thick, and white on the black half. */
async function readOnBlack(page: Page): Promise<void> {
  await page.locator('[data-print="B"]').getByRole("button", { name: "it lies thick" }).click();
  await page.locator('[data-print-half="black"] [data-state="white"]').click();
  await page.locator('[data-verdict][data-state="fresh"]').first().waitFor();
}

/** A meal of a while ago and what is felt since, at the windows that are still open. */
async function tellAMeal(page: Page): Promise<void> {
  const ago = new Date(Date.now() - 9 * 3_600_000);
  const two = (value: number) => String(value).padStart(2, "0");
  const local = `${ago.getFullYear()}-${two(ago.getMonth() + 1)}-${two(ago.getDate())}T${two(ago.getHours())}:${two(ago.getMinutes())}`;
  await page.getByLabel("What, how much, how cooked, alcohol").fill("Honey fungus, about 150 g, fried; no wine");
  await page.getByLabel("Eaten at").fill(local);
  await page.getByRole("button", { name: "Write it down" }).click();
  await page.getByLabel("Who").fill("Hanne");
  await page.getByRole("button", { name: "sick", exact: true }).click();
  await page.locator('[data-window="orellanine"]').scrollIntoViewIfNeeded();
}

async function lookAtBody(page: Page, body: string): Promise<void> {
  await page.getByRole("button", { name: new RegExp(`^Body ${body}`) }).click();
}

/** Every find is there and judged. */
async function untilJudged(page: Page): Promise<void> {
  await page.locator(".log-find").first().waitFor();
  await page.waitForFunction(() => !(document.querySelector(".log-lines")?.textContent ?? "…").includes("…"));
}

/** One touch, so that the picture shows what a touch moves. */
async function touchOnPhone(page: Page): Promise<void> {
  await lookAtBody(page, "B");
  await page.locator('[data-told="lifted"] [data-state="whole"]').click();
  await page.locator('[data-chip="base"]').click();
  await page.waitForTimeout(300);
}

/** Starts ./start in a data folder of its own; resolves with the address. */
function startApplication(): Promise<{ address: string; stop: () => Promise<void> }> {
  // a database of its own and a new one each time: the pictures touch what they show
  rmSync(DATA_FOLDER, { recursive: true, force: true });
  const child = spawn("./start", {
    env: { ...process.env, DATA_FOLDER },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const ended = new Promise<void>((resolve) => child.once("exit", () => resolve()));
  return new Promise((resolve, reject) => {
    child.once("exit", (code) => reject(new Error(`./start ended with ${code}`)));
    child.stdout.on("data", (data: Buffer) => {
      const address = /http:\S+/.exec(data.toString())?.[0];
      if (address === undefined) return;
      resolve({
        address,
        stop: async () => {
          child.kill("SIGTERM");
          await ended;
        },
      });
    });
  });
}

async function take(browser: Browser, address: string, picture: Picture): Promise<void> {
  const context = await browser.newContext({
    viewport: picture.size,
    locale: "en-GB",
    timezoneId: "Europe/Berlin",
    reducedMotion: "reduce",
    hasTouch: picture.size === PHONE,
  });
  if (picture.as !== NOBODY)
    await context.addCookies([{ ...(await cookieOfInvented(address, picture.as ?? INVENTED[0].id)), url: address }]);
  const page = await context.newPage();
  if (picture.at !== undefined) await page.clock.install({ time: picture.at });
  const label = picture.find;
  const id = label === undefined ? "" : (seasonFinds().find((find) => find.label?.startsWith(label))?.id ?? "");
  await page.goto(address + picture.path(id));
  await page.waitForLoadState("networkidle");
  await page.evaluate(() => document.fonts.ready);
  if (label !== undefined) await page.locator('[data-state="fresh"]').first().waitFor();
  const drawn = await picture.prepare?.(page);
  // as it looks when nothing is on its way any more
  for (const words of ["Still fetching", "sending"]) await page.getByText(words).first().waitFor({ state: "detached" });
  const path = `${FOLDER}/${picture.name}.png`;
  // a file that the application made is its own picture
  if (drawn instanceof Uint8Array) writeFileSync(path, drawn);
  else await page.screenshot({ path });
  await context.close();
}

const only = process.argv.slice(2);
const address = process.env.ADDRESS;
const application = address === undefined ? await startApplication() : { address, stop: () => Promise.resolve() };
try {
  const browser = await launchBrowser();
  try {
    for (const picture of PICTURES)
      if (only.length === 0 || only.includes(picture.name)) await take(browser, application.address, picture);
  } finally {
    await browser.close();
  }
} finally {
  await application.stop();
}
