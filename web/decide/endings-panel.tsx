/** What becomes of each body: the person's ending, never more permissive than the answer, then frozen. */
import { type Find, isAmongFood, isSeenForLearner } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useState } from "react";
import { useShared } from "../circles/use-shared.ts";
import { decideFind, type ShownDecision } from "../documents/decisions.ts";
import { opinionsOf } from "../documents/opinions.ts";
import { touchesKept } from "../documents/under-way.ts";
import { Section } from "../layout/section.tsx";
import { useSession } from "../session/session-context.tsx";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { askEvidence } from "../worker/judge.ts";
import { BodyEndingChoice } from "./body-ending.tsx";
import { DecisionLine } from "./decision-line.tsx";
import { type Draft, endingsOf, isReady } from "./endings-draft.ts";

interface EndingsPanelProps {
  readonly find: Find;
  readonly answer: ShownAnswer;
  /** Undefined while they are looked for. */
  readonly decisions: readonly ShownDecision[] | undefined;
}

/** Of a learner's find, whether one who knows has seen it in the hand; where that cannot be worked out, nobody has. */
async function isSeen(find: Find, answer: ShownAnswer): Promise<boolean> {
  const { learnsIn } = useShared.getState();
  if (learnsIn.length === 0) return true;
  const [told, opinions] = await Promise.all([askEvidence(find).catch(() => undefined), opinionsOf(find.id)]);
  return told !== undefined && isSeenForLearner(find, { ...answer, ...told }, opinions, learnsIn);
}

export function EndingsPanel({ find, answer, decisions }: EndingsPanelProps) {
  const { changeTogether } = useSession();
  const [draft, setDraft] = useState<Draft>({});
  const [refusal, setRefusal] = useState<string>();
  const freeze = async () => {
    setRefusal(undefined);
    await touchesKept();
    const endings = endingsOf(find, draft);
    if (endings.some(({ ending }) => isAmongFood(ending)) && !(await isSeen(find, answer)))
      return setRefusal(
        "You learn: before any of it is food, one who knows has it in the hand and says so in your circle.",
      );
    const decided = await decideFind(find, endings, answer).catch(() => undefined);
    if (decided === undefined) return setRefusal("This device could not keep the decision. Nothing is decided.");
    if (!decided.ok) return setRefusal(decided.faults.map((fault) => `${fault.path}: ${fault.message}`).join("; "));
    setDraft({});
    // the record tells how each ended; what counts is worked out anew wherever it is shown
    changeTogether(endings.map(({ body, ending }) => ({ kind: "set-body", body, field: "ending", value: ending })));
  };
  return (
    <Section
      title="What becomes of each"
      about="You may always be stricter than the answer, never more permissive."
      testId="endings"
    >
      {find.bodies.map((body) => (
        <BodyEndingChoice
          key={body.id}
          answer={answer}
          body={body}
          drafted={draft[body.id] ?? {}}
          onDraft={(drafted) => setDraft({ ...draft, [body.id]: drafted })}
        />
      ))}
      {refusal !== undefined && (
        <Alert severity="error" sx={{ my: 1 }}>
          {refusal}
        </Alert>
      )}
      <Button
        variant="contained"
        sx={{ mt: 1 }}
        disabled={find.bodies.some((body) => !isReady(answer, body, draft))}
        onClick={() => void freeze()}
      >
        Decide, and freeze it
      </Button>
      {decisions === undefined && <div className="soft above">Looking for earlier decisions.</div>}
      <ul aria-label="Earlier decisions" className="lines above-2">
        {decisions?.map((one) => (
          <DecisionLine key={one.id} decision={one} />
        ))}
      </ul>
    </Section>
  );
}
