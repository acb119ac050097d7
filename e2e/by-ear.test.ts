/** For who hears the page instead of seeing it: the browser's own accessibility tree, not the marks in our code. */
import { CHARACTER_WORDS, type CharacterId, isCharacterId } from "@jittery-cap/core";
import { expect } from "chai";
import type { CDPSession, Page } from "playwright-core";
import {
  type Application,
  DESK,
  newFind,
  PALE_ON_GRASS,
  PHONE,
  startApplication,
  station,
  untilVerdict,
} from "./application.ts";
import { idOf, untilShown } from "./every-view.ts";

interface Heard {
  readonly role: string;
  readonly name: string;
  readonly says: Readonly<Record<string, unknown>>;
}

/** All that a screen reader is given of a page, in its order. */
async function heard(session: CDPSession): Promise<readonly Heard[]> {
  const { nodes } = (await session.send("Accessibility.getFullAXTree")) as {
    nodes: readonly {
      ignored: boolean;
      role?: { value: string };
      name?: { value: string };
      properties?: readonly { name: string; value: { value?: unknown } }[];
    }[];
  };
  return nodes
    .filter(({ ignored }) => !ignored)
    .map(({ role, name, properties = [] }) => ({
      role: role?.value ?? "",
      name: name?.value ?? "",
      says: Object.fromEntries(properties.map((one) => [one.name, one.value.value])),
    }));
}

const listen = async (page: Page): Promise<readonly Heard[]> => {
  const session = await page.context().newCDPSession(page);
  const nodes = await heard(session);
  await session.detach();
  return nodes;
};

/** What is acted on, by its role; what only scrolls has a name of its own kind. */
const ACTED_ON = new Set([
  "button",
  "link",
  "textbox",
  "searchbox",
  "combobox",
  "checkbox",
  "switch",
  "radio",
  "slider",
  "spinbutton",
  "tab",
  "menuitem",
]);

describe("by ear", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  for (const [size, device] of [
    [DESK, "desk"],
    [PHONE, "phone"],
  ] as const)
    for (const [view, path] of [
      ["Find", `/finds/${idOf("pale one")}/record/foot`],
      ["Decide", `/finds/${idOf("orange cluster")}/decide`],
      ["Tests", `/finds/${idOf("orange cluster")}/tests/prints`],
    ] as const)
      it(`${view} on a ${device}: all that is acted on has a name, and what can be reached says what it is`, async () => {
        const { page, context } = await application.open(size);
        await page.goto(application.address + path);
        await untilShown(page, path);
        const nodes = await listen(page);
        const acted = nodes.filter(({ role }) => ACTED_ON.has(role));
        expect(acted.length).to.be.above(10);
        expect(acted.filter(({ name }) => name.trim() === "")).to.deep.equal([]);
        const reached = nodes.filter(({ role, says }) => says.focusable === true && !ACTED_ON.has(role));
        expect(
          reached.filter(({ role, name }) => !/RootWebArea|heading|dialog/.test(role) && name.trim() === ""),
        ).to.deep.equal([]);
        // one page, one main thing, headings from the first level on
        expect(nodes.filter(({ role }) => role === "main")).to.have.length(1);
        const levels = nodes.filter(({ role }) => role === "heading").map(({ says }) => Number(says.level));
        expect(levels).to.include(1);
        await context.close();
      });

  it("the distance of each danger on the screen is told in words, and the answer speaks up by itself", async () => {
    const { page, context } = await application.open();
    const path = `/finds/${idOf("pale one")}/record/foot`;
    await page.goto(application.address + path);
    await untilShown(page, path);
    const nodes = await listen(page);
    const answer = nodes.find(({ role, says }) => role === "status" && says.live === "polite");
    expect(answer, "the answer").not.to.equal(undefined);
    const words = nodes.map(({ name }) => name);
    expect(words.some((name) => /destroying angel/i.test(name) && /mistake/.test(name))).to.equal(true);
    await context.close();
  });

  it("a pale one is recorded by names and the space bar alone, and every answer says that it is chosen", async () => {
    const { page, context } = await application.open();
    await newFind(application, page);
    for (const [name, item, state] of PALE_ON_GRASS) {
      if (!isCharacterId(item)) throw new Error(`${item} is no character`);
      await station(page, name);
      const asked = page.getByRole("group", { name: heading(item), exact: true });
      const answer = asked.getByRole("button", { name: new RegExp(`^${state.replaceAll("-", ".")}`) }).first();
      if ((await asked.count()) === 0) await page.locator('[data-testid="also"]').press("Enter");
      await answer.focus();
      await page.keyboard.press("Space");
      await page.locator(`[data-character="${item}"] [data-state="${state}"][aria-pressed="true"]`).waitFor();
      const said = (await listen(page)).filter(({ role, says }) => role === "button" && says.pressed === "true");
      expect(said.map((one) => one.name).join(), item).to.contain(state.replaceAll("-", " "));
    }
    await untilVerdict(page, "hold");
    const moved = await page.getByTestId("last-move").textContent();
    expect(moved).to.match(/^Last touch: /);
    await context.close();
  });
});

const heading = (character: CharacterId): string => CHARACTER_WORDS[character].plain;
