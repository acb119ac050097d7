/** Digits and Enter while an exercise is shown: the table's keyboard. */
import { useEffect } from "react";

/** @param onDigit told 1 to 10; 0 is the tenth @param onEnter left out while there is nothing to go on to */
export function useDigits(onDigit: (digit: number) => void, onEnter?: () => void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const { target } = event;
      const isTyping = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
      if (isTyping || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const digit = /^(?:Digit|Numpad)([0-9])$/.exec(event.code)?.[1];
      if (digit !== undefined) {
        event.preventDefault();
        onDigit(digit === "0" ? 10 : Number(digit));
      } else if (event.key === "Enter" && onEnter !== undefined && !(target instanceof HTMLButtonElement)) {
        event.preventDefault();
        onEnter();
      }
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, [onDigit, onEnter]);
}
