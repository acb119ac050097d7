/** The history of a find: who changed what, when, the latest first; what the server has not heard of stands on top. */
import { type Change, changeWords } from "@jittery-cap/core";
import { ROUTES } from "@jittery-cap/core/api";
import { type ArchiveChange, KINDS, type Touch, touchSchemaOf } from "@jittery-cap/core/documents";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { valueOrNothing } from "../api/client.ts";
import { useSharedFind } from "../circles/use-shared.ts";
import { device } from "../documents/device.ts";
import { touchesKept } from "../documents/under-way.ts";
import { StandingDangers } from "../find/standing-dangers.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { ME } from "../people/here.ts";
import { useOpenFind } from "../session/session-context.tsx";

interface Line {
  readonly touch: Touch<Change>;
  readonly version: number | undefined;
}

const touchSchema = touchSchemaOf(KINDS.find);
/** A touch that can be read; one that cannot is left out of its history, not taken for another. */
const touchOf = (value: unknown): Touch<Change>[] => {
  const parsed = touchSchema.safeParse(value);
  return parsed.success ? [parsed.data] : [];
};
const PAGE = 100;

/** Who changed what, latest first, a page behind a version; undefined where the server cannot be reached. */
async function readPage(id: string, before: number | undefined) {
  const reply = await valueOrNothing(ROUTES.readTouches, {
    params: { id },
    query: { limit: PAGE, ...(before === undefined ? {} : { before }) },
  });
  return reply === undefined
    ? undefined
    : {
        more: reply.more,
        authors: reply.authors,
        lines: reply.touches.flatMap(({ touch, version }) => touchOf(touch).map((one) => ({ touch: one, version }))),
      };
}

async function waitingTouches(id: string): Promise<Touch<Change>[]> {
  await touchesKept();
  return (await device.queue.where("documentId").equals(id).sortBy("order")).flatMap((one) => touchOf(one.touch));
}

export function HistoryView() {
  const find = useOpenFind();
  const { id } = find;
  const isAnothers = useSharedFind(id) !== undefined;
  const [heard, setHeard] = useState<Awaited<ReturnType<typeof readPage>> | "unreachable">();
  const [waiting, setWaiting] = useState<readonly Touch<Change>[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a change of the record is a new line of its history
  useEffect(() => {
    void readPage(id, undefined).then((page) => setHeard(page ?? "unreachable"));
    void waitingTouches(id).then(setWaiting);
  }, [id, find]);
  const page = heard === undefined || heard === "unreachable" ? undefined : heard;
  const known = page?.lines ?? [];
  const lines: Line[] = [
    ...waiting
      .filter((touch) => known.every((line) => line.touch.id !== touch.id))
      .map((touch) => ({ touch, version: undefined }))
      .reverse(),
    ...known,
  ];
  const earlier = async () => {
    const next = await readPage(id, known.at(-1)?.version);
    if (next !== undefined)
      setHeard({
        more: next.more,
        lines: [...known, ...next.lines],
        authors: { ...page?.authors, ...next.authors },
      });
  };
  return (
    <SplitCard
      light={
        <>
          <Trail />
          <div className="page flat">
            <Typography variant="h2" component="h1">
              History of {find.label ?? "this find"}
            </Typography>
            <Typography className="soft">
              {heard === "unreachable"
                ? "The server cannot be reached; shown is what this device has not sent yet."
                : `${page?.more === true ? "The latest " : ""}${lines.length} ${lines.length === 1 ? "change" : "changes"}, the latest first.`}{" "}
              <Link to={findPath(id)}>Back to the find</Link>
            </Typography>
          </div>
          <ol aria-label="Changes, latest first" className="lines scroll line">
            {lines.map((line) => (
              <HistoryItem
                key={line.touch.id}
                line={line}
                all={lines}
                authors={page?.authors ?? {}}
                isAnothers={isAnothers}
              />
            ))}
            {page?.more === true && (
              <li className="log-end">
                <Button onClick={() => void earlier()}>Earlier changes</Button>
              </li>
            )}
            {lines.length === 0 && heard !== undefined && (
              <li className="log-end">Recorded in one piece; nothing was changed since.</li>
            )}
          </ol>
        </>
      }
      dark={<StandingDangers />}
    />
  );
}

const wordsOf = (change: Change | ArchiveChange): string =>
  change.kind === "archive" ? "put away" : change.kind === "restore" ? "brought back" : changeWords(change);

interface HistoryItemProps {
  readonly line: Line;
  readonly all: readonly Line[];
  /** What those are called who changed it. */
  readonly authors: Readonly<Record<string, string>>;
  readonly isAnothers: boolean;
}

function HistoryItem({ line, all, authors, isAnothers }: HistoryItemProps) {
  const { touch, version } = line;
  const isTakenBack = all.some((other) => other.touch.undoes === touch.id);
  const kind = touch.undoes !== undefined ? "undone: " : touch.redoes !== undefined ? "done again: " : "";
  const by = touch.changes.flatMap((change) => ("by" in change && change.by !== undefined ? [change.by] : []))[0];
  const isOwn = touch.by === ME && !isAnothers;
  const who = by !== undefined && by !== touch.by ? by : isOwn ? "the finder" : (authors[touch.by] ?? "somebody");
  return (
    <li className="line history">
      <time dateTime={touch.at} className="soft small">
        {new Date(touch.at).toLocaleString([], {
          day: "numeric",
          month: "short",
          hour: "2-digit",
          minute: "2-digit",
          second: "2-digit",
        })}
      </time>
      <span className={isTakenBack ? "history-back" : "strong"}>
        {kind}
        {touch.changes.map(wordsOf).join("; ")}
      </span>
      <div className="soft small">
        {who} · {version === undefined ? "on this device only" : `version ${version}`}
      </div>
    </li>
  );
}
