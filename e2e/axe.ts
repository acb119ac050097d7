/** What axe-core finds wrong on a page. */
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { Page } from "playwright-core";
import { IN_THE_FIELD } from "./every-view.ts";

const AXE = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

interface Finding {
  readonly id: string;
  readonly impact: string;
  nodes: readonly { readonly target: readonly string[]; readonly failureSummary: string }[];
}

/** Rules of which nothing is left, however grave axe holds it. */
const NONE_LEFT: ReadonlySet<string> = new Set([
  "label-content-name-mismatch",
  "heading-order",
  "empty-table-header",
  "landmark-main-is-top-level",
  "image-redundant-alt",
]);

/** In the field text stands out by 7 to 1, large text by 4.5 (WCAG 2.2, 1.4.6), as axe measures it. */
const IN_BRIGHT_LIGHT = "color-contrast-enhanced";

/**
 * Of targets that are too small as the page stands, those that are so too when they are brought to the middle: a line half
 * behind a bar that stays is reached by scrolling, and whole then (WCAG 2.2, 2.5.8, is about the target, not where it stands).
 */
async function tooSmallWhenReached(page: Page, nodes: Finding["nodes"]): Promise<Finding["nodes"]> {
  const small: Finding["nodes"][number][] = [];
  for (const node of nodes) {
    const [target] = node.target;
    if (target === undefined) continue;
    await page
      .locator(target)
      .first()
      .evaluate((one) => one.scrollIntoView({ block: "center" }));
    const found = await page.evaluate(
      `axe.run(${JSON.stringify(target)}, { runOnly: ['target-size'] }).then((result) => result.violations.length)`,
    );
    if (found !== 0) small.push(node);
  }
  return small;
}

/** What axe holds serious or critical on a page, and all of the rules above, as text. */
export async function seriousFindings(page: Page): Promise<string[]> {
  // once a page: what was fetched and compiled for one view is there for the next
  await page.evaluate(`window.axe === undefined && (() => { ${AXE} })()`);
  const asked = IN_THE_FIELD.test(new URL(page.url()).pathname) ? [...NONE_LEFT, IN_BRIGHT_LIGHT] : [...NONE_LEFT];
  const rules = Object.fromEntries(asked.map((rule) => [rule, { enabled: true }]));
  const violations = (await page.evaluate(
    `axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'], rules: ${JSON.stringify(rules)} }).then((result) => result.violations)`,
  )) as Finding[];
  for (const one of violations) if (one.id === "target-size") one.nodes = await tooSmallWhenReached(page, one.nodes);
  return violations
    .filter((one) => one.nodes.length > 0)
    .filter((one) => one.impact === "serious" || one.impact === "critical" || NONE_LEFT.has(one.id))
    .map(
      (one) =>
        `${one.id}: ${one.nodes
          .map((node) => `${JSON.stringify(node.target)} ${node.failureSummary}`)
          .slice(0, 3)
          .join(" | ")}`,
    );
}
