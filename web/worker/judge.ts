/** The judge as the screens call it. */
import type { Find, IfWrong } from "@jittery-cap/core";
import { type Remote, wrap } from "comlink";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import type { EvidenceTold, JudgeWorker } from "./judge.worker.ts";

/** A judge that says nothing for so long is taken for dead: the screen then says hold. */
const ANSWER_WITHIN_MS = 8000;

interface Judge {
  readonly remote: Remote<JudgeWorker>;
  /** Never resolves; rejects when the worker breaks down. */
  readonly broken: Promise<never>;
  readonly dismiss: () => void;
}

let judge: Judge | undefined;

function hireJudge(): Judge {
  const worker = new Worker(new URL("./judge.worker.ts", import.meta.url), { type: "module" });
  const broken = new Promise<never>((_resolve, reject) => {
    worker.addEventListener("error", () => reject(new Error("the judge broke down")));
    worker.addEventListener("messageerror", () => reject(new Error("the judge could not be understood")));
  });
  // a breakdown while nobody is asking is met by the next question
  broken.catch(() => undefined);
  return { remote: wrap<JudgeWorker>(worker), broken, dismiss: () => worker.terminate() };
}

/** The answer to a find. Rejects where the judge cannot be had in time; the caller then holds. The next ask tries anew. */
export function askJudge(find: Find): Promise<ShownAnswer> {
  return ask((remote) => remote.assess(find));
}

/** What speaks for and against each danger, in words. Rejects as askJudge does. */
export function askEvidence(find: Find): Promise<EvidenceTold> {
  return ask((remote) => remote.evidence(find));
}

/** What would follow if one thing seen were wrong, the gravest first. Rejects as askJudge does. */
export function askIfWrong(find: Find): Promise<readonly IfWrong[]> {
  return ask((remote) => remote.ifWrong(find));
}

/** One record of two, or undefined where it would permit more than either. Rejects as askJudge does. */
export function askUnion(mine: Find, theirs: Find): Promise<Find | undefined> {
  return ask((remote) => remote.union(mine, theirs));
}

/** Asks the worker about its sheets. Rejects as askJudge does. */
export const askShelf = ask;

async function ask<Reply>(question: (remote: Remote<JudgeWorker>) => Promise<Reply>): Promise<Reply> {
  judge ??= hireJudge();
  const asked = judge;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLate = new Promise<never>((_resolve, reject) => {
    timer = setTimeout(() => reject(new Error("the judge did not answer")), ANSWER_WITHIN_MS);
  });
  try {
    return await Promise.race([question(asked.remote), asked.broken, tooLate]);
  } catch (error) {
    asked.dismiss();
    if (judge === asked) judge = undefined;
    throw error;
  } finally {
    clearTimeout(timer);
  }
}
