/** Any view at four widths: nothing reaches past the edge, nothing is cut, and in the field everything is as broad as a thumb. */
import type { Page } from "playwright-core";
import { DESK } from "./application.ts";
import { IN_THE_FIELD } from "./every-view.ts";

const WIDTHS = [
  [390, 844],
  [768, 1024],
  [1280, 800],
  [1920, 1080],
] as const;

/** What is wrong with the page as it stands, each thing once. */
const FAULTS = `(() => {
  const faults = new Set();
  const name = (one) => (one.getAttribute("aria-label") ?? one.textContent ?? "").trim().slice(0, 40) + " <" + one.tagName.toLowerCase() + "." + one.className.toString().split(" ")[0] + ">";
  const sideways = document.documentElement.scrollWidth - window.innerWidth;
  if (sideways > 0) faults.add("reaches " + sideways + " px past the edge");
  for (const one of document.querySelectorAll("body *")) {
    const box = one.getBoundingClientRect();
    if (box.width === 0 || box.height === 0 || one.closest(".unseen") !== null) continue;
    const style = getComputedStyle(one);
    const hasText = [...one.childNodes].some((node) => node.nodeType === 3 && node.textContent.trim() !== "");
    // a row that scrolls is no cut; three dots are, but for a list of names of which the first are shown
    const isCut = hasText && /hidden|clip/.test(style.overflowX) && one.scrollWidth > one.clientWidth + 1;
    if (isCut && !one.matches(".fold-names, .standing-move")) faults.add("cut: " + name(one));
  }
  const [verdict, count] = [".standing-verdict", ".standing-count > span"].map((one) => document.querySelector(one));
  if (verdict !== null && count !== null) {
    const words = document.createRange();
    words.selectNodeContents(verdict);
    const [a, b] = [words.getBoundingClientRect(), count.getBoundingClientRect()];
    if (a.right > b.left && a.left < b.right && a.bottom > b.top && a.top < b.bottom) faults.add("the count lies over the answer");
  }
  for (const one of document.querySelectorAll(".log-line"))
    if (one.scrollHeight > one.clientHeight + 1) faults.add("taller than its line: " + name(one));
  return [...faults];
})()`;

/** What cannot be hit with a thumb, of what is on the screen. */
const SMALL = `(() => {
  const small = new Set();
  for (const one of document.querySelectorAll("button, a[href], select, input:not([hidden]), [role=button], [role=tab]")) {
    const box = one.getBoundingClientRect();
    if (box.width === 0 || one.closest(".unseen, p, .lead-in") !== null) continue;
    const target = one.closest(".MuiInputBase-root")?.getBoundingClientRect() ?? box;
    if (Math.round(target.height) < 48 || Math.round(target.width) < 48)
      small.add(Math.round(target.width) + " x " + Math.round(target.height) + ": " + (one.getAttribute("aria-label") ?? one.textContent ?? "").trim().slice(0, 40));
  }
  return [...small];
})()`;

/** What is wrong with the view that is shown, made narrower and wider as when a tablet is turned; at a desk's size again after it. */
export async function faultsAtEveryWidth(page: Page, path: string): Promise<string[]> {
  const faults: string[] = [];
  for (const [width, height] of WIDTHS) {
    await page.setViewportSize({ width, height });
    // drawn anew for the width that it has now
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn, 150))));
    for (const fault of await page.evaluate<string[]>(FAULTS)) faults.push(`${width} px: ${fault}`);
    if (width < 900 && IN_THE_FIELD.test(path))
      for (const target of await page.evaluate<string[]>(SMALL)) faults.push(`${width} px: small: ${target}`);
  }
  await page.setViewportSize(DESK);
  return faults;
}
