/** A whole find: it stands there undrawn; looks cost minutes; leave, hold or basket; the nearest danger and its distance. */
import type { Verdict } from "@jittery-cap/core";
import type { Said, TakenLook } from "@jittery-cap/core/trainer";
import { useEffect, useRef, useState } from "react";
import { type Asking, askUntilAnswered } from "../worker/ask-again.ts";
import type { Item, WholeState, WholeTold } from "../worker/practice-room.ts";
import { askResult, askWhole } from "./ask-practice.ts";
import { type ExerciseParts, GoOn } from "./exercise-parts.tsx";
import { TENTHS } from "./how-sure.tsx";
import { NearestQuestion } from "./nearest-question.tsx";
import { Covered, NoExercise, PracticeFrame } from "./practice-frame.tsx";
import { WholeAnswer } from "./whole-answer.tsx";
import { WholeLooks } from "./whole-looks.tsx";
import { WholeTaught, WholeUncovered } from "./whole-told.tsx";

type WholeItem = Pick<Extract<Item, { readonly kind: "whole" }>, "sheet" | "seed" | "skill">;
type Look = Pick<TakenLook, "test" | "body">;

/** What is said of the nearest danger. */
export interface Nearest {
  readonly sheet: string;
  readonly mistakes: number | undefined;
}

/** What is kept of a try. */
const tried = (result: WholeTold, { sure, verdict }: Said, minutes: number) => ({
  isRight: result.isRight,
  sure,
  verdict,
  isLetThrough: result.isLetThrough,
  isThrownAway: result.isThrownAway,
  minutes,
  shortestMinutes: result.shortest.minutes,
  ...(result.isNearestRight === undefined ? {} : { isNearestRight: result.isNearestRight }),
  ...(result.isDistanceRight === undefined ? {} : { isDistanceRight: result.isDistanceRight }),
});

const bare = ({ test, body }: Look): Look => ({ test, ...(body === undefined ? {} : { body }) });

interface WholeExerciseProps extends ExerciseParts {
  readonly item: WholeItem;
  /** Instead of "Next", where it belongs to something else. */
  readonly title?: string;
}

export function WholeExercise({ item, title, ...parts }: WholeExerciseProps) {
  const [looks, setLooks] = useState<readonly Look[]>([]);
  const [state, setState] = useState<WholeState>();
  const [nearest, setNearest] = useState<Nearest>();
  const [verdict, setVerdict] = useState<Verdict>();
  const [told, setTold] = useState<WholeTold>();
  const [isFailed, setFailed] = useState(false);
  // a second touch before the answer is there is the same one
  const isSaid = useRef(false);
  useEffect(() => {
    const onReply = (now: WholeState) => {
      setFailed(false);
      setState(now);
    };
    return askUntilAnswered({
      ask: () => askWhole(item.sheet, item.seed, looks, item.skill),
      onReply,
      onFailure: () => setFailed(true),
    }).stop;
  }, [item, looks]);
  const telling = useRef<Asking>(undefined);
  useEffect(() => () => telling.current?.stop(), []);

  const finish = (tenths: number) => {
    if (verdict === undefined || isSaid.current) return;
    isSaid.current = true;
    const said = { verdict, nearest: nearest?.sheet, mistakes: nearest?.mistakes, sure: tenths / TENTHS };
    telling.current = askUntilAnswered({
      ask: () => askResult(item.sheet, item.seed, looks, said),
      onReply: (result) => {
        setFailed(false);
        setTold(result);
        parts.keep({ kind: item.sheet, ...tried(result, said, state?.minutes ?? 0), looks: looks.map(bare) });
      },
      onFailure: () => setFailed(true),
    });
  };

  if (isFailed || state === undefined)
    return (
      <PracticeFrame
        label="Whole find"
        light={<NoExercise state={isFailed ? "failed" : "looking"} />}
        dark={<Covered>{null}</Covered>}
      />
    );
  return (
    <PracticeFrame
      label="Whole find"
      light={
        told === undefined ? (
          <WholeLooks
            state={state}
            looks={looks}
            title={title}
            onLook={(look) => setLooks([...looks, look])}
            answer={<WholeAnswer verdict={verdict} onVerdict={setVerdict} onSure={(tenths) => void finish(tenths)} />}
          />
        ) : (
          <>
            <WholeTaught told={told} state={state} />
            <GoOn {...parts} />
          </>
        )
      }
      dark={
        told === undefined ? (
          <Covered>
            <NearestQuestion dangers={state.dangers} said={nearest} onSay={setNearest} />
          </Covered>
        ) : (
          <WholeUncovered told={told} />
        )
      }
    />
  );
}
