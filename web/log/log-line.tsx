/** One find in the log: drawn, with how it stands and what became of it. */
import type { Find } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { lazy, memo, Suspense } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import type { Kept } from "../documents/documents.ts";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";
import { outcomeWords } from "./find-lines.ts";
import { type FindStanding, useStanding } from "./use-standing.ts";

// the lines are read first, and then seen
const LogPicture = lazy(() => import("./log-picture.tsx").then((module) => ({ default: module.LogPicture })));

/** How tall a line is before it is drawn, px; it is as tall as what it says. */
export const LINE = 78;

interface LogLineProps {
  readonly find: Kept<"find">;
  readonly isOnDeviceOnly: boolean;
  /** Where it begins in the list, px. */
  readonly start: number;
  /** Its place in the list, and what has to hear how tall it is. */
  readonly index: number;
  readonly measure: (line: HTMLLIElement | null) => void;
  readonly onRemove: (find: Kept<"find">) => Promise<void>;
}

const STANDING_WORDS: Readonly<Record<FindStanding, string>> = {
  ...VERDICT_WORDS,
  working: "…",
  failed: "not judged: hold",
};

/** The browser's own words for dates take as long to be fetched as a tenth of the way to the first rows. */
const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "June", "July", "Aug", "Sept", "Oct", "Nov", "Dec"];
const dayWords = (day: Date): string => `${day.getDate()} ${MONTHS[day.getMonth()] ?? ""}`;

function aboutOf(find: Find): string {
  const day = find.foundAt === undefined ? undefined : dayWords(new Date(find.foundAt));
  const count = find.bodies.length === 1 ? "1 body" : `${find.bodies.length} bodies`;
  return [day, find.place?.name, count].filter((part) => part !== undefined).join(" · ");
}

export const LogLine = memo(function LogLine(props: LogLineProps) {
  const { find, isOnDeviceOnly, start, index, measure, onRemove } = props;
  const { content } = find;
  const standing = useStanding(find);
  const outcome = outcomeWords(content);
  const name = content.label ?? "not named yet";
  return (
    <li
      ref={measure}
      data-index={index}
      className="log-line"
      style={{ minHeight: LINE, transform: `translateY(${start}px)` }}
      data-find={find.id}
    >
      <Link to={findPath(find.id)} className="log-find" title={name}>
        <span className="log-picture">
          <Suspense fallback={null}>
            <LogPicture find={content} />
          </Suspense>
        </span>
        <span>
          <span className="log-name">{name}</span>
          <span className="log-about block-text">{aboutOf(content)}</span>
        </span>
        <span className="log-standing">
          {STANDING_WORDS[standing]}
          {(outcome !== undefined || isOnDeviceOnly) && (
            <span className="log-about block-text plain">
              {isOnDeviceOnly ? "changes on this device only" : outcome}
            </span>
          )}
        </span>
      </Link>
      <Button variant="quiet" className="small" aria-label={`put away ${name}`} onClick={() => void onRemove(find)}>
        put away
      </Button>
    </li>
  );
});
