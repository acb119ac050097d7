/** The server as the browser asks it. What comes back is parsed before anything believes it. */
import { type Edit, editSchema, type Find, findSchema } from "@jittery-cap/core";
import { z } from "zod";

const storedSchema = z.object({ find: findSchema, version: z.number(), updatedAt: z.string() });
const listSchema = z.object({
  finds: z.array(storedSchema.extend({ verdict: z.enum(["leave", "hold", "basket"]) })),
});
const conflictSchema = z.object({ current: storedSchema });

export type Stored = z.infer<typeof storedSchema>;
export type Listed = z.infer<typeof listSchema>["finds"][number];

/** What came of a write or a read. */
export type Reply =
  | { readonly kind: "stored"; readonly stored: Stored }
  | { readonly kind: "conflict"; readonly current: Stored }
  | { readonly kind: "missing" }
  | { readonly kind: "refused"; readonly text: string }
  | { readonly kind: "unreachable" };

async function ask(path: string, method = "GET", body?: unknown): Promise<Response | undefined> {
  try {
    const content =
      body === undefined ? {} : { body: JSON.stringify(body), headers: { "content-type": "application/json" } };
    const response = await fetch(path, { method, ...content });
    return response.status >= 500 ? undefined : response;
  } catch {
    return undefined;
  }
}

async function replyOf(response: Response | undefined): Promise<Reply> {
  if (response === undefined) return { kind: "unreachable" };
  const content: unknown = await response.json().catch(() => undefined);
  if (response.ok) {
    const stored = storedSchema.safeParse(content);
    return stored.success ? { kind: "stored", stored: stored.data } : { kind: "unreachable" };
  }
  if (response.status === 404) return { kind: "missing" };
  if (response.status === 409) {
    const conflict = conflictSchema.safeParse(content);
    if (conflict.success) return { kind: "conflict", current: conflict.data.current };
  }
  const problem = z.object({ detail: z.string() }).safeParse(content);
  return { kind: "refused", text: problem.success ? problem.data.detail : `status ${response.status}` };
}

export const readFind = async (id: string): Promise<Reply> => replyOf(await ask(`/api/finds/${id}`));
export const putFind = async (find: Find, version: number): Promise<Reply> =>
  replyOf(await ask(`/api/finds/${find.id}`, "PUT", { version, find }));
export const sendEdits = async (id: string, version: number, edits: readonly Edit[]): Promise<Reply> =>
  replyOf(await ask(`/api/finds/${id}/edits`, "POST", { version, edits }));
export const removeFind = async (id: string): Promise<boolean> =>
  (await ask(`/api/finds/${id}`, "DELETE"))?.ok === true;
export const restoreFind = async (id: string): Promise<Reply> =>
  replyOf(await ask(`/api/finds/${id}/restore`, "POST", {}));

/** The log, or undefined where the server cannot be reached. */
export async function listFinds(): Promise<Listed[] | undefined> {
  const response = await ask("/api/finds");
  const parsed = listSchema.safeParse(await response?.json().catch(() => undefined));
  return parsed.success ? parsed.data.finds : undefined;
}

const historySchema = z.object({
  edits: z.array(z.object({ version: z.number(), edit: editSchema, receivedAt: z.string() })),
});
export type HistoryLine = z.infer<typeof historySchema>["edits"][number];

/** Who changed what, oldest first, or undefined where the server cannot be reached. */
export async function readHistory(id: string): Promise<HistoryLine[] | undefined> {
  const response = await ask(`/api/finds/${id}/edits`);
  const parsed = historySchema.safeParse(await response?.json().catch(() => undefined));
  return parsed.success ? parsed.data.edits : undefined;
}
