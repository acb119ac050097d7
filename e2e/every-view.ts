/** Every view of the application with the demo season, for tests that walk all of them. */
import type { Page } from "playwright-core";
import { seasonFinds } from "../demo/season.ts";

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
  ["somebody is ill", "/ill"],
  ["nowhere", "/no-such-view"],
  ["two sheets", "/sheets/kuehneromyces-mutabilis/beside/galerina-marginata"],
];

/** Views that are used with wet hands, in bright light. */
export const IN_THE_FIELD = /\/record\/|\/tests\/|\/run$|\/prints$|\/ill$|\/outing\/now$/;

/** Waits until a view shows what it is for. */
export async function untilShown(page: Page, path: string): Promise<void> {
  await page.waitForLoadState("networkidle");
  if (/finds\/.+/.test(path) && !path.endsWith("/history"))
    await page.locator('[data-state="fresh"]').first().waitFor();
  else
    await page
      .getByRole("heading", { level: 1 })
      .or(page.getByRole("heading", { name: "Finds" }))
      .first()
      .waitFor();
}
