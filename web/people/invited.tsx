/** Links by which others join: each for one person, for two weeks. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useCallback, useEffect, useState } from "react";
import { uuidv7 } from "uuidv7";
import { ask, valueOrNothing } from "../api/client.ts";
import { linkTo } from "../base.ts";
import { Section } from "../layout/section.tsx";

type Row = ReplyOf<(typeof PEOPLE_ROUTES)["listInvitations"]>["invitations"][number];
const DAY = new Intl.DateTimeFormat(undefined, { dateStyle: "medium" });

const wordsOf = ({ usedBy, openUntil }: Row): string =>
  usedBy !== undefined
    ? `${usedBy} joined by it`
    : new Date(openUntil) > new Date()
      ? `open until ${DAY.format(new Date(openUntil))}`
      : "leads nowhere any more";

export function Invited() {
  const [rows, setRows] = useState<readonly Row[]>([]);
  const [note, setNote] = useState("");
  const [made, setMade] = useState<string>();
  const read = useCallback(async () => {
    setRows((await valueOrNothing(PEOPLE_ROUTES.listInvitations))?.invitations ?? []);
  }, []);
  useEffect(() => void read(), [read]);
  const make = async () => {
    const outcome = await ask(PEOPLE_ROUTES.invite, { body: { id: uuidv7(), note } });
    if (outcome.kind !== "ok") return;
    setMade(linkTo(`/join/${outcome.value.token}`));
    setNote("");
    await read();
  };
  return (
    <Section
      title="Invitations"
      about="You keep this server: nobody joins it but by a link of yours. Each is for one person."
    >
      <div className="actions">
        <TextField
          size="small"
          placeholder="for whom"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          slotProps={{ htmlInput: { "aria-label": "For whom the invitation is", maxLength: 120 } }}
        />
        <Button variant="outlined" onClick={() => void make()}>
          Make a link
        </Button>
      </div>
      {made !== undefined && (
        <p className="told-link">
          It is told this once: <a href={made}>{made}</a>
        </p>
      )}
      <ul className="lines">
        {rows.map((row) => (
          <li key={row.id} className="line around actions">
            <span className="grow">
              {row.note === "" ? "somebody" : row.note} <span className="soft small">{wordsOf(row)}</span>
            </span>
            {row.usedBy === undefined && new Date(row.openUntil) > new Date() && (
              <Button
                variant="quiet"
                onClick={() => void ask(PEOPLE_ROUTES.withdrawInvitation, { params: { id: row.id } }).then(read)}
              >
                Take back
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Section>
  );
}
