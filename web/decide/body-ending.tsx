/** What becomes of one body: its ending, what was taken off, and why where the answer would permit more. */
import {
  type Body,
  conditionText,
  ENDING_WORDS,
  ENDINGS,
  isAmongFood,
  permitsEnding,
  TRIMMINGS,
} from "@jittery-cap/core";
import TextField from "@mui/material/TextField";
import { ChooseFrom } from "../layout/choose-from.tsx";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { asksReason, type Drafted, toldOf } from "./endings-draft.ts";
import { TakenOff } from "./taken-off.tsx";

interface BodyEndingChoiceProps {
  readonly answer: ShownAnswer;
  readonly body: Body;
  readonly drafted: Drafted;
  readonly onDraft: (drafted: Drafted) => void;
}

export function BodyEndingChoice({ answer, body, drafted, onDraft }: BodyEndingChoiceProps) {
  const told = toldOf(body.id, drafted);
  return (
    <div data-ending-of={body.id} className="line ending">
      <div className="ending-body">
        <b>{body.id}</b>
        <span className="soft small">{conditionText(body)}</span>
      </div>
      <ChooseFrom
        label={`Ending of ${body.id}`}
        value={drafted.ending ?? ""}
        className="ending-choice"
        onChange={(value) => {
          const ending = ENDINGS.find((one) => one === value);
          onDraft({ ...drafted, ...(ending === undefined ? {} : { ending }) });
        }}
      >
        <option value="">not decided</option>
        {ENDINGS.map((one) => (
          <option key={one} value={one} disabled={!permitsEnding(answer, body.id, one)}>
            {ENDING_WORDS[one]}
            {permitsEnding(answer, body.id, one) ? "" : " (not cleared)"}
          </option>
        ))}
      </ChooseFrom>
      {told !== undefined && isAmongFood(told.ending) && (
        <TakenOff
          body={body}
          told={told}
          conditions={answer.conditions}
          onTurn={(part) => {
            const off = drafted.off ?? [];
            onDraft({ ...drafted, off: TRIMMINGS.filter((one) => (one === part) !== off.includes(one)) });
          }}
        />
      )}
      {asksReason(answer, told) && (
        <TextField
          placeholder="why, since the answer would permit more"
          value={drafted.reason ?? ""}
          onChange={(event) => onDraft({ ...drafted, reason: event.target.value })}
          className="ending-choice"
          slotProps={{ htmlInput: { "aria-label": `Reason for ${body.id}`, maxLength: 500 } }}
        />
      )}
    </div>
  );
}
