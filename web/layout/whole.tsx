/** The whole: the view that is open, and on a phone the first level along the foot of the screen. */
import LinearProgress from "@mui/material/LinearProgress";
import { lazy, Suspense, useEffect } from "react";
import { Outlet, useMatch, useNavigation } from "react-router";
import { STOPS } from "../addresses.ts";
import { keepSettings } from "../documents/settings.ts";
import { keepMatching } from "../documents/sync.ts";
import { IllStop } from "./ill-stop.tsx";
import { MoreMenu } from "./more-menu.tsx";
import { Stops } from "./stops.tsx";

const NewVersion = lazy(() => import("../new-version.tsx").then((module) => ({ default: module.NewVersion })));
const PrintReminder = lazy(() =>
  import("../field-tests/print-reminder.tsx").then((module) => ({ default: module.PrintReminder })),
);
const OutingKeeper = lazy(() => import("../outing/keeper.tsx").then((module) => ({ default: module.OutingKeeper })));

export function Whole() {
  const { state } = useNavigation();
  const isPacket = useMatch("/packet/:token") !== null;
  const isRound = useMatch("/round/:token") !== null;
  const isGuest = useMatch("/place/:token") !== null || isPacket || isRound;
  // whoever has a link sees what is behind it: nothing of the finder's is fetched beside it
  useEffect(() => (isGuest ? undefined : keepMatching()), [isGuest]);
  useEffect(() => (isGuest ? undefined : keepSettings()), [isGuest]);
  const isRunning = useMatch("/finds/:id/run") !== null;
  return (
    <div className="whole">
      {state === "loading" && <LinearProgress aria-label="Fetching the view" className="whole-loading" />}
      {/* what speaks up by itself comes after the view that was asked for */}
      <Suspense fallback={null}>
        <NewVersion />
        {!isGuest && <PrintReminder />}
        {!isGuest && <OutingKeeper />}
      </Suspense>
      <div className="whole-view">
        <Outlet />
      </div>
      {!isGuest && !isRunning && (
        <div className="whole-foot">
          <Stops label="The trail" stops={STOPS} />
          <IllStop />
          <MoreMenu />
        </div>
      )}
    </div>
  );
}
