/** What the open pages showed when a browser test failed: a fault that comes once in fifty runs is told by this alone. */
import type { BrowserContext, Page } from "playwright-core";

/** How much of a page is told, characters. */
const TOLD = 1500;
/** What the last test's pages said to the console. */
const KEPT_LINES = 12;

const contexts = new Set<BrowserContext>();
/** Pages of an application that was stopped before the test's own hooks were through, in words. */
let closed: string[] = [];
const said = new WeakMap<Page, string[]>();

/** Remembers a context, so that its pages can be told about. */
export function watchPages(context: BrowserContext): void {
  contexts.add(context);
  context.on("close", () => contexts.delete(context));
  context.on("page", (page) => {
    const lines: string[] = [];
    said.set(page, lines);
    const hear = (line: string) => {
      lines.push(line);
      if (lines.length > KEPT_LINES) lines.shift();
    };
    page.on("console", (message) => hear(`${message.type()}: ${message.text()}`));
    page.on("pageerror", (error) => hear(`error: ${error.message}`));
    page.on("requestfailed", (request) =>
      hear(`${request.method()} ${request.url()}: ${request.failure()?.errorText}`),
    );
  });
}

/** A page in words: where it was, what stood on it, what it said. */
async function inWords(page: Page): Promise<string> {
  const text = await page
    .locator("body")
    .textContent({ timeout: 2000 })
    .catch((error: unknown) => `(not to be read: ${String(error)})`);
  return [page.url(), text?.slice(0, TOLD) ?? "", ...(said.get(page) ?? [])].join("\n      ");
}

async function pagesInWords(): Promise<string[]> {
  const pages = [...contexts].flatMap((context) => context.pages());
  return Promise.all(pages.map(inWords));
}

/** Remembers what the open pages show, before they are closed: suites that stop after each test do so before this hook. */
export async function rememberPages(): Promise<void> {
  closed.push(...(await pagesInWords()));
}

/** Run by the test runner after each test. */
export const mochaHooks = {
  async afterEach(this: Mocha.Context): Promise<void> {
    const before = closed;
    closed = [];
    if (this.currentTest?.state !== "failed") return;
    for (const words of [...before, ...(await pagesInWords())])
      process.stderr.write(`\n    ${this.currentTest.fullTitle()}\n      ${words}\n`);
  },
};
