/** A date to come back: what was met then, or that nobody comes back for it. */
import { REMINDER_WORDS } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import { findPath, placePath } from "../addresses.ts";
import type { Kept } from "../documents/documents.ts";
import { setFields } from "../documents/keep-fields.ts";
import { NumberField } from "../layout/number-field.tsx";
import { dayWords, spanWords } from "../season/local-day.ts";
import type { Season } from "../season/use-season.ts";

export function OneDate({ one, season }: { readonly one: Kept<"reminder">; readonly season: Season }) {
  const { kind, what, from, to, find, place, left } = one.content;
  const [sizeCm, setSizeCm] = useState<number>();
  const where = season.places.find(({ id }) => id === place);
  const isLate = to < season.today;
  const came = (size: number | undefined) =>
    setFields("reminder", one.id, {
      came: { at: new Date().toISOString(), ...(size === undefined ? {} : { sizeCm: size }) },
    });
  return (
    <div className="return-line" data-reminder={kind}>
      <time dateTime={from} className={isLate ? "stands" : ""}>
        {dayWords(from).split(" ").slice(1).join(" ")}
      </time>
      <span>
        {find === undefined ? (
          <b>{what}</b>
        ) : (
          <Link to={findPath(find)} className="strong">
            {what}
          </Link>
        )}
        <span className="soft small block-text">
          {REMINDER_WORDS[kind]}, {spanWords(from, to, season.today)}
          {isLate && ": past its days"}
          {left !== undefined && `; ${left.sizeCm} cm then`}
        </span>
        {where !== undefined && <Link to={placePath(where.id)}>{where.content.name}</Link>}
      </span>
      <span className="actions">
        {left !== undefined && (
          <NumberField
            label={`How large ${what} is now`}
            unit="cm"
            value={sizeCm}
            onSet={(value) => setSizeCm(value === null || value <= 0 ? undefined : value)}
          />
        )}
        <Button onClick={() => void came(sizeCm)}>
          {left !== undefined && sizeCm === undefined ? "It is gone" : "Came back"}
        </Button>
        <Button
          variant="quiet"
          onClick={() => void setFields("reminder", one.id, { droppedAt: new Date().toISOString() })}
        >
          Let it go
        </Button>
      </span>
    </div>
  );
}
