/** Draws the states of all questions while nobody touches anything, so that a question opens with its drawings made. */
import { CHARACTER_IDS, definitionOf } from "@jittery-cap/core";
import { swatch } from "./choice.tsx";

/** A slice of work is begun only where so much of a frame is left, ms. */
const ROOM_MS = 6;

const isIdleKnown = typeof requestIdleCallback === "function";

/** Draws one state after another between frames. @returns how to stop */
export function drawAhead(): () => void {
  const open = CHARACTER_IDS.flatMap((character) =>
    definitionOf(character).states.map((state) => [character, state] as const),
  );
  let asked = 0;
  const go = (left: () => number) => {
    do {
      const [next] = open.splice(0, 1);
      if (next === undefined) return;
      swatch(...next);
    } while (left() > ROOM_MS);
    ask();
  };
  const ask = () => {
    asked = isIdleKnown
      ? requestIdleCallback((deadline) => go(() => deadline.timeRemaining()))
      : window.setTimeout(() => go(() => 0), ROOM_MS);
  };
  ask();
  return () => (isIdleKnown ? cancelIdleCallback(asked) : clearTimeout(asked));
}
