/** A tasting that goes on: the raw one, what is asked before a portion, the portion, and what is felt. */
import {
  portionRefused,
  READY,
  READY_WORDS,
  type Ready,
  TASTING_STEPS,
  type Tasting,
  type TastingStage,
} from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { setFields } from "../documents/keep-fields.ts";

interface UnderWayProps {
  readonly id: string;
  readonly tasting: Tasting;
  readonly stage: TastingStage;
  readonly isCleared: boolean;
}

export function TastingUnderWay({ id, tasting, stage, isCleared }: UnderWayProps) {
  const [ready, setReady] = useState<readonly Ready[]>([]);
  const [felt, setFelt] = useState("");
  const [where, setWhere] = useState("");
  const refused = portionRefused(stage, ready);
  const now = () => new Date().toISOString();
  const have = async () => {
    const step = TASTING_STEPS[tasting.portions.length];
    if (step === undefined || refused !== undefined || !isCleared) return;
    await setFields("tasting", id, { portions: [...tasting.portions, { at: now(), grams: step.grams }] });
    setReady([]);
  };
  return (
    <>
      {stage.kind === "keep-raw" && (
        <div className="actions">
          <TextField
            label="Where the raw one is kept"
            sx={{ minWidth: 280 }}
            value={where}
            onChange={(event) => setWhere(event.target.value)}
          />
          <Button
            disabled={where.trim() === ""}
            onClick={() => void setFields("tasting", id, { raw: { where: where.trim(), at: now() } })}
          >
            Kept back
          </Button>
        </div>
      )}
      {stage.kind === "next" && isCleared && (
        <fieldset className="smell">
          <legend className="unseen">Before this portion</legend>
          {READY.map((one) => (
            <FormControlLabel
              key={one}
              label={READY_WORDS[one]}
              className="block-text"
              control={
                <Checkbox
                  checked={ready.includes(one)}
                  onChange={(event) =>
                    setReady(event.target.checked ? [...ready, one] : ready.filter((other) => other !== one))
                  }
                />
              }
            />
          ))}
          <Button variant="contained" size="large" disabled={refused !== undefined} onClick={() => void have()}>
            Had {TASTING_STEPS[stage.step]?.name} now
          </Button>
        </fieldset>
      )}
      <div className="actions above">
        <TextField label="Felt anything" value={felt} onChange={(event) => setFelt(event.target.value)} />
        <Button
          disabled={felt.trim() === ""}
          onClick={() => void setFields("tasting", id, { felt: [...tasting.felt, { at: now(), what: felt.trim() }] })}
        >
          Write it down: this ends it
        </Button>
        <Button variant="quiet" onClick={() => void setFields("tasting", id, { givenUpAt: now() })}>
          give it up
        </Button>
      </div>
    </>
  );
}
