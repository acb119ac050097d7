/** So much of a jar leaves the store: cooked, given away, thrown away. */
import { type Batch, TAKING_WORDS, TAKINGS, type Taking } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { useState } from "react";
import { WeightField } from "../basket/weight-field.tsx";
import { setFields } from "../documents/keep-fields.ts";

interface TakeOutProps {
  readonly id: string;
  readonly batch: Batch;
  readonly left: number;
  /** Called back or past its time: it is thrown away, or not touched. */
  readonly isBarred: boolean;
}

export function TakeOut({ id, batch, left, isBarred }: TakeOutProps) {
  const [isOpen, setOpen] = useState(false);
  const [grams, setGrams] = useState(left);
  if (!isOpen)
    return (
      <Button onClick={() => setOpen(true)} aria-label={`Take out of jar ${batch.code}`}>
        Take out
      </Button>
    );
  const take = (how: Taking) => {
    setOpen(false);
    void setFields("batch", id, {
      took: [...batch.took, { at: new Date().toISOString(), grams: Math.min(grams, left), how }],
    });
  };
  return (
    <>
      <WeightField label={`Out of jar ${batch.code}`} grams={grams} onSet={setGrams} />
      {TAKINGS.filter((how) => !isBarred || how === "thrown-away").map((how) => (
        <Button key={how} onClick={() => take(how)}>
          {TAKING_WORDS[how]}
        </Button>
      ))}
    </>
  );
}
