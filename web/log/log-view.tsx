/** Finds: every find with how it stands by today's sheets and what became of it, and a new one at one touch. */

import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useLiveQuery } from "dexie-react-hooks";
import { lazy, Suspense, useCallback, useDeferredValue, useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { usePreferences } from "../device/preferences.ts";
import { type Kept, setArchived } from "../documents/documents.ts";
import { useSync } from "../documents/sync.ts";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { beginFind } from "../session/begin-find.ts";
import { EVERYTHING, logPage } from "./find-lines.ts";
import type { Begun } from "./first-evening.tsx";
import { LogDark } from "./log-dark.tsx";

// the finds come before what they can be searched by
const LogAsked = lazy(() => import("./log-asked.tsx").then((module) => ({ default: module.LogAsked })));
// and before what is told beside them
const notesModule = () => import("./log-notes.tsx");
const LogNotes = lazy(() => notesModule().then((module) => ({ default: module.LogNotes })));
const LogNotesLow = lazy(() => notesModule().then((module) => ({ default: module.LogNotesLow })));
// who has no finds yet waits for no rows, and who has some for no first evening
const FirstEvening = lazy(() => import("./first-evening.tsx").then((module) => ({ default: module.FirstEvening })));

type Lines = typeof import("./log-lines.tsx");
// fetched while this view is made and the finds are looked up
const linesToCome = import("./log-lines.tsx");
// that it did not come is heard where it is drawn
linesToCome.catch(() => undefined);
let linesThere: Lines | undefined;

/** How lines are drawn, as soon as it is there: what is suspended is shown up to 300 ms after it could be. */
function useLines(): Lines | undefined {
  const [lines, setLines] = useState(linesThere);
  useEffect(() => {
    linesToCome.then(
      (module) => {
        linesThere = module;
        setLines(module);
      },
      (error: unknown) =>
        setLines(() => {
          throw error;
        }),
    );
  }, []);
  return lines;
}

/** Finds that are read at first, as many as a tall screen shows; twice as many each time the list comes near its end. */
const PAGE = 24;
const ASKED_TO_COME = <div className="log-asked log-asked-to-come" />;
const LOOKING = <p className="log-end">Looking for your finds.</p>;

export function LogView() {
  const navigate = useNavigate();
  const sync = useSync();
  const prefer = usePreferences((state) => state.prefer);
  const [query, setQuery] = useState(EVERYTHING);
  const asked = useDeferredValue(query);
  const [most, setMost] = useState(PAGE);
  const page = useLiveQuery(() => logPage(asked, most), [asked, most]);
  const lines = useLines();
  const [removed, setRemoved] = useState<Kept<"find">>();
  const [refusal, setRefusal] = useState<string>();
  // a device that has never heard from the server does not know that there are no finds
  const isKnown = page !== undefined && (sync.hasPulled || sync.state === "unreachable" || page.rows.length > 0);
  const [hasLines, setHasLines] = useState(false);
  const isDrawn = isKnown && (lines !== undefined || page.rows.length === 0);
  // what the finds can be searched by and what is told beside them is fetched once they are drawn
  useEffect(() => {
    if (isDrawn) setHasLines(true);
  }, [isDrawn]);
  const begin = async ({ isLed, specimen }: Begun) => {
    const id = await beginFind(specimen);
    if (isLed) prefer({ ledFind: id, ledOnSpecimen: specimen !== undefined });
    await navigate(findPath(id, "record", "bodies"));
  };
  const putAway = useCallback(async (find: Kept<"find">) => {
    setRefusal(undefined);
    const isKept = await setArchived("find", find.id, true).catch(() => false);
    if (isKept) setRemoved(find);
    else setRefusal(`“${find.content.label ?? "A find"}” is not put away: this device could not keep it.`);
  }, []);
  const bringBack = async (find: Kept<"find">) => {
    const isKept = await setArchived("find", find.id, false).catch(() => false);
    if (isKept) setRemoved(undefined);
    else setRefusal(`“${find.content.label ?? "A find"}” is still put away: this device could not bring it back.`);
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
            <Button variant="contained" size="large" onClick={() => void begin({ isLed: false })}>
              New find
            </Button>
          </div>
          <Suspense fallback={ASKED_TO_COME}>
            {hasLines ? (
              <LogAsked
                query={query}
                onAsk={(next) => {
                  setQuery(next);
                  setMost(PAGE);
                }}
              />
            ) : (
              ASKED_TO_COME
            )}
          </Suspense>
          <Suspense fallback={null}>
            {hasLines && <LogNotes isAway={sync.state === "unreachable"} refusal={refusal} />}
          </Suspense>
          <Suspense fallback={LOOKING}>
            {!isKnown || (page.rows.length > 0 && lines === undefined) ? (
              LOOKING
            ) : lines !== undefined && page.rows.length > 0 ? (
              <lines.LogLines
                page={page}
                onMore={(shown) => setMost((before) => Math.max(before, 2 * shown))}
                onRemove={putAway}
              />
            ) : asked === EVERYTHING ? (
              <FirstEvening onBegin={(begun) => void begin(begun)} isServerUnknown={!sync.hasPulled} />
            ) : (
              <p className="log-end">No find on this device is like that.</p>
            )}
          </Suspense>
          {/* below the lines, which must not move under a thumb when one of these comes or goes */}
          <Suspense fallback={null}>
            {hasLines && (
              <LogNotesLow
                waiting={page?.waiting ?? 0}
                removed={removed}
                onBringBack={(find) => void bringBack(find)}
              />
            )}
          </Suspense>
        </>
      }
      dark={<LogDark isKnown={isKnown} />}
    />
  );
}
