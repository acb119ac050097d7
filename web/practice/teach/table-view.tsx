/** The table of a round: the find as the table looks at it, who has answered, and, uncovered, who would have eaten what. */
import { ROUTES } from "@jittery-cap/core/api";
import type { Shown } from "@jittery-cap/core/trainer";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { Link, useNavigate, useParams } from "react-router";
import { teachPath } from "../../addresses.ts";
import { ask as askServer } from "../../api/client.ts";
import { capital } from "../look-exercise.tsx";
import { MadeFigure } from "../made-figure.tsx";
import { NoExercise, PracticeFrame } from "../practice-frame.tsx";
import { WholeLooks } from "../whole-looks.tsx";
import { JoinLink } from "./join-link.tsx";
import { TableAnswers } from "./table-answers.tsx";
import { type Table, useTable } from "./use-table.ts";
import "./teach.css";

export function TableView() {
  const { id = "" } = useParams();
  const navigate = useNavigate();
  const table = useTable(id);
  const { round, isMissing, at, told, refusal } = table;
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
  return (
    <PracticeFrame
      label="The table"
      light={
        <>
          {refusal !== undefined && <Alert severity="error">{refusal}</Alert>}
          {at === undefined ? (
            <TableStart id={id} round={round} onBegin={() => table.goTo(0)} onEnd={() => void end()} />
          ) : (
            <>
              <OnTheTable table={table} name={round.name} at={at} finds={round.items.length} />
              <TableFoot
                table={table}
                token={round.token}
                isLast={at + 1 >= round.items.length}
                onEnd={() => void end()}
              />
            </>
          )}
        </>
      }
      dark={
        <TableAnswers
          answers={round.answers.filter((answer) => answer.at === at)}
          told={told?.told}
          hasBegun={at !== undefined}
          all={round.answers}
        />
      }
    />
  );
}

interface TableStartProps {
  readonly id: string;
  readonly round: NonNullable<Table["round"]>;
  readonly onBegin: () => void;
  readonly onEnd: () => void;
}

function TableStart({ id, round, onBegin, onEnd }: TableStartProps) {
  const finds = round.items.length;
  return (
    <>
      <h1 className="view-title">{round.name}</h1>
      <p className="lead-in">
        {finds} {finds === 1 ? "find" : "finds"}. Everybody opens this on their own phone:
      </p>
      <JoinLink token={round.token} />
      <div className="actions around-2">
        <Button variant="contained" size="large" onClick={onBegin}>
          Show the first find
        </Button>
        <Button size="large" component={Link} to={`${teachPath(id)}/paper`}>
          The set on paper
        </Button>
        <Button size="large" onClick={onEnd}>
          End the round
        </Button>
      </div>
    </>
  );
}

interface OnTheTableProps {
  readonly table: Table;
  readonly name: string;
  readonly at: number;
  readonly finds: number;
}

/** The find: looked at together, or uncovered. */
function OnTheTable({ table: { told, state, looks, look }, name, at, finds }: OnTheTableProps) {
  if (told !== undefined) return <TableTold shown={told} />;
  if (state === undefined) return <NoExercise state="looking" />;
  return (
    <WholeLooks state={state} looks={looks} title={`${name}: find ${at + 1} of ${finds}`} onLook={look} answer={null} />
  );
}

interface TableFootProps {
  readonly table: Table;
  readonly token: string;
  readonly isLast: boolean;
  readonly onEnd: () => void;
}

function TableFoot({ table: { told, state, at = 0, uncover, goTo }, token, isLast, onEnd }: TableFootProps) {
  return (
    <div className="practice-answer actions">
      {told === undefined ? (
        <Button variant="contained" size="large" disabled={state === undefined} onClick={() => void uncover()}>
          Uncover
        </Button>
      ) : isLast ? (
        <Button variant="contained" size="large" onClick={onEnd}>
          End the round
        </Button>
      ) : (
        <Button variant="contained" size="large" onClick={() => goTo(at + 1)}>
          Next find
        </Button>
      )}
      <details>
        <summary className="unfold">The link again</summary>
        <JoinLink token={token} />
      </details>
    </div>
  );
}

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
