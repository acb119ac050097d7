/** The passkeys by which somebody signs in without a password. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { ask } from "../api/client.ts";
import { Section } from "../layout/section.tsx";
import { makePasskey } from "./passkey.ts";

type OwnPerson = ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>;

interface OwnPasskeysProps {
  readonly me: OwnPerson;
  readonly onChanged: (me: OwnPerson) => void;
  readonly onDropped: () => void;
}

const DAY = new Intl.DateTimeFormat(undefined, { dateStyle: "medium" });

export function OwnPasskeys({ me, onChanged, onDropped }: OwnPasskeysProps) {
  const [name, setName] = useState("");
  const [refusal, setRefusal] = useState<string>();
  const make = async () => {
    const outcome = await makePasskey(name.trim() === "" ? "this device" : name.trim());
    setRefusal(outcome.kind === "ok" ? undefined : outcome.kind === "refused" ? outcome.problem.detail : outcome.text);
    if (outcome.kind === "ok") {
      setName("");
      onChanged(outcome.value);
    }
  };
  const drop = async (id: string) => {
    await ask(PEOPLE_ROUTES.dropPasskey, { params: { id } });
    onDropped();
  };
  return (
    <Section title="Passkeys" about="A passkey is kept by your telephone or computer, and signs in without a password.">
      <ul className="lines">
        {me.passkeys.map((one) => (
          <li key={one.id} className="line around actions">
            <span className="grow">
              {one.name}
              <span className="soft small"> made {DAY.format(new Date(one.madeAt))}</span>
            </span>
            <Button variant="quiet" onClick={() => void drop(one.id)} aria-label={`Take back the passkey ${one.name}`}>
              Take back
            </Button>
          </li>
        ))}
      </ul>
      {refusal !== undefined && (
        <p role="alert" className="stands">
          {refusal}
        </p>
      )}
      <div className="actions people-actions">
        <TextField
          size="small"
          placeholder="this device"
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { "aria-label": "Name of the new passkey", maxLength: 60 } }}
        />
        <Button variant="outlined" onClick={() => void make()}>
          Make a passkey
        </Button>
      </div>
    </Section>
  );
}
