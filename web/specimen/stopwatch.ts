/** A stopwatch whose marks can be heard: ten seconds, a minute, five minutes. */
import { useCallback, useEffect, useMemo, useState } from "react";
import { sound } from "../device/sound.ts";

/** The moments at which a stain is looked at, s: practice's "at once", "within a minute" and "slow". */
export const MARKS_S: readonly number[] = [10, 60, 300];
const TICK_MS = 200;

export interface Stopwatch {
  /** Whole seconds since it was started; undefined while it stands still at nothing. */
  readonly seconds: number | undefined;
  readonly runs: boolean;
  readonly turn: () => void;
  readonly clear: () => void;
}

/** The next mark to come, or undefined after the last. */
export function nextMark(seconds: number): number | undefined {
  return MARKS_S.find((mark) => mark > seconds);
}

/** The marks that were passed between two moments. */
export function marksPassed(before: number, after: number): readonly number[] {
  return MARKS_S.filter((mark) => mark > before && mark <= after);
}

/** Minutes and seconds: 1:05. */
export function clockText(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}

/** A stopwatch for one view. A clock that was stopped keeps its time until it is cleared or started anew. */
export function useStopwatch(): Stopwatch {
  const [startedAt, setStartedAt] = useState<number>();
  const [seconds, setSeconds] = useState<number>();
  useEffect(() => {
    if (startedAt === undefined) return;
    let before = 0;
    const tick = () => {
      const now = Math.floor((Date.now() - startedAt) / 1000);
      // a phone that slept wakes up past several marks: the last of them is told
      const last = marksPassed(before, now).at(-1);
      if (last !== undefined) sound(MARKS_S.indexOf(last) + 1);
      before = now;
      setSeconds(now);
    };
    tick();
    const timer = setInterval(tick, TICK_MS);
    return () => clearInterval(timer);
  }, [startedAt]);
  const turn = useCallback(() => setStartedAt((at) => (at === undefined ? Date.now() : undefined)), []);
  const clear = useCallback(() => {
    setStartedAt(undefined);
    setSeconds(undefined);
  }, []);
  const runs = startedAt !== undefined;
  // the same one for as long as it stands: what is drawn with it need not be drawn anew
  return useMemo(() => ({ seconds, runs, turn, clear }), [seconds, runs, turn, clear]);
}
