/** Somebody in a circle: what they are, and what the circle trusts them with; an owner changes that here. */
import { CIRCLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import { ROLES, type Role } from "@jittery-cap/core/people";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { ask } from "../api/client.ts";
import { ROLE_WORDS } from "./roles.ts";

type Member = ReplyOf<(typeof CIRCLE_ROUTES)["listCircles"]>["circles"][number]["members"][number];

interface MemberLineProps {
  readonly circle: string;
  readonly member: Member;
  readonly isMe: boolean;
  readonly canChange: boolean;
  readonly onChanged: () => void;
  readonly onRefused: (why: string | undefined) => void;
  readonly onLeave: () => void;
}

const generaIn = (text: string): string[] =>
  text
    .split(/[\s,;]+/)
    .map((one) => one.trim().toLowerCase())
    .filter((one) => one !== "");

export function MemberLine({ circle, member, isMe, canChange, onChanged, onRefused, onLeave }: MemberLineProps) {
  const { id, name, role, trusted } = member;
  const [genera, setGenera] = useState(trusted.join(", "));
  const set = async (next: { readonly role: Role; readonly trusted: string[] }) => {
    const outcome = await ask(CIRCLE_ROUTES.setMember, { params: { id: circle, person: id }, body: next });
    onRefused(outcome.kind === "refused" ? outcome.problem.detail : outcome.kind === "ok" ? undefined : outcome.text);
    onChanged();
  };
  return (
    <li className="line around circle-member" data-member={id}>
      <div className={canChange ? undefined : "circle-told"}>
        <div className="strong">
          {name}
          {isMe ? ", you" : ""}
        </div>
        {!canChange && (
          <div className="soft small">
            {ROLE_WORDS[role].name}
            {trusted.length > 0 && `, trusted with ${trusted.join(", ")}`}
          </div>
        )}
      </div>
      {canChange && (
        <TextField
          select
          size="small"
          className="circle-role"
          value={role}
          onChange={(event) => {
            const next = ROLES.find((one) => one === event.target.value);
            if (next !== undefined) void set({ role: next, trusted: [...trusted] });
          }}
          slotProps={{ select: { inputProps: { "aria-label": `What ${name} is` } } }}
        >
          {ROLES.map((one) => (
            <MenuItem key={one} value={one}>
              {ROLE_WORDS[one].name}
            </MenuItem>
          ))}
        </TextField>
      )}
      {canChange && role === "knows" && (
        <TextField
          size="small"
          className="circle-trusted"
          value={genera}
          placeholder="boletus, russula"
          onChange={(event) => setGenera(event.target.value)}
          onBlur={() => {
            if (generaIn(genera).join() !== trusted.join()) void set({ role, trusted: generaIn(genera) });
          }}
          slotProps={{ htmlInput: { "aria-label": `Genera that ${name} is trusted with`, maxLength: 400 } }}
        />
      )}
      {(canChange || isMe) && (
        <Button
          variant="quiet"
          className="circle-out"
          onClick={onLeave}
          aria-label={isMe ? "Leave this circle" : `Take ${name} out`}
        >
          {isMe ? "Leave" : "Take out"}
        </Button>
      )}
    </li>
  );
}
