/** Every body and jar that could come to the pot: in it or not, how much, and what it lacks. */
import type { Meal, PotItem } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { WeightField } from "../basket/weight-field.tsx";
import { setFields } from "../documents/keep-fields.ts";
import { BodyPicture } from "./body-picture.tsx";
import { itemKey, type PotLine } from "./pot-lines.ts";

interface PotListProps {
  readonly id: string;
  readonly meal: Meal;
  readonly lines: readonly PotLine[];
}

const KEEPS_UNTIL = { weekday: "short", day: "numeric", month: "short", hour: "2-digit" } as const;

export function PotList({ id, meal, lines }: PotListProps) {
  const [fault, setFault] = useState<string>();
  const set = (items: readonly PotItem[]) => void setFields("meal", id, { items: [...items] }).then(setFault);
  if (lines.length === 0) return <p>Nothing lies in the basket or in the store.</p>;
  return (
    <>
      {fault !== undefined && (
        <p role="alert" className="stands">
          Not taken: {fault}
        </p>
      )}
      <ul className="lines">
        {lines.map((line) => (
          <Line key={line.key} line={line} meal={meal} onItems={set} />
        ))}
      </ul>
    </>
  );
}

interface LineProps {
  readonly line: PotLine;
  readonly meal: Meal;
  readonly onItems: (items: readonly PotItem[]) => void;
}

function Line({ line, meal, onItems }: LineProps) {
  const item = meal.items.find((one) => itemKey(one) === line.key);
  const others = meal.items.filter((one) => itemKey(one) !== line.key);
  return (
    <li className="line pot-line" data-pot={line.key} data-in={item !== undefined && line.missing.length === 0}>
      <BodyPicture decision={line.decision} body={line.item?.body ?? line.key.split(" ")[1] ?? ""} />
      <div className="grow">
        {line.decision === undefined ? (
          <span className="strong">{line.name}</span>
        ) : (
          <Link component={RouterLink} to={findPath(line.decision.find.id, "decide")} className="strong">
            {line.name}
          </Link>
        )}
        {item === undefined ? <div className="soft small">not for this meal</div> : <Missing line={line} />}
        {line.keepsUntil !== undefined && (
          <div className="soft small">keeps until {new Date(line.keepsUntil).toLocaleString([], KEEPS_UNTIL)}</div>
        )}
      </div>
      {item === undefined ? (
        <Button
          disabled={line.item === undefined || meal.begun !== undefined}
          aria-label={`Put ${line.name} in`}
          onClick={() => line.item !== undefined && onItems([...others, line.item])}
        >
          put in
        </Button>
      ) : (
        <>
          <WeightField
            label={item.batch === undefined ? `Cleaned weight of ${line.name}` : `Out of ${line.name}`}
            grams={item.cleanedGrams ?? item.grams}
            onSet={(grams) =>
              onItems([...others, item.batch === undefined ? { ...item, cleanedGrams: grams } : { ...item, grams }])
            }
          />
          <Button variant="quiet" onClick={() => onItems(others)} aria-label={`Leave ${line.name} out`}>
            leave out
          </Button>
        </>
      )}
    </li>
  );
}

/** What keeps it out of the pot; conditions are ticked on the dark half, together for a find. */
function Missing({ line: { missing } }: Pick<LineProps, "line">) {
  if (missing.length === 0) return <div className="small">in the pot</div>;
  const here = missing.filter(({ code }) => code !== "condition");
  const conditions = missing.length - here.length;
  return (
    <>
      {here.map(({ code, text }) => (
        <div key={code + text} className="stands small">
          {text}
          {code === "unsorted" && (
            <>
              {" "}
              <Link component={RouterLink} to="/kitchen/table">
                Look at it
              </Link>
            </>
          )}
        </div>
      ))}
      {conditions > 0 && (
        <div className="stands small">
          {conditions} {conditions === 1 ? "condition" : "conditions"} still open
        </div>
      )}
    </>
  );
}
