/** The table of a round: the find as the table looks at it, who has answered, and, uncovered, who would have eaten what. */
import { ROUTES } from "@jittery-cap/core/api";
import type { Shown } from "@jittery-cap/core/trainer";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useCallback, useEffect, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { teachPath } from "../../addresses.ts";
import { ask as askServer, valueOrNothing } from "../../api/client.ts";
import type { WholeState } from "../../worker/practice-room.ts";
import { askPractice } from "../ask-practice.ts";
import { capital } from "../look-exercise.tsx";
import { MadeFigure } from "../made-figure.tsx";
import { NoExercise, PracticeFrame } from "../practice-frame.tsx";
import { WholeLooks } from "../whole-looks.tsx";
import { JoinLink } from "./join-link.tsx";
import { TableAnswers } from "./table-answers.tsx";
import { useRound } from "./use-round.ts";

interface Look {
  readonly test: string;
  readonly body?: string;
}

export function TableView() {
  const { id = "" } = useParams();
  const navigate = useNavigate();
  const read = useCallback(() => valueOrNothing(ROUTES.readRound, { params: { id } }), [id]);
  const [token, setToken] = useState<string>();
  const { told: round, isMissing, ask } = useRound(token, read);
  const [at, setAt] = useState<number>();
  const [looks, setLooks] = useState<readonly Look[]>([]);
  const [state, setState] = useState<WholeState>();
  const [refusal, setRefusal] = useState<string>();
  useEffect(() => setToken(round?.token), [round?.token]);
  const shown = round?.shown;
  // a page that is opened again goes on where the table was
  useEffect(() => {
    if (at !== undefined || shown === undefined) return;
    setLooks(shown.looks.map(({ test, body }) => ({ test, ...(body === undefined ? {} : { body }) })));
    setAt(shown.at);
  }, [at, shown]);
  const { sheet, seed } = (at === undefined ? undefined : round?.items[at]) ?? {};

  const show = useCallback(
    async (next: Shown) => {
      const outcome = await askServer(ROUTES.showRound, { params: { id }, body: { shown: next } });
      setRefusal(
        outcome.kind === "ok"
          ? undefined
          : outcome.kind === "refused"
            ? outcome.problem.detail
            : `${outcome.text} The phones see what was shown before.`,
      );
      await ask();
    },
    [id, ask],
  );

  const isTold = shown?.told !== undefined && shown.at === at;
  useEffect(() => {
    if (sheet === undefined || seed === undefined || at === undefined || isTold) return;
    let isOver = false;
    askPractice("whole", sheet, seed, looks).then(
      (now) => {
        if (isOver) return;
        setState(now);
        void show(shownOf(at, now));
      },
      () => !isOver && setRefusal("The sheets cannot be had just now."),
    );
    return () => {
      isOver = true;
    };
  }, [sheet, seed, at, looks, isTold, show]);

  const uncover = async () => {
    if (sheet === undefined || seed === undefined || at === undefined || state === undefined) return;
    const said = { verdict: "hold", sure: 0 } as const;
    const result = await askPractice("result", sheet, seed, looks, said).catch(() => undefined);
    if (result === undefined) {
      setRefusal("The sheets cannot be had just now: it stays covered.");
      return;
    }
    const { kind, verdict, reasons, least, nearest, isDanger } = result;
    await show({
      ...shownOf(at, state),
      told: {
        kind: { id: kind.id, common: kind.common, tier: kind.tier },
        scientific: kind.scientific,
        isDanger,
        verdict,
        reasons: reasons.slice(0, 6).map((reason) => reason.slice(0, 600)),
        least,
        nearest: nearest.filter((one) => one.mistakes === least).map((one) => one.id),
      },
    });
  };

  const goTo = (next: number) => {
    setLooks([]);
    setState(undefined);
    setAt(next);
  };
  const end = async () => {
    await askServer(ROUTES.endRound, { params: { id } });
    await navigate("/practice/teach");
  };

  if (round === undefined)
    return (
      <PracticeFrame
        label="The table"
        light={
          isMissing ? (
            <p>There is no such round here, or the server cannot be reached.</p>
          ) : (
            <NoExercise state="looking" />
          )
        }
        dark={null}
      />
    );
  const finds = round.items.length;
  const answers = round.answers.filter((answer) => answer.at === at);
  const isLast = at !== undefined && at + 1 >= finds;
  return (
    <PracticeFrame
      label="The table"
      light={
        <>
          {refusal !== undefined && <Alert severity="error">{refusal}</Alert>}
          {at === undefined ? (
            <>
              <h1 className="view-title">{round.name}</h1>
              <p className="lead-in">
                {finds} {finds === 1 ? "find" : "finds"}. Everybody opens this on their own phone:
              </p>
              <JoinLink token={round.token} />
              <div className="actions around-2">
                <Button variant="contained" size="large" onClick={() => goTo(0)}>
                  Show the first find
                </Button>
                <Button size="large" component={Link} to={`${teachPath(id)}/paper`}>
                  The set on paper
                </Button>
                <Button size="large" onClick={() => void end()}>
                  End the round
                </Button>
              </div>
            </>
          ) : isTold && shown?.told !== undefined ? (
            <TableTold shown={shown} />
          ) : state === undefined ? (
            <NoExercise state="looking" />
          ) : (
            <WholeLooks
              state={state}
              looks={looks}
              title={`${round.name}: find ${at + 1} of ${finds}`}
              onLook={(look) => setLooks([...looks, look])}
              answer={null}
            />
          )}
          {at !== undefined && (
            <div className="practice-answer actions">
              {isTold ? (
                isLast ? (
                  <Button variant="contained" size="large" onClick={() => void end()}>
                    End the round
                  </Button>
                ) : (
                  <Button variant="contained" size="large" onClick={() => goTo(at + 1)}>
                    Next find
                  </Button>
                )
              ) : (
                <Button variant="contained" size="large" disabled={state === undefined} onClick={() => void uncover()}>
                  Uncover
                </Button>
              )}
              <details>
                <summary className="practice-hear">The link again</summary>
                <JoinLink token={round.token} />
              </details>
            </div>
          )}
        </>
      }
      dark={
        <TableAnswers
          answers={answers}
          told={isTold ? shown?.told : undefined}
          hasBegun={at !== undefined}
          all={round.answers}
        />
      }
    />
  );
}

/** What of a made find the phones see. */
const shownOf = (at: number, { find, conditions, taken, minutes, dangers }: WholeState): Shown => ({
  at,
  find,
  conditions: [...conditions],
  looks: taken.map(({ test, body, text, saw }) => ({
    test,
    ...(body === undefined ? {} : { body }),
    text,
    saw: saw.slice(0, 1000),
  })),
  minutes,
  dangers: dangers.map(({ id, common, tier }) => ({ id, common, tier })),
});

function TableTold({ shown }: { readonly shown: Shown }) {
  const { told, find, looks } = shown;
  if (told === undefined) return null;
  return (
    <div className="practice-whole practice-told-table">
      <div className="practice-whole-figure">
        {find.bodies.map((body) => (
          <MadeFigure key={body.id} find={find} body={body} />
        ))}
      </div>
      <div>
        <h1 className="view-title" data-testid="table-told" data-kind={told.kind.id}>
          {capital(told.kind.common)}
        </h1>
        <p>
          <span className="scientific">{told.scientific}</span>
        </p>
        <p className="large">{told.reasons[0]}</p>
        <ul className="lines">
          {looks.map(({ test, body, text, saw }) => (
            <li key={`${test} ${body}`} className="line practice-look-taken">
              <b>{text}</b>
              <span className="soft">{saw}</span>
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}
