/** The described finds that ship with the project, judged. */
import { readdirSync, readFileSync } from "node:fs";
import type { Knowledge } from "@jittery-cap/core";
import { describedSchema, judgeDescribed, type Outcome } from "@jittery-cap/core/study";
import { z } from "zod";

const FOLDER = new URL("./described/", import.meta.url);
/** Good finds written down later by the same hand, at one sitting, and judged before anything was made for them. */
const SECOND = new URL("./second/", FOLDER);

/** All of them, in the order of their files. */
export const describedOutcomes = (knowledge: Knowledge): readonly Outcome[] => outcomesIn(FOLDER, knowledge);

/** Those of the second batch: the sheets were not written to them. */
export const secondOutcomes = (knowledge: Knowledge): readonly Outcome[] => outcomesIn(SECOND, knowledge);

function outcomesIn(folder: URL, knowledge: Knowledge): readonly Outcome[] {
  return readdirSync(folder)
    .filter((name) => name.endsWith(".json"))
    .sort()
    .flatMap((name) => z.array(describedSchema).parse(JSON.parse(readFileSync(new URL(name, folder), "utf8"))))
    .map((described) => judgeDescribed(described, knowledge));
}
