/** What this device keeps: every document as it is here, the touches that the server has not heard, and what can be undone. */
import { KIND_NAMES, LOCAL_PERSON } from "@jittery-cap/core/documents";
import Dexie, { type EntityTable, type Table } from "dexie";
import { z } from "zod";
import { ME } from "../people/here.ts";
import { carryOver } from "./carry-over.ts";

/** Another person's document, in the column by which one's own are listed. */
export const ANOTHERS = 2;

/** A document on this device. Whatever is read of it is looked through first. */
export const documentRowSchema = z.object({
  id: z.string(),
  kind: z.enum(KIND_NAMES),
  /** The version of the kind's schema under which both contents are kept. */
  schema: z.int().positive(),
  /** The version that the server last acknowledged; 0: it has not heard of it. */
  version: z.int().nonnegative(),
  /** The document as the server acknowledged it, on which the waiting touches rest; of a new one, as it was made. */
  base: z.unknown(),
  /** The document as it is here. */
  content: z.unknown(),
  /** 0: one's own; 1: put away; 2: another's, who shares it: it stands in no list of one's own. */
  archived: z.union([z.literal(0), z.literal(1), z.literal(ANOTHERS)]),
  listedAt: z.string(),
  about: z.string(),
  /** Counts up with every change here, from wherever it came. */
  revision: z.int().nonnegative(),
});
export type DocumentRow = z.infer<typeof documentRowSchema>;

/** A touch that waits for the server. */
export interface QueuedTouch {
  readonly order?: number;
  readonly id: string;
  readonly documentId: string;
  readonly touch: unknown;
}

/** What can be undone and done again of a document, as long as its version is this one. */
export interface UndoRow {
  readonly documentId: string;
  readonly done: unknown;
  readonly undone: unknown;
}

/** The version of a document of which the server has not heard yet. */
export const UNSENT = 0;

/** Why a document cannot be sent as it is. */
export interface Trouble {
  readonly documentId: string;
  readonly kind: "conflict" | "refused";
  readonly text: string;
  /** Of a conflict: the document as the server holds it. */
  readonly current?: unknown;
}

/** The file of a picture that the server has not got. */
export interface PictureFile {
  readonly id: string;
  readonly file: Blob;
}

/** How a document stood when this device last judged it, at one of its revisions and by one edition of the sheets. */
export interface VerdictRow {
  readonly documentId: string;
  readonly revision: number;
  readonly edition: string;
  readonly summary: unknown;
}

/** Small things to remember, by name: how far the changes were heard. */
export interface Mark {
  readonly name: string;
  readonly value: unknown;
}

/** A person of the household, on this device alone; looked through when it is read. */
export interface HouseholdRow {
  readonly id: string;
  readonly eater: unknown;
}

/** A position of an outing's track, on this device alone until its owner says otherwise. */
export interface TrackRow {
  readonly order?: number;
  readonly outing: string;
  readonly point: unknown;
}

export class Device extends Dexie {
  declare documents: EntityTable<DocumentRow, "id">;
  declare queue: Table<QueuedTouch, number>;
  declare undo: EntityTable<UndoRow, "documentId">;
  declare troubles: EntityTable<Trouble, "documentId">;
  declare files: EntityTable<PictureFile, "id">;
  declare verdicts: EntityTable<VerdictRow, "documentId">;
  declare marks: EntityTable<Mark, "name">;
  declare household: EntityTable<HouseholdRow, "id">;
  declare track: Table<TrackRow, number>;

  constructor(person: string) {
    super(nameOfStore(person));
    this.version(1).stores({ finds: "id", waiting: "id, findId, [findId+order]" });
    this.version(2).stores({ steps: "findId", pictures: "id, findId" });
    this.version(3)
      .stores({
        documents: "id, kind, about, [kind+archived+listedAt]",
        queue: "++order, &id, documentId",
        undo: "documentId",
        troubles: "documentId",
        files: "id",
        verdicts: "documentId",
        marks: "name",
      })
      .upgrade(carryOver);
    // what was carried over goes, once it is there
    this.version(4).stores({ finds: null, waiting: null, steps: null, pictures: null });
    // what the server has not heard of is found at once among thousands
    this.version(5).stores({ documents: "id, kind, about, version, [kind+archived+listedAt]" });
    // who eats stays on the device
    this.version(6).stores({ household: "id" });
    // where somebody went stays on the device
    this.version(7).stores({ track: "++order, outing" });
  }
}

/** A store that belongs to a person; each has one of their own on a device. */
export const deviceOf = (person: string): Device => (person === ME ? device : new Device(person));

/** What was kept before there were people was the one person's whose machine it was, and stays under its name. */
export const nameOfStore = (person: string): string =>
  person === LOCAL_PERSON ? "jittery-cap" : `jittery-cap ${person}`;

/** The mark under which is remembered what others share. */
export const SHARED_MARK = "shared";

/** Where the sealed boxes of all lie. */
export const STORE_OF_BOXES = "jittery-cap sealed";

export const device = new Device(ME);
