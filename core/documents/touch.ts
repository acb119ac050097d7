/**
 * A touch: one or more changes that a person made in one go, with author and time. It is one on the device, on the wire and in
 * the table, and is undone as one. Nothing else may change a document.
 */
import { z } from "zod";
import { momentSchema } from "../find/moment.ts";
import { type Fault, type Parsed, parseWith } from "../find/parse.ts";
import type { DocumentKind } from "./kind.ts";

/** Nobody does more in one go: every body of the largest find, and its circumstances. */
const MOST_CHANGES = 400;

const archiveSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("archive") }),
  z.strictObject({ kind: z.literal("restore") }),
]);
/** Putting a document away, and bringing it back. */
export type ArchiveChange = z.infer<typeof archiveSchema>;

export interface Touch<Change> {
  readonly id: string;
  readonly at: string;
  /** The person who made it. */
  readonly by: string;
  /** The touch that this one takes back, or does again. */
  readonly undoes?: string | undefined;
  readonly redoes?: string | undefined;
  readonly changes: readonly (Change | ArchiveChange)[];
}

/** The schema of the touches of a kind. */
export function touchSchemaOf<Content, Change>(kind: DocumentKind<Content, Change>): z.ZodType<Touch<Change>> {
  return z.strictObject({
    id: z.uuid("expected a UUID made by the client"),
    at: momentSchema,
    by: z.uuid("expected the id of a person"),
    undoes: z.uuid().optional(),
    redoes: z.uuid().optional(),
    changes: changesOf(kind),
  });
}

function changesOf<Content, Change>({
  canArchive,
  changes,
}: DocumentKind<Content, Change>): z.ZodType<(Change | ArchiveChange)[]> {
  if (changes === undefined)
    return canArchive
      ? z.array(archiveSchema).min(1).max(MOST_CHANGES)
      : z.array(archiveSchema).max(0, "this kind of document never changes").min(1);
  return z
    .array(canArchive ? z.union([archiveSchema, changes]) : changes)
    .min(1)
    .max(MOST_CHANGES);
}

/** What a touch changes: the content, and whether the document is put away. */
export interface Held<Content> {
  readonly content: Content;
  readonly archived: boolean;
}

/** A document after touches, and for each of them the changes that take it back, in the order in which they do. */
export interface Touched<Content, Change> extends Held<Content> {
  readonly inverses: readonly (readonly (Change | ArchiveChange)[])[];
}

/** Whether a change puts a document away or brings it back. */
export const isArchiving = (change: unknown): change is ArchiveChange =>
  typeof change === "object" &&
  change !== null &&
  "kind" in change &&
  (change.kind === "archive" || change.kind === "restore");

/**
 * Applies touches one after another, all or none. The content is looked through once, when all are applied.
 * @returns the document after them, or the faults of a touch that made it unsound, with its place in the list
 */
export function applyTouches<Content, Change>(
  kind: DocumentKind<Content, Change>,
  before: Held<Content>,
  touches: readonly Pick<Touch<Change>, "changes">[],
): Parsed<Touched<Content, Change>> {
  const stages: unknown[] = [before.content];
  const inverses: (readonly (Change | ArchiveChange)[])[] = [];
  let archived = before.archived;
  for (const [index, { changes }] of touches.entries()) {
    const back: (Change | ArchiveChange)[] = [];
    let stage = stages.at(-1);
    for (const [place, change] of changes.entries()) {
      const at = `touches[${index}].changes[${place}]`;
      if (isArchiving(change)) {
        const puts = change.kind === "archive";
        if (puts === archived)
          return refused([{ path: at, message: puts ? "is put away already" : "is not put away" }]);
        archived = puts;
        back.unshift({ kind: puts ? "restore" : "archive" });
        continue;
      }
      if (archived) return refused([{ path: at, message: "the document is put away; bring it back first" }]);
      const drafted = draftOf(kind, stage, change);
      // a draft upon an unsound one is no draft: what made it unsound is looked for below
      if (!drafted.ok) return firstFault(kind, stages, drafted.faults, at);
      stage = drafted.value.content;
      back.unshift(drafted.value.inverse);
    }
    stages.push(stage);
    inverses.push(back);
  }
  const parsed = parseWith(kind.schema, stages.at(-1));
  if (!parsed.ok) return firstFault(kind, stages, parsed.faults, undefined);
  return { ok: true, value: { content: kind.canonical(parsed.value), archived, inverses } };
}

const refused = (faults: readonly Fault[]): Parsed<never> => ({ ok: false, faults });

function draftOf<Content, Change>(kind: DocumentKind<Content, Change>, stage: unknown, change: Change) {
  try {
    // unsound stages of a batch are drafted upon as if they were sound: the whole is looked through at its end
    return kind.draft(stage as Content, change);
  } catch {
    return refused([{ path: "(root)", message: "the record before it is not sound" }]);
  }
}

/** Halves its way to a touch after which a sound document is unsound, and tells that touch's faults. */
function firstFault<Content, Change>(
  kind: DocumentKind<Content, Change>,
  stages: readonly unknown[],
  faults: readonly Fault[],
  at: string | undefined,
): Parsed<never> {
  const under = (path: string, all: readonly Fault[]) =>
    refused(all.map((one) => ({ ...one, path: `${path}.${one.path}` })));
  const isSound = (index: number) => parseWith(kind.schema, stages[index]).ok;
  const last = stages.length - 1;
  // where the last stage is sound, it is the change after it that could not be drafted
  if (at !== undefined && isSound(last)) return under(at, faults);
  let [sound, unsound] = [0, last];
  while (unsound - sound > 1) {
    const middle = Math.floor((sound + unsound) / 2);
    if (isSound(middle)) sound = middle;
    else unsound = middle;
  }
  const parsed = parseWith(kind.schema, stages[unsound]);
  return under(`touches[${sound}]`, parsed.ok ? faults : parsed.faults);
}

/** Whether two lists of touches meet: whether one touches what the other touches or relies on. */
export function doMeet<Content, Change>(
  kind: DocumentKind<Content, Change>,
  mine: readonly Pick<Touch<Change>, "changes">[],
  theirs: readonly Pick<Touch<Change>, "changes">[],
): boolean {
  const [one, other] = [reachOf(kind, mine), reachOf(kind, theirs)];
  return (
    anyHolds(one.touches, other.touches) ||
    anyHolds(one.touches, other.reliesOn) ||
    anyHolds(one.reliesOn, other.touches)
  );
}

function reachOf<Content, Change>(
  kind: DocumentKind<Content, Change>,
  touches: readonly Pick<Touch<Change>, "changes">[],
) {
  // whoever puts a document away touches all of it
  const all = touches.flatMap(({ changes }) =>
    changes.map((change) => (isArchiving(change) ? { touches: [""], reliesOn: [] } : kind.reach(change))),
  );
  return { touches: all.flatMap((one) => one.touches), reliesOn: all.flatMap((one) => one.reliesOn) };
}

const anyHolds = (some: readonly string[], others: readonly string[]): boolean =>
  some.some((one) => others.some((other) => holds(one, other) || holds(other, one)));

/** Whether a path is another or leads to it; the empty one leads everywhere. */
const holds = (whole: string, part: string): boolean => whole === "" || part === whole || part.startsWith(`${whole}/`);
