/** What the server says to a question, asked again whenever others did something. */
import type { ReplyOf, Route } from "@jittery-cap/core/api";
import { useCallback, useEffect, useState } from "react";
import { ask, type Carried } from "../api/client.ts";
import { useShared } from "./use-shared.ts";

interface Heard<Reply> {
  readonly heard: Reply | undefined;
  /** Why nothing was heard. */
  readonly refusal: string | undefined;
  readonly again: () => void;
}

export function useHeard<Of extends Route>(route: Of, params?: Carried<Of>["params"]): Heard<ReplyOf<Of>> {
  const [state, setState] = useState<Omit<Heard<ReplyOf<Of>>, "again">>({ heard: undefined, refusal: undefined });
  const told = useShared((shared) => shared.told);
  const key = JSON.stringify(params ?? {});
  const again = useCallback(() => {
    const carried = JSON.parse(key) as NonNullable<Carried<Of>["params"]>;
    void ask<Of>(route, key === "{}" ? {} : { params: carried }).then((outcome) =>
      setState((before) =>
        outcome.kind === "ok"
          ? { heard: outcome.value, refusal: undefined }
          : { heard: before.heard, refusal: outcome.kind === "refused" ? outcome.problem.detail : outcome.text },
      ),
    );
  }, [route, key]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: that others did something is why it is asked again
  useEffect(again, [again, told]);
  return { ...state, again };
}
