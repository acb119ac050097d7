/** Judging on the server, in threads of its own: the event loop stays free, and nobody waits for ever. */
import { availableParallelism } from "node:os";
import { fileURLToPath } from "node:url";
import {
  type AnswerSummary,
  answerSummarySchema,
  assess,
  type Find,
  type Knowledge,
  summarise,
} from "@jittery-cap/core";
import { answerSchema } from "@jittery-cap/core/api";
import { Piscina } from "piscina";
import { z } from "zod";
import type { JudgeTask } from "./judge-task.ts";

/** A whole answer as it travels. */
export type JudgedAnswer = z.infer<typeof answerSchema>;

/** Asks the judge; rejects where it does not answer in time or has too much to do. */
export interface Judging {
  readonly edition: string;
  readonly sheets: number;
  /** The whole answers, as JSON. */
  readonly answers: (finds: readonly Find[]) => Promise<JudgedAnswer[]>;
  /** What is kept of the answers. */
  readonly summaries: (finds: readonly Find[]) => Promise<readonly AnswerSummary[]>;
  readonly close: () => Promise<void>;
}

/** The judge has too much to do, or does not come to an end. */
export class JudgeBusy extends Error {}

declare const BUILT: true | undefined;
/** What a thread begins with: where the server was built, what was built; else what reads TypeScript. */
const THREAD = typeof BUILT === "undefined" ? "./judge-worker.mjs" : "../dist/judge-task.js";

/** Requests that wait for a thread; more are turned away. */
const MOST_WAITING = 64;
/** So long may judging take, ms: the largest request that is let in takes a tenth of it. */
const DEADLINE_MS = 20_000;

/** Judges in threads; at least one, and one processor is left to the event loop. */
export function judgingInThreads(knowledge: Knowledge): Judging {
  const pool = new Piscina<JudgeTask, string>({
    filename: fileURLToPath(new URL(THREAD, import.meta.url)),
    name: "work",
    execArgv: [],
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    // reading the sheets takes a moment: a thread is kept once it has
    idleTimeout: Number.POSITIVE_INFINITY,
  });
  const run = async (task: JudgeTask): Promise<unknown> => {
    if (task.finds.length === 0) return [];
    // asked here: the pool's own limit does not count tasks that may be aborted
    if (pool.queueSize >= MOST_WAITING) throw new JudgeBusy("the judge has too much to do");
    try {
      const text = await pool.run(task, { signal: AbortSignal.timeout(DEADLINE_MS) });
      return JSON.parse(text);
    } catch (error) {
      const name = error instanceof Error ? error.name : "";
      if (name === "AbortError" || name === "TimeoutError") throw new JudgeBusy("the judge did not answer in time");
      throw error;
    }
  };
  return {
    edition: knowledge.edition,
    sheets: knowledge.sheets.length,
    answers: async (finds) => z.array(answerSchema).parse(await run({ kind: "answers", finds })),
    summaries: async (finds) => z.array(answerSummarySchema).parse(await run({ kind: "summaries", finds })),
    close: () => pool.destroy(),
  };
}

/** Judges where it is asked: for programs that do nothing else at the time. */
export function judgingHere(knowledge: Knowledge): Judging {
  return {
    edition: knowledge.edition,
    sheets: knowledge.sheets.length,
    answers: (finds) =>
      Promise.resolve(
        z.array(answerSchema).parse(JSON.parse(JSON.stringify(finds.map((find) => assess(find, knowledge))))),
      ),
    summaries: (finds) => Promise.resolve(finds.map((find) => summarise(find, knowledge))),
    close: () => Promise.resolve(),
  };
}
