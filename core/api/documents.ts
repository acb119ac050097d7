/** What a person keeps, as it travels: documents, their touches, and what changed since. */
import { z } from "zod";
import type { DocumentKind } from "../documents/kind.ts";
import { decisionKind } from "../documents/kinds/decision.ts";
import { findKind } from "../documents/kinds/find.ts";
import { batchKind, mealKind, tastingKind } from "../documents/kinds/kitchen.ts";
import { opinionKind } from "../documents/kinds/opinion.ts";
import { outingKind, placeKind, reminderKind, trackKind } from "../documents/kinds/outing.ts";
import { pictureKind } from "../documents/kinds/picture.ts";
import { sittingKind } from "../documents/kinds/practice.ts";
import { settingsKind } from "../documents/kinds/settings.ts";
import { KIND_NAMES } from "../documents/kinds.ts";
import { touchSchemaOf } from "../documents/touch.ts";
import { route } from "./route.ts";

export const uuid = z.uuid("expected a UUID made by the client");
const ofDocument = z.strictObject({ id: uuid });

/** A place in the order in which documents were changed; 0 is before all of them. */
const cursor = z.coerce.number<number | string>().int().nonnegative();
const pageSize = (most: number, usual: number) =>
  z.coerce.number<number | string>().int().min(1).max(most).default(usual);

/** A document as the server holds it. Its content is of the kind and of the version of the kind's schema that it names. */
export const documentSchema = z.object({
  id: z.string(),
  kind: z.enum(KIND_NAMES),
  schema: z.int().positive(),
  version: z.int().positive(),
  content: z.unknown(),
  archived: z.boolean(),
  /** It is another's, who shares it, and as much of it as they show. */
  another: z.literal(true).optional(),
  updatedAt: z.string(),
  /** Where it stands in the order of changes. */
  at: z.int().nonnegative(),
});
export type SentDocument = z.infer<typeof documentSchema>;

const MOST_TOUCHES = 500;

/** What is written of one kind: a new document, touches, or both. */
const writeOf = <Kind extends string, Content, Change>(name: Kind, kind: DocumentKind<Content, Change>) =>
  z.strictObject({
    kind: z.literal(name),
    /** The version that the writer knew; 0 for a document that is made with this. */
    known: z.int().nonnegative(),
    create: kind.schema.optional(),
    touches: z.array(touchSchemaOf(kind)).max(MOST_TOUCHES).default([]),
  });

export const writeSchema = z.discriminatedUnion("kind", [
  writeOf("find", findKind),
  writeOf("settings", settingsKind),
  writeOf("picture", pictureKind),
  writeOf("decision", decisionKind),
  writeOf("opinion", opinionKind),
  writeOf("meal", mealKind),
  writeOf("batch", batchKind),
  writeOf("tasting", tastingKind),
  writeOf("outing", outingKind),
  writeOf("track", trackKind),
  writeOf("place", placeKind),
  writeOf("reminder", reminderKind),
  writeOf("sitting", sittingKind),
]);
export type Write = z.output<typeof writeSchema>;

export const changedDocuments = route({
  method: "get",
  path: "/api/documents",
  about: "The documents that were changed after a place in the order of changes, oldest change first",
  query: z.strictObject({ after: cursor.default(0), limit: pageSize(500, 200) }),
  reply: z.object({ documents: z.array(documentSchema), next: z.int().nonnegative(), more: z.boolean() }),
});

export const live = route({
  method: "get",
  path: "/api/live",
  about: "Server-sent events: `changed` with the place of the latest change, whenever something was changed",
  reply: { media: "text/event-stream" },
});

export const readDocument = route({
  method: "get",
  path: "/api/documents/:id",
  about: "One document",
  params: ofDocument,
  reply: documentSchema,
  problems: [404],
});

export const writeDocument = route({
  method: "post",
  path: "/api/documents/:id",
  about:
    "Makes a document, applies touches to it, or both, all or none. What was sent before is passed over. Touches over an old version are rebased where they do not meet what came in between, and are a conflict where they do",
  params: ofDocument,
  body: writeSchema,
  reply: documentSchema,
  problems: [404, 409, 413],
});

/** A touch as it is kept. */
export const keptTouchSchema = z.object({
  version: z.int().positive(),
  touch: z.unknown(),
  /** The changes that take it back. */
  inverse: z.array(z.unknown()),
  receivedAt: z.string(),
});

export const readTouches = route({
  method: "get",
  path: "/api/documents/:id/touches",
  about: "Who changed what in a document, latest first",
  params: ofDocument,
  query: z.strictObject({
    before: z.coerce.number<number | string>().int().positive().optional(),
    limit: pageSize(200, 100),
  }),
  reply: z.object({
    touches: z.array(keptTouchSchema),
    /** What those are called who made them, by their ids. */
    authors: z.record(z.string(), z.string()),
    more: z.boolean(),
  }),
  problems: [404],
});
