/** Find: the specimen, its stations, and the dark half that answers every touch. */
import type { PlannedTest } from "@jittery-cap/core";
import useMediaQuery from "@mui/material/useMediaQuery";
import { useCallback, useDeferredValue, useEffect } from "react";
import { useParams } from "react-router";
import { useShallow } from "zustand/react/shallow";
import { DarkHalf } from "../card/dark-half.tsx";
import { NextNote } from "../card/next-note.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { StateOfView } from "../card/state-of-view.tsx";
import { useStable } from "../card/use-stable.ts";
import { useFind } from "../state/find-state.ts";
import { WIDE } from "../theme/tokens.ts";
import { DeskFind } from "./desk-find.tsx";
import { KeyHelp } from "./key-help.tsx";
import { PhoneFind } from "./phone-find.tsx";
import { useBench } from "./use-bench.ts";
import { useKeys } from "./use-keys.ts";

/** The dark half with its note: it changes when the answer does, and the light half need not be drawn again for that. */
function StandingDangers({ onGo }: { onGo: (test: PlannedTest) => void }) {
  const { answer, answerState, lastMove, checkAgainst } = useFind(
    useShallow(({ answer, answerState, lastMove, checkAgainst }) => ({ answer, answerState, lastMove, checkAgainst })),
  );
  const pick = useCallback((sheet: string) => void checkAgainst(sheet), [checkAgainst]);
  return (
    <>
      <DarkHalf answer={answer} state={answerState} lastMove={lastMove} onPick={pick} />
      <NextNote tests={answerState === "failed" ? [] : (answer?.next.tests ?? [])} onGo={onGo} />
    </>
  );
}

export function FindView() {
  const { id = "" } = useParams();
  const wide = useMediaQuery(WIDE);
  const { status, find, answer, open, change } = useFind(
    useShallow(({ status, find, answer, open, change }) => ({ status, find, answer, open, change })),
  );
  // the dark half answers first; what the answer changes on the light half, which question comes first, may follow it
  const followed = useDeferredValue(answer);
  const bench = useBench();
  const { body, station, order, onAction } = bench;
  const turnAlso = useStable(() => bench.setAlsoOpen(!bench.alsoOpen));
  const help = useStable(() => bench.setHelp(true));
  const move = useStable((by: 1 | -1) => void onAction({ kind: "move", by }));
  const goToTest = useStable(bench.goToTest);
  useEffect(() => void open(id), [id, open]);
  useKeys(onAction);

  if (status !== "open" || find?.id !== id || body === undefined) return <StateOfView view="find" status={status} />;
  const shown = {
    find,
    body,
    station,
    order,
    alsoOpen: bench.alsoOpen,
    onAlso: turnAlso,
    answer: followed?.id === find.id ? followed : undefined,
    active: bench.current,
    onActivate: bench.setActive,
    onChange: change,
    onBody: bench.setBodyId,
    onAddBody: bench.addBody,
    onAddLike: bench.addLike,
    stopwatch: bench.stopwatch,
  };
  const unsettled =
    answer === undefined
      ? 1
      : answer.dangers.filter((danger) => danger.status !== "ruled-out").length / Math.max(1, answer.dangers.length);
  return (
    <>
      <SplitCard
        darkShare={unsettled}
        light={wide ? <DeskFind {...shown} onHelp={help} /> : <PhoneFind {...shown} onMove={move} />}
        dark={<StandingDangers onGo={goToTest} />}
      />
      <KeyHelp open={bench.help} onClose={() => bench.setHelp(false)} />
    </>
  );
}
