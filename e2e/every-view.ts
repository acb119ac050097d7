/** Every view of the application with the demo season, for tests that walk all of them. */
import type { Page } from "playwright-core";
import { seasonFinds } from "../demo/season.ts";
import type { Application } from "./application.ts";

/** The id of a demo find by the beginning of its label. @throws where there is none */
export function idOf(label: string): string {
  const found = seasonFinds().find((find) => find.label?.startsWith(label));
  if (found === undefined) throw new Error(`no demo find is called ${label}`);
  return found.id;
}

/** Every view, by what it is called and where it is. */
export const VIEWS: readonly (readonly [view: string, path: string])[] = [
  ["log", "/finds"],
  ["foot", `/finds/${idOf("pale one")}/record/foot`],
  ["ground", `/finds/${idOf("white ones, morning")}/record/ground`],
  ["bodies", `/finds/${idOf("white ones, morning")}/record/bodies`],
  ["under", `/finds/${idOf("chanterelles")}/record/under`],
  ...["cap", "stem", "cut", "nose", "print"].map(
    (stop) => [stop, `/finds/${idOf("cluster on")}/record/${stop}`] as const,
  ),
  ...["prints", "colour", "stain", "size", "spores", "batch"].map(
    (test) => [`${test} of Tests`, `/finds/${idOf("orange cluster")}/tests/${test}`] as const,
  ),
  ["every print", "/prints"],
  ["basket", "/kitchen/basket"],
  ["table", "/kitchen/table"],
  ["meal", "/kitchen/meal"],
  ["tastings", "/kitchen/tastings"],
  ["store", "/kitchen/store"],
  ["outing", "/outing/now"],
  ["plan", "/outing/plan"],
  ["log of outings", "/season/log"],
  ["calendar", "/season/log/calendar"],
  ["map", "/season/log/map"],
  ["table of outings", "/season/log/table"],
  ["places", "/season/places"],
  ["a place", "/season/places/0193a010-0000-7000-8000-000000000001"],
  ["return", "/season/return"],
  ["pictures", "/season/pictures"],
  ["practice", "/practice/today"],
  ["one look", "/practice/look"],
  ["these two", "/practice/two"],
  ["what proves nothing", "/practice/nothing"],
  ["under the lamp", "/practice/lamp"],
  ["a whole find", "/practice/whole"],
  ["own finds", "/practice/own"],
  ["how well", "/practice/how-well"],
  ["files", "/files"],
  ["rules", `/finds/${idOf("pale one")}/rules`],
  ["history", `/finds/${idOf("pale one")}/history`],
  ["hands-free", `/finds/${idOf("pale one")}/run`],
  ["Decide, basket", `/finds/${idOf("white ones in an arc")}/decide`],
  ["Decide, leave", `/finds/${idOf("cluster on")}/decide`],
  ["sheets", "/sheets"],
  ["a sheet", "/sheets/amanita-muscaria"],
  ["words", "/words"],
  ["settings", "/settings"],
  ["circles", "/circles"],
  ["you", "/me"],
  ["who are you", "/sign-in"],
  ["somebody is ill", "/ill"],
  ["nowhere", "/no-such-view"],
  ["two sheets", "/sheets/kuehneromyces-mutabilis/beside/galerina-marginata"],
];

/** Views that are used with wet hands, in bright light. */
export const IN_THE_FIELD = /\/record\/|\/tests\/|\/run$|\/prints$|\/ill$|\/outing\/now$/;

/** A view that is quickly there, and no other looks like it. */
const BETWEEN = "/words";

/**
 * Goes to a view as a link does, without fetching the whole application again where it is open: what is looked at is the same. By
 * way of another view, so that nothing of the one before is taken for the next.
 */
export async function visit(page: Page, { address }: Pick<Application, "address">, path: string): Promise<void> {
  if (!page.url().startsWith(address) || page.url().endsWith("/ill")) {
    await page.goto(address + path);
    return;
  }
  const go = (to: string) =>
    page.evaluate((where) => {
      history.pushState(null, "", where);
      dispatchEvent(new PopStateEvent("popstate"));
    }, to);
  await go(BETWEEN);
  const between = page.locator('main[data-between="yes"]');
  const words = page.getByRole("heading", { level: 1, name: "Words" });
  await words.waitFor();
  if (path === BETWEEN) return;
  await page.locator("main").evaluate((main) => main.setAttribute("data-between", "yes"));
  await go(path);
  await between.waitFor({ state: "detached" });
}

/** Waits until a view shows what it is for. */
export async function untilShown(page: Page, path: string): Promise<void> {
  await page.waitForLoadState("networkidle");
  if (/finds\/.+/.test(path) && !path.endsWith("/history"))
    // a machine with much else to do is slow, and not wrong
    await page.locator('[data-state="fresh"]').first().waitFor({ timeout: 90_000 });
  else
    await page
      .getByRole("heading", { level: 1 })
      .or(page.getByRole("heading", { name: "Finds" }))
      .first()
      .waitFor();
}
