/** Hands full: tests are chosen, then the next step is huge and spoken, any touch or key goes on; answers come at the end. */
import { useEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { StateOfView } from "../card/state-of-view.tsx";
import { useFind } from "../state/find-state.ts";
import { RunAnswers } from "./run-answers.tsx";
import { RunChoice } from "./run-choice.tsx";
import { RunStage } from "./run-stage.tsx";
import type { RunStep } from "./run-steps.ts";

type Phase =
  | { readonly kind: "choose" }
  | { readonly kind: "run"; readonly steps: readonly RunStep[] }
  | { readonly kind: "answer"; readonly steps: readonly RunStep[]; readonly seconds: readonly number[] };

export function RunView() {
  const { id = "" } = useParams();
  const navigate = useNavigate();
  const { status, find, open } = useFind();
  const [phase, setPhase] = useState<Phase>({ kind: "choose" });
  useEffect(() => void open(id), [id, open]);
  if (status !== "open" || find?.id !== id) return <StateOfView view="find" status={status} />;
  const leave = () => void navigate(`/find/${id}`);
  switch (phase.kind) {
    case "choose":
      return <RunChoice find={find} onStart={(steps) => setPhase({ kind: "run", steps })} onLeave={leave} />;
    case "run":
      return (
        <RunStage
          steps={phase.steps}
          onEnd={(seconds) => setPhase({ kind: "answer", steps: phase.steps.slice(0, seconds.length), seconds })}
        />
      );
    case "answer":
      return <RunAnswers find={find} steps={phase.steps} seconds={phase.seconds} onDone={leave} />;
  }
}
