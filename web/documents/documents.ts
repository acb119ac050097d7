/** Documents on this device: read and looked through, made, touched. The server hears of it when there is one. */
import type { Change, Fault, Parsed } from "@jittery-cap/core";
import {
  type ArchiveChange,
  applyTouches,
  type ContentOf,
  type DocumentKind,
  KINDS,
  type KindName,
  readContent,
  type SetField,
  type SettingsChange,
  type Touch,
} from "@jittery-cap/core/documents";
import { uuidv7 } from "uuidv7";
import { ME } from "../people/here.ts";
import { ANOTHERS, type DocumentRow, device, documentRowSchema } from "./device.ts";
import { nudge } from "./nudge.ts";

/** How each kind is changed. */
export interface ChangeOf {
  readonly find: Change;
  readonly settings: SettingsChange;
  readonly picture: never;
  readonly decision: never;
  readonly opinion: never;
  readonly meal: SetField;
  readonly batch: SetField;
  readonly tasting: SetField;
  readonly outing: SetField;
  readonly track: never;
  readonly place: SetField;
  readonly reminder: SetField;
  readonly sitting: SetField;
}

/** A document as the screens see it. */
export interface Kept<Name extends KindName> {
  readonly id: string;
  readonly content: ContentOf[Name];
  readonly version: number;
  readonly archived: boolean;
  readonly revision: number;
}

/** One that is there and cannot be read by this program. */
export interface Unreadable {
  readonly id: string;
  readonly unreadable: readonly Fault[];
}

export const isReadable = <Name extends KindName>(one: Kept<Name> | Unreadable): one is Kept<Name> =>
  !("unreadable" in one);

/** The kind of a name, with its content and its changes. */
export const kindOf = <Name extends KindName>(name: Name): DocumentKind<ContentOf[Name], ChangeOf[Name]> =>
  // a name and its kind stand in one line of one table
  KINDS[name] as unknown as DocumentKind<ContentOf[Name], ChangeOf[Name]>;

/** Looks a row through. */
export function readRow<Name extends KindName>(name: Name, row: unknown): Kept<Name> | Unreadable {
  const parsed = documentRowSchema.safeParse(row);
  if (!parsed.success) return { id: idOf(row), unreadable: [{ path: "(root)", message: "is no document" }] };
  const { id, kind, content, schema, version, archived, revision } = parsed.data;
  if (kind !== name) return { id, unreadable: [{ path: "kind", message: `is ${kind}, not ${name}` }] };
  const read = readContent(kindOf(name), content, schema);
  if (!read.ok) return { id, unreadable: read.faults };
  return { id, content: read.value, version, archived: archived === 1, revision };
}

const idOf = (row: unknown): string =>
  typeof row === "object" && row !== null && "id" in row && typeof row.id === "string" ? row.id : "";

/** A document, where this device has it and can read it. */
export async function readKept<Name extends KindName>(name: Name, id: string): Promise<Kept<Name> | undefined> {
  const row = await device.documents.get(id);
  const read = row === undefined ? undefined : readRow(name, row);
  return read !== undefined && isReadable(read) ? read : undefined;
}

/** All documents of a kind that are about a find, those that can be read, oldest first. */
export async function keptAbout<Name extends KindName>(name: Name, about: string): Promise<Kept<Name>[]> {
  const rows = await device.documents.where("about").equals(about).toArray();
  return rows
    .filter((row) => row.kind === name && row.archived === 0)
    .sort((one, other) => one.listedAt.localeCompare(other.listedAt) || one.id.localeCompare(other.id))
    .map((row) => readRow(name, row))
    .filter(isReadable);
}

/** A page of the open documents of a kind, latest first. */
export async function listKept<Name extends KindName>(
  name: Name,
  most: number,
  isAsked: (content: unknown) => boolean = () => true,
): Promise<(Kept<Name> | Unreadable)[]> {
  const rows = await device.documents
    .where("[kind+archived+listedAt]")
    .between([name, 0, ""], [name, 0, "\uffff"])
    .reverse()
    .limit(most)
    .toArray();
  return rows.filter((row) => isAsked(row.content)).map((row) => readRow(name, row));
}

/** The columns by which a document is found. */
export function columnsOf<Name extends KindName>(name: Name, content: ContentOf[Name]) {
  const { at, about } = kindOf(name).listed(content);
  return { listedAt: at === undefined ? "" : new Date(at).toISOString(), about: about ?? "" };
}

