/** The circles that one is in, what waits for eyes in all of them, and what others share. */
import { CIRCLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { Link } from "react-router";
import { uuidv7 } from "uuidv7";
import { circlePath } from "../addresses.ts";
import { ask } from "../api/client.ts";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { AskLine } from "./ask-line.tsx";
import { ROLE_WORDS } from "./roles.ts";
import { SharedLines } from "./shared-lines.tsx";
import { useHeard } from "./use-heard.ts";
import "../people/people.css";
import "./circles.css";

type Circle = ReplyOf<(typeof CIRCLE_ROUTES)["listCircles"]>["circles"][number];

export function CirclesView() {
  const circles = useHeard(CIRCLE_ROUTES.listCircles);
  const asks = useHeard(CIRCLE_ROUTES.listAsks);
  const [name, setName] = useState("");
  const make = async () => {
    const made = await ask(CIRCLE_ROUTES.makeCircle, { body: { id: uuidv7(), name } });
    if (made.kind === "ok") setName("");
    circles.again();
  };
  const waiting = asks.heard?.asks.filter((one) => one.answeredAt === undefined && one.find === undefined) ?? [];
  const others = asks.heard?.asks.filter((one) => !waiting.includes(one)) ?? [];
  return (
    <SplitCard
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              Circles
            </Typography>
            {circles.refusal !== undefined && <p role="alert">{circles.refusal}</p>}
            {circles.heard?.circles.length === 0 && (
              <p className="lead-in">
                A circle looks at each other’s finds: a household, some friends, a society. Nobody sees anything of
                yours that you do not share, and no place unless you say so.
              </p>
            )}
            <ul className="lines" aria-label="Your circles">
              {circles.heard?.circles.map((circle) => (
                <CircleLine key={circle.id} circle={circle} />
              ))}
            </ul>
            <Section title="What others share with you">
              <SharedLines />
            </Section>
            <Section title="Begin a circle" about="You are its owner, and invite the others.">
              <div className="actions">
                <TextField
                  size="small"
                  placeholder="its name"
                  value={name}
                  onChange={(event) => setName(event.target.value)}
                  slotProps={{ htmlInput: { "aria-label": "Name of the circle", maxLength: 80 } }}
                />
                <Button variant="outlined" disabled={name.trim() === ""} onClick={() => void make()}>
                  Begin it
                </Button>
              </div>
            </Section>
          </div>
        </>
      }
      dark={
        <div className="dark-page scroll">
          <h2 className="people-large">
            {waiting.length === 0
              ? "Nobody waits for your eyes."
              : waiting.length === 1
                ? "One find waits for your eyes."
                : `${waiting.length} finds wait for your eyes.`}
          </h2>
          <ul className="lines" aria-label="Waiting for eyes">
            {waiting.map((one) => (
              <AskLine key={one.id} ask={one} onChanged={asks.again} />
            ))}
          </ul>
          {others.length > 0 && (
            <Section title="Asked by you, or answered">
              <ul className="lines">
                {others.map((one) => (
                  <AskLine key={one.id} ask={one} onChanged={asks.again} />
                ))}
              </ul>
            </Section>
          )}
        </div>
      }
    />
  );
}

function CircleLine({ circle: { id, name, role, members } }: { readonly circle: Circle }) {
  return (
    <li className="line">
      <Link to={circlePath(id)} className="circle-line">
        <span className="large strong">{name}</span>
        <span className="soft small">
          {members.length === 1 ? "you alone" : `${members.length} people`}; you are {ROLE_WORDS[role].name}
        </span>
      </Link>
    </li>
  );
}
