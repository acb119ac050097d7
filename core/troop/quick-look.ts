/** The quick look at the rest of a troop: four touches a body, each of them "as on that one" or looked at by itself. */
import type { Change } from "../find/changes.ts";
import type { Entry } from "../find/entry.ts";
import type { Body, Find } from "../find/schema.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import { QUICK_LOOK, sceneOf } from "../judge/scene.ts";

/** The four touches in their order, as the screens name them. */
export const TOUCHES = ["under", "stem", "foot", "cut"] as const;
export type QuickTouch = (typeof TOUCHES)[number];

/** How one touch stands on one body. */
export interface TouchState {
  readonly touch: QuickTouch;
  readonly done: boolean;
  /** What the model shows of this touch, surely: what "the same" would record. Empty where it shows nothing itself. */
  readonly model: readonly Entry[];
}

const charactersOf = (touch: QuickTouch): readonly CharacterId[] => QUICK_LOOK[TOUCHES.indexOf(touch)] ?? [];

/** What a body shows of a touch by this person's own sure entries. */
function sureEntries(body: Body, characters: readonly CharacterId[]): Entry[] {
  return (body.seen ?? []).filter(
    (entry) =>
      characters.includes(entry.character) &&
      entry.by === undefined &&
      entry.states !== undefined &&
      entry.sure !== false &&
      entry.method !== "picture",
  );
}

/** The four touches of a body beside a model, another body of the find. */
export function touchesOf(find: Find, body: Body, model: Body | undefined): readonly TouchState[] {
  const looks = sceneOf(find).bodies.find((one) => one.body.id === body.id)?.looks;
  return TOUCHES.map((touch) => {
    const characters = charactersOf(touch);
    return {
      touch,
      done: characters.some((character) => looks?.get(character)?.sure === true),
      model: model === undefined || model.id === body.id ? [] : sureEntries(model, characters),
    };
  });
}

/** How many bodies of a find have their quick look, and of how many. */
export function quickLookCount(find: Find): { readonly done: number; readonly all: number } {
  const done = find.bodies.filter((body) => touchesOf(find, body, undefined).every((one) => one.done));
  return { done: done.length, all: find.bodies.length };
}

/**
 * The changes that one touch makes: the person looked there on this body and it is as on the model. What the body has
 * of its own is left as it is, save an unsure look at the very same states, which is now sure; times and methods of the
 * model are not taken over.
 */
export function sameAsModel(body: Body, { model }: TouchState): readonly Change[] {
  const own = body.seen ?? [];
  const isOpen = ({ character, states }: Entry) =>
    own
      .filter((entry) => entry.character === character)
      .every((entry) => entry.by === undefined && entry.sure === false && entry.states?.join() === states?.join());
  return model.filter(isOpen).map(({ character, states = [], speed }) => ({
    kind: "observe",
    body: body.id,
    character,
    entries: [{ character, states: [...states], ...(speed === undefined ? {} : { speed }) }],
  }));
}

/** What a glance at a standing body shows. The foot, the cut, the smell, the print and the size are not among it. */
const AT_A_GLANCE: ReadonlySet<CharacterId> = new Set<CharacterId>([
  "underside",
  "gill-colour",
  "pore-colour",
  "cap-shape",
  "cap-colour",
  "cap-surface",
  "veil-on-cap",
  "cap-margin",
  "ring",
  "stem-surface",
  "stem-colour",
]);

/**
 * A further body that looks like another at a glance: what a glance shows is taken over as unsure, so that it speaks
 * against no danger until somebody has looked at this body and confirmed it touch by touch.
 */
export function bodyLike(model: Body, id: string): Body {
  const seen = sureEntries(model, [...AT_A_GLANCE]).map(
    ({ character, states = [] }): Entry => ({ character, states: [...states], sure: false }),
  );
  return {
    id,
    lifted: "standing",
    ...(model.age === undefined ? {} : { age: model.age }),
    ...(model.wear === undefined ? {} : { wear: [...model.wear] }),
    ...(seen.length === 0 ? {} : { seen }),
  };
}
