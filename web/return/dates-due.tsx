/** Dates to come back that are due, and the outing that is under way, as the finds' dark half says them. */
import { isDue, isUnderWay } from "@jittery-cap/core/season";
import { useLiveQuery } from "dexie-react-hooks";
import { Link } from "react-router";
import { isReadable, listKept } from "../documents/documents.ts";
import { keptOutings } from "../outing/track-store.ts";
import { dayOf, spanWords } from "../season/local-day.ts";

const SHOWN = 3;

export function DatesDue() {
  const today = dayOf(Date.now());
  const told = useLiveQuery(async () => {
    const now = Date.now();
    const reminders = (await listKept("reminder", Number.POSITIVE_INFINITY)).filter(isReadable);
    return {
      due: reminders.filter(({ content }) => isDue(content) && content.from <= dayOf(now)),
      isOut: (await keptOutings()).some(({ content }) => isUnderWay(content, now)),
    };
  });
  if (told === undefined || (told.due.length === 0 && !told.isOut)) return null;
  return (
    <ul className="log-open">
      {told.isOut && (
        <li>
          <Link to="/outing/now">
            <b>An outing is under way</b>
            <span className="soft small">what is found now belongs to it</span>
          </Link>
        </li>
      )}
      {told.due.slice(0, SHOWN).map(({ id, content: { what, from, to } }) => (
        <li key={id}>
          <Link to="/season/return">
            <b>{what}</b>
            <span className="soft small">to come back to, {spanWords(from, to, today)}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
