/** What becomes of each body: the person's ending, never more permissive than the answer, then frozen. */
import {
  type Answer,
  type Body,
  type BodyEnding,
  conditionText,
  ENDING_WORDS,
  ENDINGS,
  type Find,
  isAmongFood,
  isStricter,
  permitsEnding,
  TRIMMINGS,
  type Trimming,
  trimmingFault,
  wordList,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import { useEffect, useRef, useState } from "react";
import { uuidv7 } from "uuidv7";
import { PlainSelect } from "../card/plain-select.tsx";
import { VERDICT_WORDS } from "../card/verdict-words.ts";
import { readDecisions, type ShownDecision, sendDecision } from "../device/decisions.ts";
import { device, touchesKept, waitingFor } from "../device/device.ts";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { TakenOff } from "./taken-off.tsx";

interface EndingsPanelProps {
  readonly find: Find;
  readonly answer: Answer;
}

interface Drafted {
  readonly ending?: BodyEnding["ending"];
  readonly reason?: string;
  readonly off?: readonly Trimming[];
}
type Draft = Readonly<Record<string, Drafted>>;

/** A draft as it would be sent, or undefined where no ending is chosen yet. */
function toldOf(body: string, { ending, reason, off }: Drafted = {}): BodyEnding | undefined {
  const why = reason?.trim();
  return ending === undefined
    ? undefined
    : {
        body,
        ending,
        ...(why === undefined || why === "" ? {} : { reason: why }),
        ...(off === undefined || off.length === 0 || !isAmongFood(ending) ? {} : { off: [...off] }),
      };
}

export function EndingsPanel({ find, answer }: EndingsPanelProps) {
  const changeTogether = useFind((state) => state.changeTogether);
  const [draft, setDraft] = useState<Draft>({});
  const [decisions, setDecisions] = useState<readonly ShownDecision[]>();
  const [refusal, setRefusal] = useState<string>();
  /** One id for one attempt, so that a reply that got lost decides nothing twice. */
  const attempt = useRef(uuidv7());
  useEffect(() => void readDecisions(find.id).then(setDecisions), [find.id]);

  const endingOf = (body: string) => draft[body]?.ending;
  const told = (body: Body) => toldOf(body.id, draft[body.id]);
  const open = find.bodies.filter((body) => told(body) === undefined);
  const unreasoned = find.bodies.filter((body) => {
    const one = told(body);
    return one !== undefined && isStricter(answer, body.id, one.ending) && one.reason === undefined;
  });
  const untrimmed = find.bodies.filter((body) => {
    const one = told(body);
    return one !== undefined && trimmingFault(body, one) !== undefined;
  });
  const unready = open.length + unreasoned.length + untrimmed.length > 0;
  const freeze = async () => {
    setRefusal(undefined);
    await touchesKept();
    if ((await waitingFor(find.id)).length > 0)
      return setRefusal("Some touches are not with the server yet. Decide when they are saved.");
    const version = (await device.finds.get(find.id))?.version ?? 0;
    const endings = find.bodies.flatMap((body) => told(body) ?? []);
    const decided = await sendDecision(find.id, attempt.current, version, endings);
    if (typeof decided === "string") return setRefusal(decided);
    attempt.current = uuidv7();
    setDecisions([decided, ...(decisions ?? []).filter((one) => one.id !== decided.id)]);
    setDraft({});
    // the record tells how each ended; what counts is worked out anew wherever it is shown
    changeTogether(
      decided.endings.map(({ body, ending }) => ({ kind: "set-body", body, field: "ending", value: ending })),
    );
  };

  return (
    <Box component="section" aria-labelledby="endings" data-testid="endings" sx={{ pt: 2.75 }}>
      <Box component="h2" id="endings" sx={{ m: 0, pb: 0.5, fontSize: "1.125rem", fontWeight: 700 }}>
        What becomes of each
      </Box>
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pb: 1 }}>
        You may always be stricter than the answer, never more permissive.
      </Box>
      {find.bodies.map((body) => {
        const ending = endingOf(body.id);
        const stricter = ending !== undefined && isStricter(answer, body.id, ending);
        return (
          <Box
            key={body.id}
            data-ending-of={body.id}
            sx={{
              display: "flex",
              gap: 1,
              flexWrap: "wrap",
              alignItems: "center",
              py: 0.75,
              borderTop: `1px solid ${tone.boneLine}`,
            }}
          >
            <Box sx={{ flex: "1 1 100%", display: "flex", gap: 1, alignItems: "baseline" }}>
              <b style={{ width: 28 }}>{body.id}</b>
              <Box component="span" sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
                {conditionText(body)}
              </Box>
            </Box>
            <PlainSelect
              grows
              label={`Ending of ${body.id}`}
              value={ending ?? ""}
              onChange={(value) => {
                const next = ENDINGS.find((one) => one === value);
                setDraft({
                  ...draft,
                  [body.id]: { ...draft[body.id], ...(next === undefined ? {} : { ending: next }) },
                });
              }}
            >
              <option value="">not decided</option>
              {ENDINGS.map((one) => (
                <option key={one} value={one} disabled={!permitsEnding(answer, body.id, one)}>
                  {ENDING_WORDS[one]}
                  {permitsEnding(answer, body.id, one) ? "" : " (not cleared)"}
                </option>
              ))}
            </PlainSelect>
            {ending !== undefined && isAmongFood(ending) && (
              <TakenOff
                body={body}
                told={toldOf(body.id, draft[body.id])}
                conditions={answer.conditions}
                onTurn={(part) => {
                  const off = draft[body.id]?.off ?? [];
                  const next = TRIMMINGS.filter((one) => (one === part) !== off.includes(one));
                  setDraft({ ...draft, [body.id]: { ...draft[body.id], off: next } });
                }}
              />
            )}
            {stricter && (
              <InputBase
                placeholder="why, since the answer would permit more"
                value={draft[body.id]?.reason ?? ""}
                onChange={(event) =>
                  setDraft({ ...draft, [body.id]: { ...draft[body.id], reason: event.target.value } })
                }
                inputProps={{ "aria-label": `Reason for ${body.id}`, maxLength: 500 }}
                sx={{
                  flex: "1 1 260px",
                  minHeight: TOUCH,
                  px: 1,
                  bgcolor: tone.paper,
                  border: `1px solid ${tone.boneLine}`,
                }}
              />
            )}
          </Box>
        );
      })}
      {refusal !== undefined && (
        <Box role="alert" sx={{ color: tone.rust, fontWeight: 600, py: 1 }}>
          {refusal}
        </Box>
      )}
      <ButtonBase
        disabled={unready}
        onClick={() => void freeze()}
        sx={{
          mt: 1,
          minHeight: TOUCH + 4,
          px: 2.5,
          bgcolor: tone.ink,
          color: tone.bone,
          fontWeight: 750,
          opacity: unready ? 0.5 : 1,
        }}
      >
        Decide, and freeze it
      </ButtonBase>
      {decisions === undefined && (
        <Box sx={{ color: tone.inkSoft, pt: 1 }}>The server cannot be asked for earlier decisions.</Box>
      )}
      <Box component="ul" aria-label="Earlier decisions" sx={{ listStyle: "none", m: 0, p: 0, pt: 1.5 }}>
        {decisions?.map((one) => (
          <DecisionLine key={one.id} decision={one} />
        ))}
      </Box>
    </Box>
  );
}

