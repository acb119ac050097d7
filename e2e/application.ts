/** The real application for browser tests: the real server on a database of its own, and Debian's Chromium. */
import { spawn } from "node:child_process";
import { existsSync } from "node:fs";
import { type Browser, type BrowserContext, chromium, type Page } from "playwright-core";
import { type Scratch, scratchDatabase } from "../server/tests/scratch-database.ts";
import { cookieOfFirst, toldBy } from "../server/tests/sign-in.ts";
import { rememberPages, watchPages } from "./tell-pages.ts";

export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844 };

/** Debian's Chromium: without windows where it is there, since the same pages cost it a third less; any other where it is told. */
const chromiumPath = (): string =>
  process.env.CHROMIUM ??
  ["/usr/bin/chromium-headless-shell", "/usr/bin/chromium"].find((path) => existsSync(path)) ??
  "chromium";

/** A browser which asks nobody for anything. */
export const launchBrowser = (): Promise<Browser> =>
  chromium.launch({
    executablePath: chromiumPath(),
    args: [
      "--no-sandbox",
      "--disable-gpu",
      "--disable-background-networking",
      "--disable-component-update",
      "--no-first-run",
    ],
  });

/** Starts the server as it was built, on a port of its own. */
export const startServer = (databaseUrl: string, also: Readonly<Record<string, string>> = {}) =>
  spawn(process.execPath, ["server/dist/main.js"], {
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: "0", LOG_LEVEL: "error", ...also },
    stdio: ["ignore", "pipe", "inherit"],
  });

/** How long anything on a page may take: a busy machine is not a fault of the application. */
const WAITS_MS = 30_000;

export interface Application {
  readonly address: string;
  /** The setup word, which is used up where there is no demo. */
  readonly word: string;
  readonly browser: Browser;
  /**
   * A page of its own, of a browser in which the first person is signed in, unless it is to be unknown. Only one that goes offline
   * lets the service worker fetch all of the application first.
   */
  readonly open: (size?: typeof DESK, goes?: "offline" | "unknown") => Promise<{ page: Page; context: BrowserContext }>;
  readonly stop: () => Promise<void>;
}

/**
 * Starts server and browser; loads the demo where asked for: the finds of one autumn, or two seasons as well.
 * @param fill puts something into the database before @param station another weather station
 */
export async function startApplication(
  demo: "yes" | "no" | "seasons" = "no",
  fill?: (scratch: Scratch) => Promise<void>,
  station?: string,
): Promise<Application> {
  const scratch: Scratch = await scratchDatabase();
  await fill?.(scratch);
  const server = startServer(scratch.url, {
    LOAD_DEMO: demo === "seasons" ? "yes" : demo === "yes" ? "finds" : "no",
    ...(station === undefined ? {} : { WEATHER_STATION_URL: station }),
  });
  const { address, word } = await toldBy(server);
  const session = await cookieOfFirst({ address, word });
  const browser = await launchBrowser();
  return {
    address,
    word,
    browser,
    open: async (size = DESK, goes) => {
      const context = await browser.newContext({
        viewport: size,
        locale: "en-GB",
        timezoneId: "Europe/Berlin",
        hasTouch: size === PHONE,
        isMobile: size === PHONE,
        reducedMotion: "reduce",
        serviceWorkers: goes === "offline" ? "allow" : "block",
      });
      watchPages(context);
      if (goes !== "unknown") await context.addCookies([{ ...session, url: address }]);
      const page = await context.newPage();
      page.setDefaultTimeout(WAITS_MS);
      return { page, context };
    },
    stop: async () => {
      await rememberPages();
      await browser.close();
      server.kill("SIGTERM");
      await new Promise((resolve) => server.once("exit", resolve));
      await scratch.drop();
    },
  };
}

/** Brings a question of the station that is shown on the screen: unfolds "also", and on a phone touches its chip. */
export async function reach(page: Page, block: string, item: string): Promise<void> {
  const chip = page.locator(`[data-chip="${item}"]`);
  const also = page.locator('[data-testid="also"][aria-expanded="false"]');
  await page.locator(`${block}, [data-chip], [data-testid="also"]`).first().waitFor();
  if ((await page.locator(block).count()) > 0) return;
  if ((await chip.count()) === 0 && (await also.count()) > 0) await also.click();
  if ((await chip.count()) > 0) await chip.click();
  await page.locator(block).waitFor();
}

