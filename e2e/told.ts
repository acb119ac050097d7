/** What the server has of somebody, asked until it is there. */
import type { Page } from "playwright-core";
import type { Application } from "./application.ts";

export interface Row {
  readonly id: string;
  readonly kind: string;
  readonly archived: boolean;
  readonly content: Record<string, unknown> & { readonly [key: string]: never };
}

/** Every document of whoever has signed in on a page. */
export async function documents(page: Page, application: Application): Promise<readonly Row[]> {
  const rows: Row[] = [];
  for (let after = 0, more = true; more; ) {
    const reply = await page.request.get(`${application.address}/api/documents?after=${after}&limit=500`);
    const body = (await reply.json()) as { documents: Row[]; next: number; more: boolean };
    rows.push(...body.documents);
    [after, more] = [body.next, body.more];
  }
  return rows;
}

/** Asks until there is something. @param ms how long @throws Error when it does not come about */
export async function until<One>(ask: () => Promise<One | undefined>, ms = 20_000): Promise<One> {
  const end = Date.now() + ms;
  for (;;) {
    const told = await ask();
    if (told !== undefined) return told;
    if (Date.now() > end) throw new Error("it did not come about");
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}
