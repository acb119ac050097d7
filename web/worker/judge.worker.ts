/** Judges in a thread of its own, from the same core and sheets as the server: no network is needed for an answer. */

import { sheets } from "virtual:sheets";
import { type Answer, assess, compileSheets, type Find, type IfWrong, ifWrong } from "@jittery-cap/core";
import { expose } from "comlink";

const compiled = compileSheets(sheets);

const judge = {
  /** @throws when the sheets that were shipped are not well formed; the screen then says hold */
  assess(find: Find): Answer {
    if (!compiled.ok) throw new Error("the knowledge sheets are not well formed");
    return assess(find, compiled.value);
  },

  /** What would follow if one thing seen were wrong. @throws as assess does */
  ifWrong(find: Find): readonly IfWrong[] {
    if (!compiled.ok) throw new Error("the knowledge sheets are not well formed");
    return ifWrong(find, compiled.value);
  },
};
export type JudgeWorker = typeof judge;

expose(judge);
