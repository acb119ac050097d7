/**
 * How records stand, kept by version and edition of the sheets: worked out in the background when a record was written, and at
 * the latest when somebody asks. What is not known yet is left out, and nobody takes it for cleared.
 */
import { type AnswerSummary, answerSummarySchema, type Find, VERDICTS, type Verdict } from "@jittery-cap/core";
import type { Logger } from "pino";
import { literal } from "sequelize";
import type { Models } from "../database/models.ts";
import { contentAs, type Row } from "../documents/document.ts";
import type { Judging } from "./judging.ts";

/** Judged together in one task: a thread is free again soon for somebody who waits. */
const A_TASK = 5;
/** A record that nobody touches for so long is judged, ms: while somebody works at it, every answer is old at once. */
const QUIET_MS = 1000;
/** Finds that are not put away, and not judged by today's sheets as they are. */
const UNJUDGED = `document.kind = 'find' AND document.archived_at IS NULL AND document.id > :after AND NOT EXISTS (
  SELECT 1 FROM verdicts v
  WHERE v.document_id = document.id AND v.version = document.version AND v.edition = :edition)`;

export class Verdicts {
  private readonly models: Models;
  private readonly judging: Judging;
  private readonly logger: Logger;
  private readonly waiting = new Map<string, Row>();
  /** Records that are being touched, each until it has been left alone. */
  private readonly touched = new Map<string, { readonly row: Row; readonly until: number }>();
  private timer: NodeJS.Timeout | undefined;
  private running: Promise<void> | undefined;
  private stopped = false;

  constructor(models: Models, judging: Judging, logger: Logger) {
    this.models = models;
    this.judging = judging;
    this.logger = logger;
  }

  get edition(): string {
    return this.judging.edition;
  }

  /** Hears of what was written. It is judged once nobody touches it any more for a moment; of many touches, the last. */
  heard(rows: readonly Row[]): void {
    const now = Date.now();
    for (const row of rows)
      if (row.kind === "find" && row.archivedAt === null) this.touched.set(row.id, { row, until: now + QUIET_MS });
    if (this.touched.size > 0 && !this.stopped) this.timer ??= setTimeout(() => this.hearQuiet(), QUIET_MS);
  }

  private hearQuiet(): void {
    this.timer = undefined;
    const now = Date.now();
    const quiet = [...this.touched.values()].filter((one) => one.until <= now).map((one) => one.row);
    for (const { id } of quiet) this.touched.delete(id);
    this.wanted(quiet);
    this.heard([]);
  }

  /** Judges what somebody asks for, when there is a thread for it. */
  wanted(rows: readonly Row[]): void {
    for (const row of rows) if (row.kind === "find" && row.archivedAt === null) this.waiting.set(row.id, row);
    if (this.waiting.size === 0 || this.stopped) return;
    this.running ??= this.run().finally(() => {
      this.running = undefined;
      if (this.waiting.size > 0) this.wanted([]);
    });
  }

  /** Goes on with what an earlier run left, or what other sheets have made old. */
  async sweep(): Promise<void> {
    for (let after = ""; !this.stopped; ) {
      const rows = await this.models.documents.findAll({
        where: literal(UNJUDGED),
        replacements: { after, edition: this.edition },
        order: [["id", "ASC"]],
        limit: A_TASK,
        raw: true,
      });
      const last = rows.at(-1);
      if (last === undefined) return;
      after = last.id;
      this.wanted(rows);
      await this.running;
    }
  }

  /** What is known of records as they are, by their ids. */
  async known(rows: readonly Pick<Row, "id" | "version">[]): Promise<ReadonlyMap<string, AnswerSummary>> {
    if (rows.length === 0) return new Map();
    const kept = await this.models.verdicts.findAll({
      where: { documentId: rows.map((row) => row.id), edition: this.edition },
      raw: true,
    });
    const versions = new Map(rows.map((row) => [row.id, row.version]));
    return new Map(
      kept.flatMap(({ documentId, version, summary }) => {
        const parsed = answerSummarySchema.safeParse(summary);
        return parsed.success && versions.get(documentId) === version ? [[documentId, parsed.data] as const] : [];
      }),
    );
  }

  /** Of records as they are, the verdict alone, where it is known: what a list shows. */
  async words(rows: readonly Pick<Row, "id" | "version">[]): Promise<ReadonlyMap<string, Verdict>> {
    if (rows.length === 0) return new Map();
    const kept = await this.models.verdicts.findAll({
      where: { documentId: rows.map((row) => row.id), edition: this.edition },
      attributes: ["documentId", "version", "verdict"],
      raw: true,
    });
    const versions = new Map(rows.map((row) => [row.id, row.version]));
    return new Map(
      kept.flatMap(({ documentId, version, verdict }) => {
        const known = VERDICTS.find((one) => one === verdict);
        return known !== undefined && versions.get(documentId) === version ? [[documentId, known] as const] : [];
      }),
    );
  }

  /** The same as known, and what is not known is worked out now. A record that cannot be read stays unknown. */
  async all(rows: readonly Row[]): Promise<ReadonlyMap<string, AnswerSummary>> {
    const known = new Map(await this.known(rows));
    const unknown = rows.filter((row) => !known.has(row.id));
    for (let at = 0; at < unknown.length; at += A_TASK)
      for (const [id, summary] of await this.judge(unknown.slice(at, at + A_TASK))) known.set(id, summary);
    return known;
  }

  /** Stops judging in the background. */
  async close(): Promise<void> {
    this.stopped = true;
    clearTimeout(this.timer);
    this.waiting.clear();
    await this.running;
  }

  private async run(): Promise<void> {
    while (this.waiting.size > 0 && !this.stopped) {
      const rows = [...this.waiting.values()].slice(0, A_TASK);
      for (const row of rows) this.waiting.delete(row.id);
      await this.judge(rows).catch((error: unknown) =>
        this.logger.warn({ err: error }, "not judged in the background"),
      );
    }
  }

  private async judge(rows: readonly Row[]): Promise<readonly (readonly [string, AnswerSummary])[]> {
    const readable = rows.flatMap((row) => {
      const find = recordOf(row);
      return find === undefined ? [] : [{ row, find }];
    });
    const summaries = await this.judging.summaries(readable.map((one) => one.find));
    const judged = readable.flatMap(({ row }, index) => {
      const summary = summaries[index];
      return summary === undefined ? [] : [{ row, summary }];
    });
    await this.models.verdicts.bulkCreate(
      judged.map(({ row, summary }) => ({
        documentId: row.id,
        version: row.version,
        edition: this.edition,
        verdict: summary.verdict,
        summary,
      })),
      { updateOnDuplicate: ["version", "edition", "verdict", "summary"] },
    );
    return judged.map(({ row, summary }) => [row.id, summary] as const);
  }
}

/** The record that a document holds: a find is one, a decision froze one. */
function recordOf(row: Row): Find | undefined {
  return row.kind === "decision" ? contentAs(row, "decision")?.find : contentAs(row, "find");
}
