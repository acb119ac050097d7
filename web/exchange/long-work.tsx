/** Work that takes long: how far it is, and a way to stop it. */
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { useCallback, useEffect, useRef, useState } from "react";

/** Told as the work goes on. */
export type Tell = (done: number, all: number) => void;

type WorkState =
  | { readonly kind: "none" }
  | { readonly kind: "working"; readonly done: number; readonly all: number }
  | { readonly kind: "stopped" }
  | { readonly kind: "failed"; readonly why: string };

export interface LongWork {
  readonly state: WorkState;
  readonly begin: (work: (tell: Tell, signal: AbortSignal) => Promise<void>) => void;
  readonly stop: () => void;
}

/** One piece of work at a time; it ends with the view. */
export function useLongWork(): LongWork {
  const [state, setState] = useState<WorkState>({ kind: "none" });
  const controller = useRef<AbortController>(undefined);
  useEffect(() => () => controller.current?.abort(), []);
  const begin = useCallback((work: (tell: Tell, signal: AbortSignal) => Promise<void>) => {
    controller.current?.abort();
    const own = new AbortController();
    controller.current = own;
    setState({ kind: "working", done: 0, all: 0 });
    work((done, all) => {
      if (!own.signal.aborted) setState({ kind: "working", done, all });
    }, own.signal).then(
      () => own.signal.aborted || setState({ kind: "none" }),
      (error: unknown) =>
        own.signal.aborted || setState({ kind: "failed", why: error instanceof Error ? error.message : String(error) }),
    );
  }, []);
  const stop = useCallback(() => {
    controller.current?.abort();
    setState({ kind: "stopped" });
  }, []);
  return { state, begin, stop };
}

export function WorkUnderWay({ work, what }: { readonly work: LongWork; readonly what: string }) {
  const { state, stop } = work;
  switch (state.kind) {
    case "none":
      return null;
    case "working":
      return (
        <div role="status" className="stack above">
          <LinearProgress
            aria-label={what}
            {...(state.all === 0 ? {} : { variant: "determinate", value: (100 * state.done) / state.all })}
          />
          <span className="actions">
            <span className="soft">
              {state.done} of {state.all} {what}
            </span>
            <Button variant="quiet" onClick={stop}>
              Stop
            </Button>
          </span>
        </div>
      );
    case "stopped":
      return (
        <Alert severity="warning" role="status" sx={{ mt: 1 }}>
          Stopped. What was done until then stands.
        </Alert>
      );
    case "failed":
      return (
        <Alert severity="error" sx={{ mt: 1 }}>
          It could not be done: {state.why}
        </Alert>
      );
  }
}
