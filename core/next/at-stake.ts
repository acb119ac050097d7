/** What is at stake at each thing one could look at: the standing dangers that it would move, if the find is what it seems. */
import { CHARACTER_IDS, definitionOf } from "../find/vocabulary.ts";
import type { Conditions } from "../judge/body-conditions.ts";
import type { DangerDistance, Judgement } from "../judge/judge.ts";
import { isAgainst, type Weighing, weigh } from "../judge/weigh.ts";
import { expectedLook } from "./expected.ts";

/** Sheets by character; characters that move nothing are left out. */
export type AtStake = Readonly<Record<string, readonly string[]>>;

/** For each character of a body or of the site, the dangers not yet ruled out that it would speak against. */
export function atStake({ dangers, candidates, scene, knowledge }: Judgement): AtStake {
  const supposed = candidates.find((one) => one.fits && one.sheet.tier !== "inedible");
  const standing = dangers.filter((danger) => !danger.aside && danger.status !== "ruled-out");
  if (supposed === undefined || standing.length === 0) return {};
  const stakes: Record<string, readonly string[]> = {};
  const { dangerTables } = knowledge;
  // a foot is looked at on a body that is dug out for it
  const bodies = scene.bodies
    .map((one) => ({
      scene: one,
      conditions: { ...one.conditions, lifted: "whole" } satisfies Conditions,
      rows: Uint32Array.from(standing.filter(({ body }) => body === one.body.id).map(({ row }) => row)),
    }))
    .filter((one) => one.rows.length > 0);
  for (const character of CHARACTER_IDS) {
    const ofSite = definitionOf(character).of === "site";
    const speaking = bodies.flatMap(({ scene: body, conditions, rows }): Speaking[] =>
      expectedLook(supposed.sheet, character, ofSite ? undefined : body, false).map((look) => ({
        rows,
        weighing: ofSite
          ? weigh(dangerTables, look, undefined, undefined, false)
          : weigh(dangerTables, look, body.body.age, conditions, false),
      })),
    );
    if (speaking.some(movesAny)) tellOnDemand(stakes, character, standing, speaking);
  }
  return stakes;
}

/** What a look would say, and the rows of the dangers that are nearest on its body. */
interface Speaking {
  readonly rows: Uint32Array;
  readonly weighing: Weighing;
}

function movesAny({ rows, weighing }: Speaking): boolean {
  for (const row of rows) if (isAgainst(weighing[row])) return true;
  return false;
}

/** Names the dangers moved, in their order whichever body each is nearest on, when it is asked for: there may be many. */
function tellOnDemand(
  stakes: Record<string, readonly string[]>,
  character: string,
  standing: readonly DangerDistance[],
  speaking: readonly Speaking[],
): void {
  let told: readonly string[] | undefined;
  const get = () => {
    if (told !== undefined) return told;
    const moved = new Set<number>();
    for (const { rows, weighing } of speaking) for (const row of rows) if (isAgainst(weighing[row])) moved.add(row);
    told = standing.filter(({ row }) => moved.has(row)).map(({ sheet }) => sheet.id);
    return told;
  };
  Object.defineProperty(stakes, character, { enumerable: true, get });
}
