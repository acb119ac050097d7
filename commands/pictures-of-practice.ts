/** The kept pictures of practice. */
import { randomUUID } from "node:crypto";
import type { Page } from "playwright-core";
import { AFTERNOON, DESK, PHONE, type Picture } from "./picture.ts";

export const PICTURES_OF_PRACTICE: readonly Picture[] = [
  {
    name: "practice-whole",
    size: DESK,
    path: () => "/practice/whole?seed=pasture",
    at: AFTERNOON,
    prepare: lookAtAFewThings,
  },
  { name: "practice-look", size: PHONE, path: () => "/practice/look?seed=foot", at: AFTERNOON, prepare: untilAsked },
  { name: "practice-result", size: DESK, path: () => "/practice/test/angel", at: AFTERNOON, prepare: letOneThrough },
  { name: "practice-round", size: DESK, path: () => "/practice/teach", at: AFTERNOON, prepare: teachARound },
];

/** Looks that are quickly had, and a danger named. */
async function lookAtAFewThings(page: Page): Promise<void> {
  for (const look of ["look-under", "look-at-ring", "look-at-cap"]) await takeLook(page, look);
  await page.locator('[data-danger] [data-mistakes="1"]').first().click();
}

async function takeLook(page: Page, look: string): Promise<void> {
  await page.locator(`[data-look="${look}"]`).first().click();
  await page.locator(`[data-taken="${look}"]`).first().waitFor();
}

async function untilAsked(page: Page): Promise<void> {
  await page.locator(".practice-choice").first().waitFor();
}

/** Everything goes into the basket until a danger does. */
async function letOneThrough(page: Page): Promise<void> {
  for (;;) {
    await takeLook(page, "look-under");
    await page.locator('[data-say="basket"]').click();
    await page.locator('[data-sure="9"]').click();
    await page.getByTestId("whole-told").waitFor();
    if ((await page.getByTestId("course").count()) > 0) return;
    await page.getByRole("button", { name: "Next" }).click();
    await page.getByTestId("whole-told").waitFor({ state: "detached" });
  }
}

/** A find that a table of four has answered, uncovered. */
async function teachARound(page: Page): Promise<void> {
  const { origin } = new URL(page.url());
  await page.getByLabel("What the round is called").fill("Evening in the lakeland");
  await page.getByRole("button", { name: "10 by chance" }).click();
  await page.getByRole("button", { name: "Begin, 10 finds" }).click();
  const token = (await page.getByTestId("join-link").getAttribute("href"))?.slice(-32) ?? "";
  await page.getByRole("button", { name: "Show the first find" }).click();
  for (const look of ["look-under", "look-at-ring", "look-at-cap", "look-at-stem"]) await takeLook(page, look);
  const said = [
    ["Hanne", "leave", 0.9],
    ["Jorun", "basket", 0.7],
    ["Tove", "hold", 0.5],
    ["Eskil", "basket", 0.8],
  ] as const;
  for (const [name, verdict, sure] of said)
    await page.request.post(`${origin}/api/round-links/${token}/answers`, {
      data: { id: randomUUID(), guest: randomUUID(), name, at: 0, verdict, sure },
    });
  await page.getByText("4 have answered").waitFor();
  await page.getByRole("button", { name: "Uncover" }).click();
  await page.getByTestId("table-answers").waitFor();
}