/** Makes a document here, and sends it. With a picture goes its file. */
export async function makeDocument<Name extends KindName>(
  name: Name,
  id: string,
  content: ContentOf[Name],
  file?: Blob,
): Promise<void> {
  const kind = kindOf(name);
  const canonical = kind.canonical(content);
  const row: DocumentRow = {
    id,
    kind: name,
    schema: kind.version,
    version: 0,
    base: canonical,
    content: canonical,
    archived: 0,
    ...columnsOf(name, canonical),
    revision: 0,
  };
  await device.transaction("rw", device.documents, device.files, async () => {
    await device.documents.add(row);
    if (file !== undefined) await device.files.put({ id, file });
  });
  nudge();
}

/** A touch of the person whose device this is, made now. */
export const touchNow = <One>(
  changes: readonly (One | ArchiveChange)[],
  link: Pick<Touch<One>, "undoes" | "redoes"> = {},
): Touch<One> => ({ id: uuidv7(), at: new Date().toISOString(), by: ME, changes, ...link });

/** What came of keeping a touch: the document after it, with the changes that take the touch back. */
export interface KeptTouch<Name extends KindName> {
  readonly kept: Kept<Name>;
  readonly inverse: readonly (ChangeOf[Name] | ArchiveChange)[];
}

/**
 * Keeps a touch: applied to the document as it is on this device, whatever another tab or the server has made of it in the
 * meantime, and put in the line for the server, both or neither.
 * @param beside what is written in the same transaction
 * @param drawn what the touch makes of one revision of the document, where that is worked out already
 */
export async function keepTouch<Name extends KindName>(
  name: Name,
  id: string,
  touch: Touch<ChangeOf[Name]>,
  beside?: () => Promise<unknown>,
  drawn?: Pick<Kept<Name>, "revision" | "content" | "archived"> & Pick<KeptTouch<Name>, "inverse">,
): Promise<Parsed<KeptTouch<Name>>> {
  const { documents, queue, undo, troubles } = device;
  const outcome = await device.transaction(
    "rw",
    documents,
    queue,
    undo,
    troubles,
    async (): Promise<Parsed<KeptTouch<Name>>> => {
      const kind = kindOf(name);
      const row = await documents.get(id);
      const made =
        drawn !== undefined && row?.revision === drawn.revision && row.schema === kind.version
          ? ({ ok: true, value: drawn } as const)
          : madeOf(name, row, touch);
      if (!made.ok) return made;
      if (row === undefined) return NOT_HERE;
      const { content, archived, inverse } = made.value;
      await documents.put({
        ...row,
        // both contents are of one version of the schema
        schema: kind.version,
        base: row.schema === kind.version ? row.base : upgraded(name, row),
        content,
        archived: row.archived === ANOTHERS ? ANOTHERS : archived ? 1 : 0,
        ...columnsOf(name, content),
        revision: row.revision + 1,
      });
      await queue.add({ id: touch.id, documentId: id, touch });
      // what was refused may be taken with this: it is tried again
      if ((await troubles.get(id))?.kind === "refused") await troubles.delete(id);
      await beside?.();
      const kept = { id, content, archived, version: row.version, revision: row.revision + 1 };
      return { ok: true, value: { kept, inverse } };
    },
  );
  nudge();
  return outcome;
}

const NOT_HERE = {
  ok: false,
  faults: [{ path: "(root)", message: "this device does not hold it, or cannot read it" }],
} as const;

/**
 * Keeps all that is kept within, or nothing of it: whoever goes away in the middle leaves no half behind.
 * @param work what is kept; it waits for nothing but this store
 * @throws what work throws; then nothing of it was kept
 */
export async function together<Result>(work: () => Promise<Result>): Promise<Result> {
  const { documents, queue, undo, troubles, files } = device;
  const result = await device.transaction("rw", documents, queue, undo, troubles, files, work);
  // what was told from within was told before it was there
  nudge();
  return result;
}

/** What a touch makes of a row. */
function madeOf<Name extends KindName>(
  name: Name,
  row: unknown,
  touch: Touch<ChangeOf[Name]>,
): Parsed<Pick<Kept<Name>, "content" | "archived"> & Pick<KeptTouch<Name>, "inverse">> {
  const read = row === undefined ? undefined : readRow(name, row);
  if (read === undefined || !isReadable(read)) return NOT_HERE;
  const applied = applyTouches(kindOf(name), read, [touch]);
  if (!applied.ok) return applied;
  const { content, archived, inverses } = applied.value;
  return { ok: true, value: { content, archived, inverse: inverses[0] ?? [] } };
}

function upgraded<Name extends KindName>(name: Name, row: DocumentRow): unknown {
  const read = readContent(kindOf(name), row.base, row.schema);
  return read.ok ? read.value : row.base;
}

/** Puts a document away, or brings it back; with or without a server. @returns whether it was kept */
export async function setArchived(name: KindName, id: string, archived: boolean): Promise<boolean> {
  const touch = touchNow<never>([{ kind: archived ? "archive" : "restore" }]);
  return (await keepTouch(name, id, touch)).ok;
}