function DecisionLine({ decision }: { decision: ShownDecision }) {
  const { decidedAt, endings, edition, answer, today } = decision;
  const takenBack = endings.filter((one) => isAmongFood(one.ending) && !today.cleared.includes(one.body));
  return (
    <Box component="li" data-decision={decision.id} sx={{ py: 1, borderTop: `1px solid ${tone.boneLine}` }}>
      <b>
        {new Date(decidedAt).toLocaleString([], { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" })}
      </b>{" "}
      {endings
        .map(
          ({ body, ending, reason, off }) =>
            `${body} ${ENDING_WORDS[ending]}${off === undefined ? "" : `, ${wordList([...off], "and")} off`}${reason === undefined ? "" : ` (${reason})`}`,
        )
        .join("; ")}
      .
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
        The answer then was {VERDICT_WORDS[answer.verdict].toLowerCase()}, by sheets of edition {edition}.
      </Box>
      {(today.edition !== edition || today.verdict !== answer.verdict || takenBack.length > 0) && (
        <Box
          sx={{
            color: takenBack.length === 0 ? tone.inkSoft : tone.rust,
            fontWeight: takenBack.length === 0 ? 450 : 700,
          }}
        >
          As the record and the sheets stand today: {VERDICT_WORDS[today.verdict].toLowerCase()}
          {takenBack.length > 0
            ? `. ${wordList(
                takenBack.map((one) => one.body),
                "and",
              )} ${takenBack.length === 1 ? "is" : "are"} not cleared: take ${takenBack.length === 1 ? "it" : "them"} out of the basket.`
            : "."}
        </Box>
      )}
    </Box>
  );
}
