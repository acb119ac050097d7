/** One circle: who is in it and as what, whom it trusts with which genera, and how somebody joins or leaves. */
import { CIRCLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import { ROLES, type Role } from "@jittery-cap/core/people";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { uuidv7 } from "uuidv7";
import { ask } from "../api/client.ts";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { ME } from "../people/here.ts";
import { Choices } from "../specimen/choices.tsx";
import { AskLine } from "./ask-line.tsx";
import { MemberLine } from "./member-line.tsx";
import { ROLE_WORDS } from "./roles.ts";
import { SharedLines } from "./shared-lines.tsx";
import { useHeard } from "./use-heard.ts";
import { isSharedWith } from "./use-shared.ts";
import "../people/people.css";
import "./circles.css";
import { linkTo } from "../base.ts";

type Circle = ReplyOf<(typeof CIRCLE_ROUTES)["listCircles"]>["circles"][number];

export function CircleView() {
  const { id = "" } = useParams();
  const { heard, refusal, again } = useHeard(CIRCLE_ROUTES.listCircles);
  const navigate = useNavigate();
  const circle = heard?.circles.find((one) => one.id === id);
  const [why, setWhy] = useState<string>();
  const leave = async (person: string) => {
    const outcome = await ask(CIRCLE_ROUTES.leaveCircle, { params: { id, person } });
    if (outcome.kind === "ok" && person === ME) await navigate("/circles");
    else setWhy(outcome.kind === "refused" ? outcome.problem.detail : undefined);
    again();
  };
  const asks = useHeard(CIRCLE_ROUTES.listAsks);
  const waiting = asks.heard?.asks.filter((one) => one.circle === id && one.answeredAt === undefined) ?? [];
  const isOwner = circle?.role === "owner";
  return (
    <SplitCard
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              {circle?.name ?? "A circle"}
            </Typography>
            {(why ?? refusal) !== undefined && (
              <p role="alert" className="stands">
                {why ?? refusal}
              </p>
            )}
            {heard !== undefined && circle === undefined && <p>There is no such circle, or you are not in it.</p>}
            <ul className="lines" aria-label="Who is in it">
              {circle?.members.map((member) => (
                <MemberLine
                  key={member.id}
                  circle={id}
                  member={member}
                  isMe={member.id === ME}
                  canChange={isOwner}
                  onChanged={again}
                  onRefused={setWhy}
                  onLeave={() => void leave(member.id)}
                />
              ))}
            </ul>
            {circle !== undefined && (
              <Section title="Shared with you here">
                <SharedLines of={(one) => isSharedWith(one, id)} />
              </Section>
            )}
          </div>
        </>
      }
      dark={
        <div className="dark-page scroll">
          {circle !== undefined && <p className="people-large">{ROLE_WORDS[circle.role].yours}</p>}
          {waiting.length > 0 && (
            <ul className="lines" aria-label="Waiting for eyes">
              {waiting.map((one) => (
                <AskLine key={one.id} ask={one} onChanged={asks.again} />
              ))}
            </ul>
          )}
          {isOwner && <Invite circle={circle} />}
        </div>
      }
    />
  );
}

/** A link for one person, who joins in the role that is chosen here. */
function Invite({ circle }: { readonly circle: Circle }) {
  const [role, setRole] = useState<Role>("member");
  const [link, setLink] = useState<string>();
  const make = async () => {
    const outcome = await ask(CIRCLE_ROUTES.inviteToCircle, {
      params: { id: circle.id },
      body: { id: uuidv7(), role },
    });
    if (outcome.kind === "ok") setLink(linkTo(`/circles/join/${outcome.value.token}`));
  };
  return (
    <Section title="Invite somebody" about="Each link is for one person who has signed in here, for two weeks.">
      <Choices label="In which role" className="actions">
        {ROLES.map((one) => (
          <ToggleButton key={one} value={one} selected={one === role} onChange={() => setRole(one)}>
            {ROLE_WORDS[one].name}
          </ToggleButton>
        ))}
      </Choices>
      <p className="soft small">{ROLE_WORDS[role].about}</p>
      <Button variant="contained" onClick={() => void make()}>
        Make a link
      </Button>
      {link !== undefined && (
        <p className="told-link">
          It is told this once: <a href={link}>{link}</a>
        </p>
      )}
    </Section>
  );
}
