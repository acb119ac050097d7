/** The dark half of the log: what is open today, and what the program never does. */
import { type Find, laidPrints } from "@jittery-cap/core";
import { useLiveQuery } from "dexie-react-hooks";
import { lazy, Suspense } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { usePreferences } from "../device/preferences.ts";
import { FRESH_MS, openFinds } from "../field-tests/open-finds.ts";
import { stageWords } from "../field-tests/print-words.ts";
import { useNow } from "../field-tests/use-now.ts";

const TastingsDue = lazy(() =>
  import("../kitchen/tastings-due.tsx").then((module) => ({ default: module.TastingsDue })),
);

const DatesDue = lazy(() => import("../return/dates-due.tsx").then((module) => ({ default: module.DatesDue })));

const NAMED = 4;

interface Open {
  readonly key: string;
  readonly to: string;
  readonly what: string;
  readonly about: string;
}

/** Prints that wait to be read, then finds of the last days that nobody has decided. */
export function openToday(finds: readonly Find[], now: Date): readonly Open[] {
  const prints = finds
    .flatMap((find) => laidPrints(find, now))
    .filter((print) => print.stage !== "read")
    .map((print) => ({
      key: `${print.find} ${print.body}`,
      to: findPath(print.find, "tests", "prints"),
      what: `A print of ${print.label ?? "a find without a name"}`,
      about: stageWords(print, now),
    }));
  const undecided = finds
    .filter((find) => find.foundAt !== undefined && now.getTime() - Date.parse(find.foundAt) < FRESH_MS)
    .filter((find) => find.bodies.every((body) => body.ending === undefined))
    .map((find) => ({
      key: find.id,
      to: findPath(find.id, "decide"),
      what: find.label ?? "A find without a name",
      about: "not decided yet",
    }));
  return [...prints, ...undecided];
}

export function LogDark({ isKnown }: { readonly isKnown: boolean }) {
  const now = useNow();
  // the lines of the log come first: this looks through hundreds
  const finds = useLiveQuery(() => (isKnown ? openFinds() : undefined), [isKnown]);
  const hasNumbers = usePreferences((state) => state.emergency !== "");
  const open = finds === undefined || !isKnown ? undefined : openToday(finds, now);
  return (
    <div className="dark-page scroll log-dark">
      <h2 className="section-title large">Open today</h2>
      {open === undefined && <p className="soft">Not known yet.</p>}
      {open?.length === 0 && <p className="soft">No print lies under its cup, and no find of the last days waits.</p>}
      <ul className="log-open">
        {open?.slice(0, NAMED).map(({ key, to, what, about }) => (
          <li key={key}>
            <Link to={to}>
              <b>{what}</b>
              <span className="soft small">{about}</span>
            </Link>
          </li>
        ))}
      </ul>
      <Suspense fallback={null}>
        <TastingsDue />
        <DatesDue />
      </Suspense>
      {!hasNumbers && (
        <p>
          <Link to="/ill" className="log-numbers">
            Whom to call when somebody is ill: no number is entered on this device yet
          </Link>
        </p>
      )}
      {open !== undefined && open.length > NAMED && <p className="soft">{open.length - NAMED} more.</p>}
      <p className="soft above-3 log-dark-only-desk">
        This counts how many separate mistakes away each danger is. It never says that anything may be eaten. Show what
        you keep to somebody who knows it, with the specimen in hand; ask a poison centre at once when somebody is ill;
        the law of the place is yours to know.
      </p>
    </div>
  );
}
