/** What was met at a patch: how many, how heavy, and what was left to grow on. */
import Button from "@mui/material/Button";
import { useState } from "react";
import { NumberField } from "../layout/number-field.tsx";
import { LeftToGrow } from "../outing/left-to-grow.tsx";

interface MetThereProps {
  readonly place: string;
  readonly patch: string;
  readonly onMet: (bodies: number, grams: number | undefined) => void;
}

export function MetThere({ place, patch, onMet }: MetThereProps) {
  const [bodies, setBodies] = useState<number>();
  const [grams, setGrams] = useState<number>();
  return (
    <div className="stack above">
      <div className="actions">
        <NumberField
          label="How many"
          unit="bodies"
          value={bodies}
          onSet={(value) => setBodies(value === null || value <= 0 ? undefined : Math.round(value))}
        />
        <NumberField
          label="How heavy"
          unit="g"
          value={grams}
          onSet={(value) => setGrams(value === null || value <= 0 ? undefined : value)}
        />
        <Button
          disabled={bodies === undefined}
          onClick={() => {
            if (bodies !== undefined) onMet(bodies, grams);
          }}
        >
          Write it down
        </Button>
      </div>
      <LeftToGrow place={place} patch={patch} />
    </div>
  );
}
