/** What is felt, by whom and since when: a touch writes it down with the time. */
import { FELT } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useAccount } from "./account-store.ts";
import { localInput } from "./moments.ts";

export function Felt() {
  const tell = useAccount((state) => state.tell);
  const [who, setWho] = useState("");
  const [since, setSince] = useState("");
  const sinceAt = since === "" ? new Date() : new Date(since);
  const felt = (what: string) => {
    const now = new Date();
    const at = Number.isNaN(sinceAt.getTime()) ? now : sinceAt;
    const one = { kind: "felt", who: who.trim(), what } as const;
    // a time that no calendar has holds nothing up: it is written down as of now
    if (!tell({ ...one, since: at.toISOString() })) tell({ ...one, since: now.toISOString() });
  };
  return (
    <section aria-labelledby="felt">
      <h2 id="felt">What is felt</h2>
      <p>One touch for each thing, for each person. It is written down with its time.</p>
      <div className="ill-fields">
        <TextField
          label="Who"
          value={who}
          onChange={(event) => setWho(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        <TextField
          label="Since (now, if left empty)"
          type="datetime-local"
          value={since}
          onChange={(event) => setSince(event.target.value)}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { max: localInput(new Date()) } }}
        />
      </div>
      <div className="ill-felt">
        {FELT.map((what) => (
          <Button key={what} size="large" onClick={() => felt(what)}>
            {what}
          </Button>
        ))}
      </div>
    </section>
  );
}
