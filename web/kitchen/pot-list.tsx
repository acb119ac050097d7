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
        {lines.map((line) => {
          const item = meal.items.find((one) => itemKey(one) === line.key);
          const others = meal.items.filter((one) => itemKey(one) !== line.key);
          // conditions are ticked on the dark half, together for a find
          const here = line.missing.filter(({ code }) => code !== "condition");
          const conditions = line.missing.length - here.length;
          return (
            <li
              key={line.key}
              className="line pot-line"
              data-pot={line.key}
              data-in={item !== undefined && line.missing.length === 0}
            >
              <BodyPicture decision={line.decision} body={line.item?.body ?? line.key.split(" ")[1] ?? ""} />
              <div className="grow">
                {line.decision === undefined ? (
                  <span className="strong">{line.name}</span>
                ) : (
                  <Link component={RouterLink} to={findPath(line.decision.find.id, "decide")} className="strong">
                    {line.name}
                  </Link>
                )}
                {item !== undefined && line.missing.length === 0 && <div className="small">in the pot</div>}
                {item === undefined && <div className="soft small">not for this meal</div>}
                {item !== undefined &&
                  here.map(({ code, text }) => (
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
                {item !== undefined && conditions > 0 && (
                  <div className="stands small">
                    {conditions} {conditions === 1 ? "condition" : "conditions"} still open
                  </div>
                )}
                {line.keepsUntil !== undefined && (
                  <div className="soft small">
                    keeps until{" "}
                    {new Date(line.keepsUntil).toLocaleString([], {
                      weekday: "short",
                      day: "numeric",
                      month: "short",
                      hour: "2-digit",
                    })}
                  </div>
                )}
              </div>
              {item !== undefined && (
                <WeightField
                  label={item.batch === undefined ? `Cleaned weight of ${line.name}` : `Out of ${line.name}`}
                  grams={item.cleanedGrams ?? item.grams}
                  onSet={(grams) =>
                    set([...others, item.batch === undefined ? { ...item, cleanedGrams: grams } : { ...item, grams }])
                  }
                />
              )}
              {item !== undefined ? (
                <Button variant="quiet" onClick={() => set(others)} aria-label={`Leave ${line.name} out`}>
                  leave out
                </Button>
              ) : (
                <Button
                  disabled={line.item === undefined || meal.begun !== undefined}
                  aria-label={`Put ${line.name} in`}
                  onClick={() => line.item !== undefined && set([...others, line.item])}
                >
                  put in
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
