/** Finds that may come to the kitchen: decided, had in the hand by somebody who knows, two books agreeing; for browser tests. */
import { decide, type Find, type OpinionLook, permitsEnding, summarise } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import type { APIRequestContext, Page } from "playwright-core";
import { uuidv7 } from "uuidv7";
import { seasonFinds } from "../demo/season.ts";

/** When they were found and decided: a day on which both kinds stand. */
export const FOUND_AT = "2026-09-27T09:00:00+02:00";
const DECIDED_AT = "2026-09-27T11:00:00+02:00";

export interface KitchenFind {
  readonly id: string;
  readonly bodies: readonly string[];
}

/** Makes such a find of a demo find's looks. @param label the beginning of that one's label */
export async function kitchenFind(
  api: APIRequestContext,
  address: string,
  label: string,
  name: string,
): Promise<KitchenFind> {
  const model = seasonFinds().find((find) => find.label?.startsWith(label));
  if (model === undefined) throw new Error(`no demo find is called ${label}`);
  const find: Find = {
    ...model,
    id: uuidv7(),
    label: name,
    foundAt: FOUND_AT,
    bodies: model.bodies.map(({ ending: _ending, ...body }) => ({
      ...body,
      measures: { ...body.measures, weightG: 220 },
    })),
  };
  const write = async (kind: string, id: string, create: unknown) => {
    const response = await api.post(`${address}/api/documents/${id}`, { data: { kind, known: 0, create } });
    if (!response.ok()) throw new Error(`${kind}: ${response.status()} ${await response.text()}`);
  };
  await write("find", find.id, find);
  const knowledge = readKnowledge();
  const answer = summarise(find, knowledge);
  const isCleared = (body: string) => permitsEnding(answer, body, "basket");
  const endings = find.bodies.map(({ id }) => ({
    body: id,
    ending: isCleared(id) ? ("basket" as const) : ("left-past-it" as const),
  }));
  const decided = decide(find, endings, answer, knowledge.edition, DECIDED_AT);
  if (!decided.ok) throw new Error(JSON.stringify(decided.faults));
  await write("decision", uuidv7(), decided.value);
  for (const title of ["A book of the lakes", "The pasture book"])
    await write("opinion", uuidv7(), {
      about: find.id,
      kind: "book",
      name: title,
      agrees: true,
      looks: [],
      saidAt: DECIDED_AT,
    });
  const { token } = (await (
    await api.post(`${address}/api/finds/${find.id}/packets`, { data: { id: uuidv7() } })
  ).json()) as { token: string };
  const looks = find.bodies.flatMap((body) =>
    (body.seen ?? []).flatMap((entry): OpinionLook[] =>
      entry.states !== undefined && entry.sure !== false && entry.by === undefined && entry.at === undefined
        ? [{ body: body.id, entry: { character: entry.character, states: entry.states } }]
        : [],
    ),
  );
  const said = await api.post(`${address}/api/packets/${token}/opinions`, {
    data: { id: uuidv7(), name: "Ilva Marrund", inHand: true, looks },
  });
  if (!said.ok()) throw new Error(`opinion: ${said.status()} ${await said.text()}`);
  return { id: find.id, bodies: find.bodies.map(({ id }) => id).filter(isCleared) };
}

/** Looks at every body that lies on the table once more. */
export async function sortAll(page: Page, finds: readonly KitchenFind[]): Promise<void> {
  for (const { id, bodies } of finds)
    for (const body of bodies) {
      const line = page.locator(`[data-table="${id} ${body}"]`);
      await line.getByRole("button", { name: "As recorded" }).click();
      await page.locator(`[data-table="${id} ${body}"][data-sorted="as-recorded"]`).waitFor();
    }
}

/** Ticks every condition that can be ticked. */
export async function tickAll(page: Page): Promise<void> {
  const open = page.locator('[data-condition][data-done="false"]').getByRole("button", { name: "tick" });
  for (let tries = 0; tries < 30 && (await open.count()) > 0; tries += 1) {
    const before = await open.count();
    await open.first().click();
    // asked of the page from outside: where a picture's clock stands still, nothing in the page is asked again
    await open.nth(before - 1).waitFor({ state: "detached" });
  }
}

/** Tells of somebody new. */
export async function tellOf(
  page: Page,
  name: string,
  more: { readonly age?: string; readonly matter?: string } = {},
): Promise<void> {
  await page.getByRole("button", { name: "Somebody new" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Name").fill(name);
  if (more.matter !== undefined) await dialog.getByRole("button", { name: more.matter, exact: true }).click();
  if (more.age !== undefined) {
    await dialog.getByLabel("Age in years").fill(more.age);
    await dialog.getByLabel("Age in years").press("Enter");
  }
  await dialog.getByRole("button", { name: "Keep" }).click();
  await dialog.waitFor({ state: "detached" });
}

/** Somebody new sits down at the table of a meal. */
export async function sit(page: Page, name: string, more?: Parameters<typeof tellOf>[2]): Promise<void> {
  await tellOf(page, name, more);
  await page.locator(`[data-seat="${name}"]`).waitFor();
}
