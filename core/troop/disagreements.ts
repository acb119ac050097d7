/** Where bodies of one find contradict each other: a bad example, a slip, or a second kind among them. */
import type { Find } from "../find/schema.ts";
import { CHARACTER_IDS, type CharacterId, canBeHard, definitionOf } from "../find/vocabulary.ts";
import { isHidden } from "../judge/masks.ts";
import { type BodyScene, sceneOf } from "../judge/scene.ts";

/** One character on which bodies differ, with the bodies that show the same together. */
export interface Disagreement {
  readonly character: CharacterId;
  readonly groups: readonly { readonly states: readonly string[]; readonly bodies: readonly string[] }[];
}

/**
 * The hard characters on which bodies of a find have no state in common: sure looks that nothing hides, and where a
 * character changes with age only bodies of one age. In the order of handling.
 */
export function disagreements(find: Find): readonly Disagreement[] {
  const { bodies } = sceneOf(find);
  return CHARACTER_IDS.flatMap((character) => {
    const { of } = definitionOf(character);
    if (of === "site" || !canBeHard(character)) return [];
    const clear = bodies.flatMap((body) => {
      const look = body.looks.get(character);
      return look?.sure === true && !isHidden(look, body.conditions) ? [{ body, states: look.states }] : [];
    });
    const groups: { states: readonly string[]; bodies: BodyScene[] }[] = [];
    for (const { body, states } of clear) {
      const fitting = groups.find((group) => group.states.some((state) => states.includes(state)));
      if (fitting === undefined) groups.push({ states, bodies: [body] });
      else fitting.bodies.push(body);
    }
    if (
      !groups.some((one, index) =>
        groups.some((other, at) => at > index && isComparable(character, one.bodies, other.bodies)),
      )
    )
      return [];
    return [
      {
        character,
        groups: groups.map(({ states, bodies: of }) => ({ states, bodies: of.map(({ body }) => body.id) })),
      },
    ];
  });
}

/** Whether two groups hold bodies whose difference age does not explain. */
function isComparable(character: CharacterId, one: readonly BodyScene[], other: readonly BodyScene[]): boolean {
  if (!definitionOf(character).byAge) return true;
  return one.some((mine) => other.some((theirs) => mine.body.age !== undefined && mine.body.age === theirs.body.age));
}
