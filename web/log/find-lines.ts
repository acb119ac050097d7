/** The finds of this device as lines of the log: met by words, kind, outcome, year and what is still open, a page at a time. */
import { ENDING_WORDS, type ENDINGS } from "@jittery-cap/core";
import { z } from "zod";
import { waitingInAll } from "../documents/delivery.ts";
import { type DocumentRow, device } from "../documents/device.ts";
import { type Kept, readRow, type Unreadable } from "../documents/documents.ts";
import { touchesKept } from "../documents/under-way.ts";

/** What became of a find: one of the endings of its bodies, or none yet. */
export type Outcome = (typeof ENDINGS)[number] | "undecided";

/** What is asked of the log. */
export interface LogQuery {
  /** Every word has to stand in the name, the place, the note or the kind it was taken for. */
  readonly words: string;
  readonly outcome: Outcome | undefined;
  readonly year: string | undefined;
  /** Only finds with a print that nobody has read. */
  readonly hasOpenPrint: boolean;
  readonly order: "latest" | "earliest";
}

export const EVERYTHING: LogQuery = {
  words: "",
  outcome: undefined,
  year: undefined,
  hasOpenPrint: false,
  order: "latest",
};

/** As much of a record as the log asks about: read of thousands, so no more than that. */
const askedSchema = z.object({
  label: z.string().optional(),
  takenFor: z.string().optional(),
  place: z.object({ name: z.string().optional() }).optional(),
  note: z.string().optional(),
  bodies: z.array(
    z.object({
      ending: z.string().optional(),
      note: z.string().optional(),
      print: z.object({ laidAt: z.string().optional(), readAt: z.string().optional() }).optional(),
    }),
  ),
});
export type Asked = z.infer<typeof askedSchema>;

/** Whether a record is one of those asked for. */
export function isMet(record: Asked, listedAt: string, query: LogQuery): boolean {
  const { bodies } = record;
  if (query.year !== undefined && listedAt.slice(0, query.year.length) !== query.year) return false;
  if (query.outcome === "undecided" && bodies.some((body) => body.ending !== undefined)) return false;
  if (
    query.outcome !== undefined &&
    query.outcome !== "undecided" &&
    bodies.every((body) => body.ending !== query.outcome)
  )
    return false;
  if (query.hasOpenPrint && bodies.every(({ print }) => print?.laidAt === undefined || print.readAt !== undefined))
    return false;
  const told = [record.label, record.place?.name, record.note, record.takenFor, ...bodies.map((body) => body.note)]
    .join(" ")
    .replaceAll("-", " ")
    .toLowerCase();
  return query.words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => told.includes(word));
}

/** So many finds as they were read stay at hand. */
const AT_HAND = 2000;
const atHand = new Map<string, { readonly row: string; readonly read: Kept<"find"> | Unreadable }>();

/** The find of a row, looked through when it is to be drawn and at hand from then on: drawn again only when it changed. */
export function findOf(row: DocumentRow): Kept<"find"> | Unreadable {
  const asText = JSON.stringify(row);
  const before = atHand.get(row.id);
  if (before?.row === asText) return before.read;
  if (atHand.size >= AT_HAND) atHand.clear();
  const read = readRow("find", row);
  atHand.set(row.id, { row: asText, read });
  return read;
}

/** A page of the log. */
export interface LogPage {
  /** Not looked through yet: of hundreds read, a screenful is drawn. */
  readonly rows: readonly DocumentRow[];
  readonly more: boolean;
  /** Ids of the finds of which the server has not heard all. */
  readonly queued: ReadonlySet<string>;
  readonly waiting: number;
}

/** The finds that are asked for, in their order. What cannot be read is listed wherever nothing narrower is asked. */
export async function logPage(query: LogQuery, most: number): Promise<LogPage> {
  await touchesKept();
  const open = device.documents
    .where("[kind+archived+listedAt]")
    .between(["find", 0, query.year ?? ""], ["find", 0, `${query.year ?? ""}\uffff`]);
  const ordered = query.order === "latest" ? open.reverse() : open;
  const isAll = query.words.trim() === "" && query.outcome === undefined && !query.hasOpenPrint;
  const met = isAll
    ? ordered
    : ordered.and((row) => {
        const asked = askedSchema.safeParse(row.content);
        return asked.success && isMet(asked.data, row.listedAt, query);
      });
  const rows = await met.limit(most + 1).toArray();
  const queued = new Set((await device.queue.toArray()).map((one) => one.documentId));
  return {
    rows: rows.slice(0, most),
    more: rows.length > most,
    queued,
    waiting: await waitingInAll(),
  };
}

/** The years in which something was found, latest first. */
export async function yearsOfFinds(): Promise<readonly string[]> {
  const years: string[] = [];
  // one look at the index a year, however many finds there are
  for (let before = "\uffff"; ; ) {
    const row = await device.documents
      .where("[kind+archived+listedAt]")
      .between(["find", 0, "1"], ["find", 0, before], true, false)
      .last();
    if (row === undefined) return years;
    before = row.listedAt.slice(0, 4);
    years.push(before);
  }
}

/** What became of a find, in words; undefined while nothing is decided. */
export function outcomeWords({ bodies }: Kept<"find">["content"]): string | undefined {
  const endings = new Set(bodies.flatMap((body) => body.ending ?? []));
  return endings.size === 0 ? undefined : [...endings].map((ending) => ENDING_WORDS[ending]).join(", ");
}
