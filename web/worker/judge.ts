/** The judge as the screens call it. Each asking rejects where the judge cannot be had in time; the caller then holds. */
import type { Find, IfWrong } from "@jittery-cap/core";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { hiring } from "./hired.ts";
import type { EvidenceTold, JudgeWorker } from "./judge.worker.ts";

/** Asks the judge's thread, which knows the sheets as well. */
export const askShelf = hiring<JudgeWorker>(
  () => new Worker(new URL("./judge.worker.ts", import.meta.url), { type: "module" }),
  { silence: 8000, atMost: 60_000 },
);

/** The answer to a find. */
export const askJudge = (find: Find): Promise<ShownAnswer> => askShelf((remote) => remote.assess(find));

/** What speaks for and against each danger, in words. */
export const askEvidence = (find: Find): Promise<EvidenceTold> => askShelf((remote) => remote.evidence(find));

/** What would follow if one thing seen were wrong, the gravest first. */
export const askIfWrong = (find: Find): Promise<readonly IfWrong[]> => askShelf((remote) => remote.ifWrong(find));

/** One record of two, or undefined where it would permit more than either. */
export const askUnion = (mine: Find, theirs: Find): Promise<Find | undefined> =>
  askShelf((remote) => remote.union(mine, theirs));
