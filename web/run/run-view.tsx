/** Hands full: tests are chosen, then the next step is huge and spoken, any touch or key goes on; answers come at the end. */
import { useState } from "react";
import { useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { useOpenFind } from "../session/session-context.tsx";
import { RunAnswers } from "./run-answers.tsx";
import { RunChoice } from "./run-choice.tsx";
import { RunStage } from "./run-stage.tsx";
import type { RunStep } from "./run-steps.ts";

type Phase =
  | { readonly kind: "choose" }
  | { readonly kind: "run"; readonly steps: readonly RunStep[] }
  | { readonly kind: "answer"; readonly steps: readonly RunStep[]; readonly seconds: readonly number[] };

export function RunView() {
  const navigate = useNavigate();
  const find = useOpenFind();
  const [phase, setPhase] = useState<Phase>({ kind: "choose" });
  const leave = () => void navigate(findPath(find.id));
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
