/** A first find, led by the hand: six steps, each done by what the record shows and never by a touch on "next". */
import type { Find } from "@jittery-cap/core";

export interface GuideStep {
  readonly title: string;
  readonly how: string;
  readonly isDone: (find: Find) => boolean;
}

const looked = (find: Find): number => find.bodies.reduce((sum, body) => sum + (body.seen?.length ?? 0), 0);
const hasSeen = (find: Find, ...characters: readonly string[]): boolean =>
  find.bodies.some((body) => body.seen?.some((entry) => characters.includes(entry.character)) === true);

/** So many looks make a record of which the answer can say something. */
const ENOUGH_LOOKS = 6;

export const GUIDE: readonly GuideStep[] = [
  {
    title: "How old is it?",
    how: "At Bodies, say its age: a young one hides what an old one shows. Nothing you do here is final; Undo takes it back.",
    isDone: (find) => find.bodies.some((body) => body.age !== undefined),
  },
  {
    title: "Where does it stand?",
    how: "At Ground, say what it grows from. The dark half answers every touch: it holds the dangers that still stand.",
    isDone: ({ site }) => (site?.substrate ?? site?.habitat ?? site?.host) !== undefined,
  },
  {
    title: "Turn it over",
    how: "At Under, say what is there. Each stroke before a danger is one mistake that would have to be made.",
    isDone: (find) => hasSeen(find, "underside"),
  },
  {
    title: "Ring and foot",
    how: "At Stem and Foot: dig it out whole. What you looked for and did not find is an answer; what you did not look for is none.",
    isDone: (find) => hasSeen(find, "ring", "base"),
  },
  {
    title: "Follow Next",
    how: "The light note names the one look that tells most. When something cannot be told, say so: it counts for nothing.",
    isDone: (find) => looked(find) >= ENOUGH_LOOKS,
  },
  {
    title: "See the answer",
    how: "At Decide stand the reasons, what is still missing, and what may become of it. No answer here permits eating.",
    isDone: (find) => find.bodies.some((body) => body.ending !== undefined),
  },
];

/** The step that is next: its place from 0, or undefined when all are done. */
export function stepOf(find: Find): number | undefined {
  const index = GUIDE.findIndex((step) => !step.isDone(find));
  return index < 0 ? undefined : index;
}
