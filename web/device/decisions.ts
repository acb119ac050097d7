/** Decisions as the browser asks for them: made and frozen by the server, which judges again. */
import { type BodyEnding, bodyEndingSchema, findSchema } from "@jittery-cap/core";
import { z } from "zod";

const verdict = z.enum(["leave", "hold", "basket"]);
const decisionSchema = z.object({
  id: z.string(),
  decidedAt: z.string(),
  version: z.number(),
  find: findSchema,
  current: findSchema.optional(),
  rules: z.record(z.string(), z.union([z.string(), z.number()])),
  edition: z.string(),
  answer: z.object({
    verdict,
    conditions: z.array(z.string()).optional(),
    restsOn: z.array(z.string()),
    bodies: z.array(z.object({ body: z.string(), kept: z.boolean(), verdict })),
  }),
  endings: z.array(bodyEndingSchema),
  today: z.object({
    edition: z.string(),
    verdict,
    cleared: z.array(z.string()),
    restsOn: z.array(z.string()),
    conditions: z.array(z.string()),
  }),
});
export type ShownDecision = z.infer<typeof decisionSchema>;
const listSchema = z.object({ decisions: z.array(decisionSchema) });

async function listAt(path: string): Promise<readonly ShownDecision[] | undefined> {
  try {
    const response = await fetch(path);
    const parsed = listSchema.safeParse(await response.json());
    return parsed.success ? parsed.data.decisions : undefined;
  } catch {
    return undefined;
  }
}

/** The decisions of a find, latest first, or undefined where the server cannot be reached. */
export const readDecisions = (findId: string) => listAt(`/api/finds/${findId}/decisions`);
/** The latest decision of every find. */
export const latestDecisions = () => listAt("/api/decisions");

/** Decides a find at a version. @returns the decision, or why not */
export async function sendDecision(
  findId: string,
  id: string,
  version: number,
  endings: readonly BodyEnding[],
): Promise<ShownDecision | string> {
  try {
    const response = await fetch(`/api/finds/${findId}/decisions`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ id, version, endings }),
    });
    const content: unknown = await response.json();
    const decision = decisionSchema.safeParse(content);
    if (response.ok && decision.success) return decision.data;
    if (response.status === 409) return "The record was changed meanwhile. Look at it again.";
    const problem = z.object({ detail: z.string() }).safeParse(content);
    return problem.success ? problem.data.detail : `The server answered ${response.status}.`;
  } catch {
    return "The server cannot be reached. Nothing is decided; the record is kept here.";
  }
}
