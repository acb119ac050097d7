/** A round on a phone: the find as the table shows it, one's own answer, and what it was when it is uncovered. */
import { figureText, type Verdict } from "@jittery-cap/core";
import { ROUTES } from "@jittery-cap/core/api";
import type { RoundAnswer, Shown } from "@jittery-cap/core/trainer";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useCallback, useState } from "react";
import { useParams } from "react-router";
import { uuidv7 } from "uuidv7";
import { ask as askServer, valueOrNothing } from "../../api/client.ts";
import { ScrollRegion } from "../../layout/scroll-region.tsx";
import { SplitCard } from "../../layout/split-card.tsx";
import { BodiesRow } from "../../specimen/bodies-row.tsx";
import { VERDICT_WORDS } from "../../standing/verdict-words.ts";
import { TENTHS } from "../how-sure.tsx";
import { capital } from "../look-exercise.tsx";
import { MadeFigure } from "../made-figure.tsx";
import { NearestQuestion } from "../nearest-question.tsx";
import { Covered } from "../practice-frame.tsx";
import { WholeAnswer } from "../whole-answer.tsx";
import type { Nearest } from "../whole-exercise.tsx";
import { useGuest } from "./use-guest.ts";
import { useRound } from "./use-round.ts";
import "../practice.css";

export function PhoneView() {
  const { token = "" } = useParams();
  const { guest, name, setName } = useGuest();
  const read = useCallback(
    () => valueOrNothing(ROUTES.joinRound, { params: { token }, query: { guest } }),
    [token, guest],
  );
  const { told: round, isMissing, ask } = useRound(token, read);
  const [typed, setTyped] = useState(name);
  const shown = round?.shown;
  return (
    <SplitCard
      darkFirst={false}
      light={
        <ScrollRegion label="The round" className="page">
          {isMissing && (
            <Alert severity="info">
              {round === undefined
                ? "There is no such round. Its link may be wrong or too old, or it was ended."
                : "The round cannot be reached just now, or it was ended. This is what was shown last."}
            </Alert>
          )}
          {round !== undefined && name === "" && (
            <form
              onSubmit={(event) => {
                event.preventDefault();
                if (typed.trim() !== "") setName(typed.trim());
              }}
            >
              <h1 className="view-title">{round.name}</h1>
              <p className="lead-in">Who are you at this table? Any name will do.</p>
              <div className="fields">
                <TextField
                  label="Your name here"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                  slotProps={{ htmlInput: { maxLength: 80 } }}
                />
                <Button type="submit" variant="contained" size="large" disabled={typed.trim() === ""}>
                  Join
                </Button>
              </div>
            </form>
          )}
          {round !== undefined && name !== "" && shown === undefined && (
            <>
              <h1 className="view-title">{round.name}</h1>
              <p className="lead-in">You are in, {name}. The first find comes from the table.</p>
            </>
          )}
          {round !== undefined && name !== "" && shown !== undefined && <ShownFind shown={shown} finds={round.finds} />}
        </ScrollRegion>
      }
      dark={
        <ScrollRegion label="Your answer" className="dark-page">
          {round !== undefined && name !== "" && shown !== undefined && (
            <OwnAnswer
              key={shown.at}
              token={token}
              guest={guest}
              name={name}
              shown={shown}
              own={round.own}
              said={round.said}
              basket={round.tally?.basket}
              onHeard={ask}
            />
          )}
        </ScrollRegion>
      }
    />
  );
}

function ShownFind({ shown, finds }: { readonly shown: Shown; readonly finds: number }) {
  const { find, conditions, looks, told, at, minutes } = shown;
  const [chosen, setChosen] = useState("A");
  const body = find.bodies.find(({ id }) => id === chosen) ?? find.bodies[0];
  return (
    <>
      <p className="soft">
        Find {at + 1} of {finds} · {minutes} min spent
      </p>
      <h1 className="view-title" data-testid="phone-title">
        {told === undefined ? "What becomes of it?" : capital(told.kind.common)}
      </h1>
      <p className="small">{conditions.join(" · ")}</p>
      {body !== undefined && <MadeFigure find={find} body={body} />}
      {find.bodies.length > 1 && <BodiesRow find={find} chosen={chosen} onChoose={setChosen} height={64} />}
      {body !== undefined && <p className="unseen">{figureText(find, body)}</p>}
      <ul className="lines">
        {looks.map(({ text, saw }) => (
          <li key={text} className="line practice-look-taken">
            <b>{text}</b>
            <span className="soft">{saw}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

interface OwnAnswerProps {
  readonly token: string;
  readonly guest: string;
  readonly name: string;
  readonly shown: Shown;
  readonly own: RoundAnswer | undefined;
  readonly said: number;
  readonly basket: number | undefined;
  readonly onHeard: () => Promise<void>;
}

function OwnAnswer({ token, guest, name, shown, own, said, basket, onHeard }: OwnAnswerProps) {
  const [nearest, setNearest] = useState<Nearest>();
  const [verdict, setVerdict] = useState<Verdict>();
  const [refusal, setRefusal] = useState<string>();
  const { told } = shown;
  const send = async (tenths: number) => {
    if (verdict === undefined) return;
    const outcome = await askServer(ROUTES.answerRound, {
      params: { token },
      body: {
        id: uuidv7(),
        guest,
        name,
        at: shown.at,
        verdict,
        sure: tenths / TENTHS,
        ...(nearest === undefined ? {} : { nearest: nearest.sheet }),
        ...(nearest?.mistakes === undefined ? {} : { mistakes: nearest.mistakes }),
      },
    });
    setRefusal(
      outcome.kind === "ok"
        ? undefined
        : outcome.kind === "refused"
          ? outcome.problem.detail
          : `${outcome.text} Nobody has heard you yet: answer again.`,
    );
    if (outcome.kind === "ok") setVerdict(undefined);
    await onHeard();
  };
  if (told !== undefined)
    return (
      <div data-testid="phone-told">
        <p className="said">
          {own === undefined
            ? "You did not answer"
            : told.isDanger && own.verdict === "basket"
              ? "You would have carried it home"
              : `You said ${VERDICT_WORDS[own.verdict].toLowerCase()}`}
        </p>
        <p>
          By what was seen it is {VERDICT_WORDS[told.verdict].toLowerCase()}. {told.reasons[0]}
        </p>
        <p className="soft">
          {basket ?? 0} of {said} at this table had it in the basket.
        </p>
      </div>
    );
  return (
    <>
      {refusal !== undefined && <Alert severity="error">{refusal}</Alert>}
      {own !== undefined && (
        <p className="said" role="status" data-testid="phone-said">
          You said {VERDICT_WORDS[own.verdict].toLowerCase()}; until it is uncovered you may say otherwise.
        </p>
      )}
      <WholeAnswer verdict={verdict} onVerdict={setVerdict} onSure={(tenths) => void send(tenths)} />
      <Covered>
        <NearestQuestion
          dangers={shown.dangers.map((one) => ({ ...one, scientific: "" }))}
          said={nearest}
          onSay={setNearest}
          isAll
        />
      </Covered>
    </>
  );
}
