/** The described finds that ship with the project, judged. */
import { readdirSync, readFileSync } from "node:fs";
import type { Knowledge } from "@jittery-cap/core";
import { describedSchema, judgeDescribed, type Outcome } from "@jittery-cap/core/study";
import { z } from "zod";

const FOLDER = new URL("./described/", import.meta.url);

/** All of them, in the order of their files. */
export function describedOutcomes(knowledge: Knowledge): readonly Outcome[] {
  return readdirSync(FOLDER)
    .filter((name) => name.endsWith(".json"))
    .sort()
    .flatMap((name) => z.array(describedSchema).parse(JSON.parse(readFileSync(new URL(name, FOLDER), "utf8"))))
    .map((described) => judgeDescribed(described, knowledge));
}
