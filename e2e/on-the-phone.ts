/** What stands on the phone's bench, and when it has come to rest. */
import type { Page } from "playwright-core";

export interface OnTheScreen {
  /** The question, by its name and the kind of its block. */
  readonly item: string | undefined;
  readonly isSeen: boolean;
  readonly body: string;
  readonly verdict: string | undefined;
  readonly next: string | undefined;
}

const shown = (page: Page): Promise<OnTheScreen> =>
  page.evaluate(() => {
    const block = document.querySelector<HTMLElement>("[data-character], [data-told]");
    return {
      item: block?.dataset.character ?? block?.dataset.told,
      isSeen: block?.dataset.character !== undefined,
      body: document.querySelector('.bodies [aria-pressed="true"] b')?.textContent?.replace("Body ", "") ?? "A",
      verdict: document.querySelector<HTMLElement>("[data-verdict]")?.dataset.verdict,
      next: document.querySelector<HTMLElement>('[data-testid="next-test"]')?.dataset.test,
    };
  });

/** A question and its body. */
export const placeOf = ({ body, item }: OnTheScreen): string => `${body} ${item}`;

const LOOKS = 8;
const BETWEEN_MS = 80;

/**
 * Waits until the judge has answered, and what goes on by itself has gone on.
 * @param from the question that was just answered: a slow machine is given time to leave it, and one that stays is left
 */
export async function settled(page: Page, from?: string): Promise<OnTheScreen> {
  await page.locator('[data-verdict][data-state="fresh"]').first().waitFor();
  for (let look = 0; look < LOOKS; look++) {
    await page.waitForTimeout(BETWEEN_MS);
    const now = await shown(page);
    if (from === undefined ? look > 0 : placeOf(now) !== from) return now;
  }
  return shown(page);
}
