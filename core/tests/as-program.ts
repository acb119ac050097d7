/** Planning problems as integer programs, for a solver to check. */
import type { CoverProblem } from "../next/cover.ts";

/** The same problem as an integer program in the LP format: x a test taken, y a group hit. */
export function asProgram({ costs, demands }: CoverProblem): string {
  const rows: string[] = [];
  const binaries = costs.map((_cost, test) => `x${test}`);
  demands.forEach(({ atLeast, groups }, demand) => {
    const hits = groups.map((group, index) => {
      const hit = `y${demand}_${index}`;
      binaries.push(hit);
      rows.push(`${hit}${group.map((test) => ` - x${test}`).join("")} <= 0`);
      return hit;
    });
    rows.push(`${hits.join(" + ")} >= ${atLeast}`);
  });
  const objective = costs.map((cost, test) => `${cost} x${test}`).join(" + ");
  return `Minimize\n obj: ${objective}\nSubject To\n${rows.map((row, index) => ` c${index}: ${row}`).join("\n")}\nBinary\n ${binaries.join(" ")}\nEnd`;
}
