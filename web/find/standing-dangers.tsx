/** The dark half of the find that is open. It changes when the answer does, and the light half need not be drawn again for that. */
import type { PlannedTest } from "@jittery-cap/core";
import { useCallback, useMemo } from "react";
import { useFind, useSession } from "../session/session-context.tsx";
import { askedTests } from "../specimen/place-of-test.ts";
import { DarkHalf } from "../standing/dark-half.tsx";
import { NextNote } from "../standing/next-note.tsx";

const NONE: readonly string[] = [];

interface StandingDangersProps {
  /** Where the next test leads; left out where a view has its own order. */
  readonly onGo?: (test: PlannedTest) => void;
  /** Whether a touch on a danger asks only what separates it from the find. */
  readonly canCompare?: boolean;
}

export function StandingDangers({ onGo, canCompare = false }: StandingDangersProps) {
  const { checkAgainst } = useSession();
  const answer = useFind((state) => state.answer);
  const answerState = useFind((state) => state.answerState);
  const lastMove = useFind((state) => state.lastMove);
  const find = useFind((state) => state.find);
  const unlooked = useMemo(
    () =>
      find?.bodies.filter((body) => body.keep !== false && (body.seen ?? []).length === 0).map((body) => body.id) ?? [],
    [find],
  );
  const pick = useCallback((sheet: string) => void checkAgainst(sheet), [checkAgainst]);
  return (
    <>
      <DarkHalf
        answer={answer}
        state={answerState}
        lastMove={lastMove}
        onPick={canCompare ? pick : undefined}
        unlooked={(find?.bodies.length ?? 0) > 1 ? unlooked : NONE}
      />
      {onGo !== undefined && (
        <NextNote
          tests={answerState === "failed" || find === undefined ? [] : askedTests(find, answer?.next.tests ?? [])}
          onGo={onGo}
        />
      )}
    </>
  );
}