/** Touches a state of a character at the station that is shown. */
export async function choose(page: Page, character: string, state: string): Promise<void> {
  await reach(page, `[data-character="${character}"]`, character);
  await page.locator(`[data-character="${character}"] [data-state="${state}"]`).click();
}

/** Answers a told question: age, lifted, keep, frostLastNight … */
export async function tell(page: Page, question: string, value: string): Promise<void> {
  await reach(page, `[data-told="${question}"]`, question);
  await page.locator(`[data-told="${question}"] [data-state="${value}"]`).click();
}

/** Begins a new find. */
export async function newFind(application: Application, page: Page): Promise<void> {
  await page.goto(application.address);
  await page.getByRole("button", { name: "New find" }).click();
  await page.locator('[data-station="bodies"]').waitFor();
}

/** The id of the find that is open. */
export const findIdOf = (page: Page): string => /finds\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? "";

/** Goes to a station by its tab or its place on the plate. */
export async function station(page: Page, name: string): Promise<void> {
  await page
    .getByRole("link", { name, exact: true })
    .or(page.getByRole("button", { name: new RegExp(`^${name}`) }))
    .first()
    .click();
  await page.locator(`[data-station="${name.toLowerCase()}"]`).waitFor();
}

/** A look to be recorded: its station, its character and the state that was seen. */
export type Seen = readonly (readonly [station: string, character: string, state: string])[];

/** Records looks, each at its station. */
export async function record(page: Page, seen: Seen): Promise<void> {
  for (const [name, character, state] of seen) {
    await station(page, name);
    await choose(page, character, state);
  }
}

/** A young white ringed one from the pasture, its foot not looked at yet: the angel is one mistake away. */
export const PALE_ON_GRASS: Seen = [
  ["Ground", "habitat", "grassland"],
  ["Cap", "cap-colour", "white"],
  ["Under", "underside", "gills"],
  ["Under", "gill-colour", "pink"],
  ["Stem", "ring", "skirt"],
];

/** What is still asked for of it, beside its foot and nose, where nobody told the part of the world. */
export const PALE_ON_GRASS_FURTHER: Seen = [
  ["Ground", "host", "none-near"],
  ["Cap", "cap-surface", "silky"],
  ["Under", "gill-attachment", "free"],
  ["Stem", "stem-surface", "smooth"],
  ["Cut", "stain-heated", "none"],
  ["Nose", "smell-heated", "mushroomy"],
];

/** Its foot dug out whole, nicked, and its smell. */
export async function recordFootAndNose(page: Page): Promise<void> {
  await station(page, "Foot");
  await tell(page, "lifted", "whole");
  await record(page, [
    ["Foot", "base", "plain"],
    ["Foot", "stain-base", "none"],
    ["Nose", "smell", "mushroomy"],
  ]);
}

/** The verdict on the dark half, once the answer is that of the latest touch. */
export async function verdict(page: Page): Promise<string | null> {
  await page.locator('[data-verdict][data-state="fresh"]').first().waitFor();
  return page.locator("[data-verdict]").first().getAttribute("data-verdict");
}

/** Waits for a verdict. */
export async function untilVerdict(page: Page, wanted: "leave" | "hold" | "basket"): Promise<void> {
  await page.locator(`[data-verdict="${wanted}"][data-state="fresh"]`).first().waitFor();
}

/** Mistakes between the find and a danger, as drawn. */
export async function mistakesTo(page: Page, sheet: string): Promise<number> {
  const row = page.locator(`[data-danger="${sheet}"]`);
  // a danger may be folded away with others at its distance
  const folded = page.locator(':is([data-fold] > button, [data-testid="unfold-board"])[aria-expanded="false"]:visible');
  while ((await row.count()) === 0 && (await folded.count()) > 0) await folded.first().click();
  return Number(await row.first().getAttribute("data-mistakes"));
}

/** Waits until the server has acknowledged everything. */
export async function untilSaved(page: Page): Promise<void> {
  await page
    .getByText(/^saved/)
    .first()
    .waitFor();
}

/** The record as the server holds it. */
export async function storedFind(application: Application, page: Page): Promise<Record<string, unknown>> {
  const id = findIdOf(page);
  const response = await page.request.get(`${application.address}/api/documents/${id}`);
  const { content } = (await response.json()) as { content: Record<string, unknown> };
  return content;
}
