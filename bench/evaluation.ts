/** The same evaluation done twice: by the core, and by a general-purpose rule engine. */
import { evidenceOf, type Find, judge, type Knowledge } from "@jittery-cap/core";
import { askEngine, engineFor, factsOf } from "./rule-engine.ts";

/** How far every danger is from every body. */
export function ourRun(find: Find, shelf: Knowledge): unknown {
  return judge(find, shelf).dangers;
}

/** The engine, its rules loaded once, asked about every body. */
export function engineRun(find: Find, shelf: Knowledge): () => Promise<Map<string, string[]>[]> {
  const engine = engineFor(shelf);
  const facts = find.bodies.map((_body, index) => factsOf(find, index));
  return async () => {
    const all: Map<string, string[]>[] = [];
    for (const one of facts) all.push(await askEngine(engine, one));
    return all;
  };
}

/** Checks that both say the same of every danger on every body. @throws where they differ */
export async function sameResults(find: Find, shelf: Knowledge): Promise<void> {
  const theirs = await engineRun(find, shelf)();
  const judgement = judge(find, shelf);
  find.bodies.forEach((body, index) => {
    for (const danger of judgement.dangers) {
      // sizes and what is taken over from another body are not the engine's work
      const ours = evidenceOf(judgement, danger, body.id)
        .points.filter((point) => point.body === body.id || point.body === "site")
        .map((point) => point.character)
        .filter((character) => !/(Cm|Mm|Um)$/.test(character))
        .sort();
      const said = theirs[index]?.get(danger.sheet.id) ?? [];
      const missing = ours.filter((character) => !said.includes(character));
      if (missing.length > 0)
        throw new Error(`${danger.sheet.id} on ${body.id}: the engine lacks ${missing.join(", ")}`);
    }
  });
}
