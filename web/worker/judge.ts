/** The judge as the screens call it. */
import type { Answer, Find } from "@jittery-cap/core";
import { type Remote, wrap } from "comlink";
import type { JudgeWorker } from "./judge.worker.ts";

let remote: Remote<JudgeWorker> | undefined;

function worker(): Remote<JudgeWorker> {
  remote ??= wrap<JudgeWorker>(new Worker(new URL("./judge.worker.ts", import.meta.url), { type: "module" }));
  return remote;
}

/** The answer to a find. Rejects where the worker cannot judge; the caller then holds. */
export function askJudge(find: Find): Promise<Answer> {
  return worker().assess(find);
}
