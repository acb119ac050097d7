/** Finds: every find with how it stands by today's sheets and what became of it, and a new one at one touch. */

import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useVirtualizer } from "@tanstack/react-virtual";
import { useLiveQuery } from "dexie-react-hooks";
import { useDeferredValue, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { usePreferences } from "../device/preferences.ts";
import { isReadable, type Kept, setArchived } from "../documents/documents.ts";
import { useSync } from "../documents/sync.ts";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { beginFind } from "../session/begin-find.ts";
import { EVERYTHING, type LogPage, logPage } from "./find-lines.ts";
import { FirstEvening } from "./first-evening.tsx";
import { LogAsked } from "./log-asked.tsx";
import { LogDark } from "./log-dark.tsx";
import { LogLine } from "./log-line.tsx";

/** Finds that are read at once; more as the list is scrolled. */
const PAGE = 60;
/** How tall a line is before it is drawn, px; it is as tall as what it says. */
const LINE = 78;

export function LogView() {
  const navigate = useNavigate();
  const sync = useSync();
  const prefer = usePreferences((state) => state.prefer);
  const [query, setQuery] = useState(EVERYTHING);
  const asked = useDeferredValue(query);
  const [most, setMost] = useState(PAGE);
  const page = useLiveQuery(() => logPage(asked, most), [asked, most]);
  const [removed, setRemoved] = useState<Kept<"find">>();
  const [refusal, setRefusal] = useState<string>();
  // a device that has never heard from the server does not know that there are no finds
  const isKnown = page !== undefined && (sync.hasPulled || sync.state === "unreachable" || page.kept.length > 0);
  const begin = async (isLed: boolean) => {
    const id = await beginFind();
    if (isLed) prefer({ ledFind: id });
    await navigate(findPath(id, "record", "bodies"));
  };
  const putAway = async (find: Kept<"find">) => {
    setRefusal(undefined);
    const isKept = await setArchived("find", find.id, true).catch(() => false);
    if (isKept) setRemoved(find);
    else setRefusal(`“${find.content.label ?? "A find"}” is not put away: this device could not keep it.`);
  };
  return (
    <SplitCard
      darkFirst={false}
      light={
        <>
          <Trail />
          <div className="head">
            <Typography variant="h2" component="h1">
              Finds
            </Typography>
            <Button variant="contained" size="large" onClick={() => void begin(false)}>
              New find
            </Button>
          </div>
          <LogAsked
            query={query}
            onAsk={(next) => {
              setQuery(next);
              setMost(PAGE);
            }}
          />
          <div className="log-notes">
            {sync.state === "unreachable" && (
              <Alert severity="info" role="status">
                The server cannot be reached. Shown is what is on this device.
              </Alert>
            )}
            <Waiting count={page?.waiting ?? 0} />
            {refusal !== undefined && <Alert severity="error">{refusal}</Alert>}
            {removed !== undefined && (
              <Alert
                severity="info"
                role="status"
                action={
                  <Button
                    variant="quiet"
                    onClick={() => void setArchived("find", removed.id, false).then(() => setRemoved(undefined))}
                  >
                    Bring it back
                  </Button>
                }
              >
                “{removed.content.label ?? "A find"}” was put away.
              </Alert>
            )}
          </div>
          {isKnown ? (
            <Lines
              page={page}
              isAll={asked === EVERYTHING}
              onMore={() => setMost(most + PAGE)}
              onRemove={putAway}
              onBegin={(isLed) => void begin(isLed)}
              isServerUnknown={!sync.hasPulled}
            />
          ) : (
            <p className="log-end">Looking for your finds.</p>
          )}
        </>
      }
      dark={<LogDark isKnown={isKnown} />}
    />
  );
}

function Waiting({ count }: { readonly count: number }) {
  if (count === 0) return null;
  return (
    <Alert severity="info" role="status">
      {count === 1 ? "1 change" : `${count} changes`} on this device only; sent as soon as there is a server.
    </Alert>
  );
}

interface LinesProps {
  readonly page: LogPage;
  /** Whether nothing narrower than all finds was asked for. */
  readonly isAll: boolean;
  readonly onMore: () => void;
  readonly onRemove: (find: Kept<"find">) => Promise<void>;
  readonly onBegin: (isLed: boolean) => void;
  readonly isServerUnknown: boolean;
}

/** Only the lines on the screen are drawn, and only they are judged. */
function Lines({ page: { kept, more, queued }, isAll, onMore, onRemove, onBegin, isServerUnknown }: LinesProps) {
  const scroll = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: kept.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => LINE,
    overscan: 6,
    getItemKey: (index) => kept[index]?.id ?? index,
  });
  const shown = rows.getVirtualItems();
  const last = shown.at(-1)?.index ?? 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked when the last line comes into sight, and not when the asker changes
  useEffect(() => {
    if (more && last >= kept.length - 1) onMore();
  }, [more, last, kept.length]);
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls can be reached by keyboard
    <section ref={scroll} className="log-scroll" tabIndex={0} aria-label="Finds, latest first">
      <ul className="log-lines" style={{ height: rows.getTotalSize() }}>
        {shown.map(({ key, index, start }) => {
          const one = kept[index];
          const place = { minHeight: LINE, transform: `translateY(${start}px)` };
          if (one === undefined) return null;
          return isReadable(one) ? (
            <LogLine
              key={key}
              find={one}
              style={place}
              index={index}
              measure={rows.measureElement}
              isOnDeviceOnly={one.version === 0 || queued.has(one.id)}
              onRemove={() => void onRemove(one)}
            />
          ) : (
            <li key={key} ref={rows.measureElement} data-index={index} className="log-line log-end" style={place}>
              A find that this program cannot read. It is kept as it is: {one.id}
            </li>
          );
        })}
      </ul>
      {kept.length === 0 && isAll && <FirstEvening onBegin={onBegin} isServerUnknown={isServerUnknown} />}
      {kept.length === 0 && !isAll && <p className="log-end">No find on this device is like that.</p>}
    </section>
  );
}
