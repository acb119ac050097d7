/** A body that may be put up: chosen or not, and what it lacks. */
import { CONDITION_WORDS } from "@jittery-cap/core";
import type { Missing } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { BodyPicture } from "./body-picture.tsx";
import type { PotLine } from "./pot-lines.ts";

interface PutUpLineProps {
  readonly line: PotLine;
  readonly isChosen: boolean;
  readonly onChoose: (isChosen: boolean) => void;
  readonly onTick: (condition: string) => void;
}

export function PutUpLine({ line, isChosen, onChoose, onTick }: PutUpLineProps) {
  return (
    <li className="line pot-line" data-put-up={line.key}>
      <BodyPicture decision={line.decision} body={line.item?.body ?? line.key.split(" ")[1] ?? ""} />
      <FormControlLabel
        className="grow"
        label={<b>{line.name}</b>}
        control={<Checkbox checked={isChosen} onChange={(event) => onChoose(event.target.checked)} />}
      />
      {isChosen && (
        <div className="stack">
          {line.missing.map((one) => (
            <MissingLine key={one.code + one.text} missing={one} onTick={onTick} />
          ))}
        </div>
      )}
    </li>
  );
}

function MissingLine({
  missing: { text, condition, byTick },
  onTick,
}: {
  readonly missing: Missing;
  readonly onTick: (condition: string) => void;
}) {
  return (
    <div className="stands small">
      {condition === undefined ? text : CONDITION_WORDS[condition]}{" "}
      {condition !== undefined && byTick === true && <Button onClick={() => onTick(condition)}>tick</Button>}
    </div>
  );
}
