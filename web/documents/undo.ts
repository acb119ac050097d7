/** What can be taken back and done again of a find: touches, each as one, on whichever device they were made. */
import type { Change } from "@jittery-cap/core";
import { ROUTES } from "@jittery-cap/core/api";
import { type ArchiveChange, KINDS, type Touch, touchSchemaOf } from "@jittery-cap/core/documents";
import { z } from "zod";
import { valueOrNothing } from "../api/client.ts";
import { device } from "./device.ts";

/** A touch with what takes it back. */
export interface Step {
  readonly touchId: string;
  readonly changes: readonly (Change | ArchiveChange)[];
  readonly inverse: readonly (Change | ArchiveChange)[];
}

export interface Steps {
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
}
export const NO_STEPS: Steps = { done: [], undone: [] };

/** So many touches can be taken back. */
const MOST_STEPS = 100;
const changes = touchSchemaOf(KINDS.find);
const stepsSchema = z.array(
  z.object({ touchId: z.string(), changes: z.array(z.unknown()), inverse: z.array(z.unknown()) }),
);

/** The steps that were kept on this device, each looked through. */
export async function keptSteps(documentId: string): Promise<Steps | undefined> {
  const row = await device.undo.get(documentId);
  if (row === undefined) return undefined;
  const [done, undone] = [stepsOf(row.done), stepsOf(row.undone)];
  return done === undefined || undone === undefined ? undefined : { done, undone };
}

function stepsOf(kept: unknown): Step[] | undefined {
  const parsed = stepsSchema.safeParse(kept);
  if (!parsed.success) return undefined;
  const steps = parsed.data.map(({ touchId, changes: made, inverse }) => stepOf(touchId, made, inverse));
  const known = steps.filter((step) => step !== undefined);
  return known.length === steps.length ? known : undefined;
}

/** Two lists of changes as a step, looked through as the changes of a touch are; undefined where they are none. */
function stepOf(touchId: string, made: readonly unknown[], inverse: readonly unknown[]): Step | undefined {
  const touch = (list: readonly unknown[]) =>
    changes.safeParse({ id: touchId, at: "2000-01-01T00:00:00Z", by: touchId, changes: list });
  const [forth, back] = [touch(made), touch(inverse)];
  return forth.success && back.success
    ? { touchId, changes: forth.data.changes, inverse: back.data.changes }
    : undefined;
}

export const keepSteps = (documentId: string, { done, undone }: Steps): Promise<unknown> =>
  device.undo.put({ documentId, done: done.slice(-MOST_STEPS), undone: undone.slice(-MOST_STEPS) });

/** A touch of a history, with what takes it back. */
export interface MadeTouch {
  readonly touch: Touch<Change>;
  readonly inverse: readonly (Change | ArchiveChange)[];
}

/** What a history leaves to be taken back, and to be done again. @param made oldest first */
export function stepsFrom(made: readonly MadeTouch[]): Steps {
  let done: readonly Step[] = [];
  let undone: readonly Step[] = [];
  for (const { touch, inverse } of made) {
    const step: Step = { touchId: touch.id, changes: touch.changes, inverse };
    const last = done.at(-1);
    if (touch.undoes !== undefined) {
      // taken back out of turn by another hand: nothing before it is offered
      undone = last?.touchId === touch.undoes ? [...undone, last] : [];
      done = last?.touchId === touch.undoes ? done.slice(0, -1) : [];
    } else {
      undone = touch.redoes === undefined ? [] : undone.slice(0, -1);
      done = [...done, step];
    }
  }
  return { done, undone };
}

/** The steps that the server's history leaves, or undefined where it cannot be had. */
export async function stepsOfServer(documentId: string): Promise<Steps | undefined> {
  const reply = await valueOrNothing(ROUTES.readTouches, { params: { id: documentId }, query: { limit: MOST_STEPS } });
  const made = reply?.touches.map(({ touch, inverse }) => {
    const [forth, back] = [changes.safeParse(touch), stepOf(documentId, inverse, inverse)];
    return forth.success && back !== undefined ? { touch: forth.data, inverse: back.changes } : undefined;
  });
  const known = made?.filter((one) => one !== undefined);
  return known === undefined || known.length !== made?.length ? undefined : stepsFrom(known.reverse());
}
