/** One body in the basket: drawn, with what has still to come off, its weight, and the ways out. */
import {
  type Carried,
  type Change,
  ENDING_WORDS,
  isInvented,
  PARTINGS,
  type Parting,
  TAKEN_BACK_WORDS,
  wordList,
} from "@jittery-cap/core";
import { ROUTES } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { valueOrNothing } from "../api/client.ts";
import type { ShownDecision } from "../documents/decisions.ts";
import { keepTouch, touchNow } from "../documents/documents.ts";
import { BodyPicture } from "../kitchen/body-picture.tsx";
import { WeightField } from "./weight-field.tsx";

const PARTING_WORDS: Readonly<Record<Parting, string>> = {
  emptied: "emptied into the kitchen",
  "given-away": "given away",
  "thrown-away": "thrown away",
};

interface CarriedLineProps {
  readonly carried: Carried;
  /** The decision by which it is carried. */
  readonly decision: ShownDecision | undefined;
}

export function CarriedLine({ carried, decision }: CarriedLineProps) {
  const { find, label, body, ending, weightG, takenBack, off, toComeOff } = carried;
  const [at, setAt] = useState<HTMLElement | null>(null);
  const now = decision?.current?.bodies.find((one) => one.id === body);
  const touch = (change: Change) => void keepTouch("find", find, touchNow([change]));
  const weigh = (grams: number) =>
    touch({ kind: "set-body", body, field: "measures", value: { ...now?.measures, weightG: grams } });
  const part = (how: Parting) => {
    setAt(null);
    touch({ kind: "set-body", body, field: "parted", value: { how, at: new Date().toISOString() } });
  };
  const askScale = async () => {
    const capCm = now?.measures?.capCm;
    const read = await valueOrNothing(ROUTES.simulatedScale, { query: capCm === undefined ? {} : { capCm } });
    if (read !== undefined) weigh(read.grams);
  };
  return (
    <li data-carried={`${find} ${body}`} className="line carried">
      <BodyPicture decision={decision} body={body} />
      <div className="carried-words">
        <Link component={RouterLink} to={findPath(find, "decide")} className="strong">
          {body} of {label}
        </Link>
        <div className={takenBack === undefined ? "soft small" : "stands small"}>
          {takenBack === undefined ? ENDING_WORDS[ending] : TAKEN_BACK_WORDS[takenBack]}
          {off.length > 0 && takenBack === undefined ? ` · ${wordList([...off], "and")} off` : ""}
        </div>
        {toComeOff.length > 0 && (
          <div className="stands small">still to come off: {wordList([...toComeOff], "and")}</div>
        )}
      </div>
      {now !== undefined && (
        <>
          <WeightField label={`Weight of ${body} of ${label}`} grams={weightG} onSet={weigh} />
          {isInvented(find) && <Button onClick={() => void askScale()}>Weigh (simulated)</Button>}
          <Button variant="quiet" aria-haspopup="menu" onClick={(event) => setAt(event.currentTarget)}>
            out of the basket
          </Button>
          <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
            {PARTINGS.map((how) => (
              <MenuItem key={how} onClick={() => part(how)}>
                {PARTING_WORDS[how]}
              </MenuItem>
            ))}
          </Menu>
        </>
      )}
    </li>
  );
}
