/** What was eaten and when: told in a sentence, with its time; nothing that was told is edited away. */
import type { LoggedMeal } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { useAccount } from "./account-store.ts";
import { FromTheLog } from "./from-the-log.tsx";
import { localInput } from "./moments.ts";

export function Eaten({ logged }: { readonly logged: readonly LoggedMeal[] }) {
  const tell = useAccount((state) => state.tell);
  const [what, setWhat] = useState("");
  const [at, setAt] = useState(() => localInput(new Date()));
  const [isRefused, setRefused] = useState(false);
  const eatenAt = new Date(at);
  const canTell = what.trim() !== "" && !Number.isNaN(eatenAt.getTime());
  return (
    <section aria-labelledby="eaten">
      <h2 id="eaten">What was eaten, and when</h2>
      <FromTheLog logged={logged} />
      <div className="ill-fields">
        <TextField
          label="What, how much, how cooked, alcohol"
          value={what}
          multiline
          fullWidth
          onChange={(event) => setWhat(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 400 } }}
        />
        <TextField
          label="Eaten at"
          type="datetime-local"
          value={at}
          onChange={(event) => setAt(event.target.value)}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <Button
          variant="contained"
          size="large"
          disabled={!canTell}
          onClick={() => {
            const isTold = tell({ kind: "meal", eatenAt: eatenAt.toISOString(), what: what.trim() });
            setRefused(!isTold);
            if (isTold) setWhat("");
          }}
        >
          Write it down
        </Button>
        <Unknown />
        {isRefused && <p role="alert">Not written down: the time is none that a calendar has. Set it right.</p>}
      </div>
    </section>
  );
}

/** A child or a dog ate something nobody knows: what is left of it is recorded as far as it can be, by anybody. */
function Unknown() {
  const navigate = useNavigate();
  const [isFailed, setFailed] = useState(false);
  const record = async () => {
    try {
      // the log may be broken: nothing else here waits for it
      const { beginFind } = await import("../session/begin-find.ts");
      await navigate(findPath(await beginFind("eaten by somebody, unknown")));
    } catch {
      setFailed(true);
    }
  };
  return (
    <>
      <Button size="large" onClick={() => void record()}>
        A child or a dog ate something unknown: record what is left of it
      </Button>
      {isFailed && <p role="alert">It cannot be recorded here now. Keep what is left of it, and take it along.</p>}
    </>
  );
}
