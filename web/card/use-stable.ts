/** A function that keeps its identity, so that what is given it need not be drawn anew for it. */
import { useCallback, useLayoutEffect, useRef } from "react";

/** Calls the latest `act` of the parts that were drawn last. For handlers only: never to be called while drawing. */
export function useStable<Given extends readonly unknown[], Back>(act: (...given: Given) => Back) {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...given: Given): Back => latest.current(...given), []);
}
