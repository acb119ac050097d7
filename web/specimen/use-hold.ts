/** A state held down under a finger, told apart from one that is touched. */
import { type MouseEvent, useRef } from "react";
import { useLongPress } from "use-long-press";

/** How long a finger lies on a state until it is held, ms; and how far it may tremble meanwhile, px. */
const HELD_AFTER_MS = 500;
const TREMBLE_PX = 24;

/**
 * @param onHold given the state that is held; undefined where nothing can be held
 * @returns handlers for what the states stand in
 */
export function useHold(onHold: ((state: string) => void) | undefined) {
  const isHeld = useRef(false);
  const bind = useLongPress<HTMLElement>(
    onHold === undefined
      ? null
      : ({ target }) => {
          const state =
            target instanceof Element ? target.closest<HTMLElement>("[data-state]")?.dataset.state : undefined;
          if (state === undefined) return;
          isHeld.current = true;
          onHold(state);
        },
    {
      threshold: HELD_AFTER_MS,
      cancelOnMovement: TREMBLE_PX,
      onStart: () => {
        isHeld.current = false;
      },
    },
  );
  return {
    ...bind(),
    // the touch that ends a hold is no second answer
    onClickCapture: (event: MouseEvent) => {
      if (!isHeld.current) return;
      isHeld.current = false;
      event.preventDefault();
      event.stopPropagation();
    },
  };
}
