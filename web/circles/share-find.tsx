/** Sharing a find with a circle: with how much of its place, whether others may add their looks; and asking for eyes. */
import { CIRCLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import { PLACES_SHOWN, type PlaceShown } from "@jittery-cap/core/people";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import { useState } from "react";
import { Link } from "react-router";
import { uuidv7 } from "uuidv7";
import { ask, type Outcome } from "../api/client.ts";
import { touchesKept } from "../documents/under-way.ts";
import { Section } from "../layout/section.tsx";
import { Choices } from "../specimen/choices.tsx";
import { PLACE_WORDS } from "./roles.ts";
import { useHeard } from "./use-heard.ts";
import "./circles.css";

type Circle = ReplyOf<(typeof CIRCLE_ROUTES)["listCircles"]>["circles"][number];
type Share = ReplyOf<(typeof CIRCLE_ROUTES)["listShares"]>["shares"][number];

export function ShareFind({ findId }: { readonly findId: string }) {
  const circles = useHeard(CIRCLE_ROUTES.listCircles);
  const shares = useHeard(CIRCLE_ROUTES.listShares, { id: findId });
  const learnsIn = circles.heard?.circles.filter((one) => one.role === "learner") ?? [];
  return (
    <Section
      title="Your circles"
      about={
        circles.heard?.circles.length === 0 ? (
          <>
            You are in none. <Link to="/circles">Begin one</Link>, or be invited.
          </>
        ) : undefined
      }
      testId="share"
    >
      {circles.refusal !== undefined && <p role="alert">{circles.refusal}</p>}
      {learnsIn.length > 0 && (
        <p className="stands" data-testid="learner">
          You learn in {learnsIn.map((one) => one.name).join(" and ")}: before any of it is food, one who knows has to
          have it in the hand and say so there.
        </p>
      )}
      {circles.heard?.circles.map((circle) => (
        <WithCircle
          key={circle.id}
          findId={findId}
          circle={circle}
          share={shares.heard?.shares.find((one) => one.circle === circle.id)}
          onChanged={shares.again}
        />
      ))}
    </Section>
  );
}

interface WithCircleProps {
  readonly findId: string;
  readonly circle: Circle;
  readonly share: Share | undefined;
  readonly onChanged: () => void;
}

/** Why something was not done; undefined where it was. */
const whyNot = (outcome: Outcome<unknown>): string | undefined =>
  outcome.kind === "ok" ? undefined : outcome.kind === "refused" ? outcome.problem.detail : outcome.text;

function WithCircle({ findId, circle, share, onChanged }: WithCircleProps) {
  const [said, setSaid] = useState<string>();
  const set = async (place: PlaceShown, mayRecord: boolean) => {
    await touchesKept();
    const params = { id: findId, circle: circle.id };
    setSaid(whyNot(await ask(CIRCLE_ROUTES.shareFind, { params, body: { place, mayRecord } })));
    onChanged();
  };
  const withdraw = async () => {
    const why = whyNot(await ask(CIRCLE_ROUTES.withdrawShare, { params: { id: findId, circle: circle.id } }));
    setSaid(why === undefined ? undefined : `They see it still: ${why}`);
    onChanged();
  };
  return (
    <div className="line around" data-share={circle.id}>
      <div className="actions">
        <span className="strong grow">{circle.name}</span>
        {share === undefined ? (
          <Button variant="outlined" onClick={() => void set("none", false)}>
            Share it
          </Button>
        ) : (
          <Button variant="quiet" onClick={() => void withdraw()}>
            Share it no longer
          </Button>
        )}
      </div>
      {share !== undefined && <HowMuch circle={circle} share={share} onSet={(...how) => void set(...how)} />}
      <AskThem findId={findId} circle={circle} onSaid={setSaid} />
      {said !== undefined && <p role="status">{said}</p>}
    </div>
  );
}

interface HowMuchProps {
  readonly circle: Circle;
  readonly share: Share;
  readonly onSet: (place: PlaceShown, mayRecord: boolean) => void;
}

function HowMuch({ circle, share: { place, mayRecord }, onSet }: HowMuchProps) {
  return (
    <>
      <Choices label={`What of the place ${circle.name} sees`} className="actions above">
        {PLACES_SHOWN.map((one) => (
          <ToggleButton key={one} value={one} selected={one === place} onChange={() => onSet(one, mayRecord)}>
            {PLACE_WORDS[one].name}
          </ToggleButton>
        ))}
        <ToggleButton value="record" selected={mayRecord} onChange={() => onSet(place, !mayRecord)}>
          others add looks: {mayRecord ? "yes" : "no"}
        </ToggleButton>
      </Choices>
      <p className="soft small">{PLACE_WORDS[place].about}</p>
    </>
  );
}

interface AskThemProps {
  readonly findId: string;
  readonly circle: Circle;
  readonly onSaid: (said: string) => void;
}

function AskThem({ findId, circle, onSaid }: AskThemProps) {
  const [note, setNote] = useState("");
  const askThem = async () => {
    await touchesKept();
    const body = { id: uuidv7(), circle: circle.id, note };
    const why = whyNot(await ask(CIRCLE_ROUTES.askCircle, { params: { id: findId }, body }));
    onSaid(why ?? "Asked. They see what you recorded, but no answer and no place.");
    if (why === undefined) setNote("");
  };
  return (
    <div className="actions above">
      <TextField
        size="small"
        value={note}
        placeholder="what you want to know"
        onChange={(event) => setNote(event.target.value)}
        slotProps={{ htmlInput: { "aria-label": `What you want to know from ${circle.name}`, maxLength: 300 } }}
      />
      <Button variant="outlined" onClick={() => void askThem()}>
        Ask them to look
      </Button>
    </div>
  );
}
