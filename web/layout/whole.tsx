/** The whole: the view that is open, and on a phone the first level along the foot of the screen. */
import LinearProgress from "@mui/material/LinearProgress";
import Dexie from "dexie";
import { lazy, Suspense, useEffect } from "react";
import { Outlet, useMatch, useNavigation } from "react-router";
import { STOPS } from "../addresses.ts";
import { device, SHARED_MARK, STORE_OF_BOXES } from "../documents/device.ts";
import { keepSettings } from "../documents/settings.ts";
import { keepMatching } from "../documents/sync.ts";
import { keepHere, useHere } from "../people/here.ts";
import { IllStop } from "./ill-stop.tsx";
import { MoreMenu } from "./more-menu.tsx";
import { Stops } from "./stops.tsx";

const NewVersion = lazy(() => import("../new-version.tsx").then((module) => ({ default: module.NewVersion })));
const PrintReminder = lazy(() =>
  import("../field-tests/print-reminder.tsx").then((module) => ({ default: module.PrintReminder })),
);
const SignInView = lazy(() => import("../people/sign-in-view.tsx").then((module) => ({ default: module.SignInView })));
const SignedOutNote = lazy(() =>
  import("../people/signed-out-note.tsx").then((module) => ({ default: module.SignedOutNote })),
);
const OutingKeeper = lazy(() => import("../outing/keeper.tsx").then((module) => ({ default: module.OutingKeeper })));

/** Most days nothing lies sealed here, and nothing is fetched for it. */
async function openSealed(): Promise<void> {
  if (await Dexie.exists(STORE_OF_BOXES)) await (await import("../people/change-hands.ts")).openWhatLaySealed();
  // what others share is told apart from one's own before anything is heard of it
  if ((await device.marks.get(SHARED_MARK)) !== undefined) await (await import("../circles/shared.ts")).restoreShared();
}

export function Whole() {
  const { state } = useNavigation();
  const isPacket = useMatch("/packet/:token") !== null;
  const isRound = useMatch("/round/:token") !== null;
  const isJoining = useMatch("/join/:token") !== null;
  const isSigningIn = useMatch("/sign-in") !== null;
  const isLink = useMatch("/place/:token") !== null || isPacket || isRound || isJoining;
  const { is, isSignedOut } = useHere();
  useEffect(() => {
    if (is === "asking" && !isLink) void import("../people/change-hands.ts").then(({ askWhoIsHere }) => askWhoIsHere());
  }, [is, isLink]);
  useEffect(keepHere, []);
  const isGuest = isLink || is !== "somebody";
  // whoever has a link sees what is behind it: nothing of the finder's is fetched beside it
  useEffect(() => {
    if (isGuest) return undefined;
    let stop: (() => void) | undefined;
    let isOver = false;
    // what lay sealed here is there before anything is sent or fetched
    void openSealed().finally(() => {
      if (!isOver) stop = keepMatching();
    });
    return () => {
      isOver = true;
      stop?.();
    };
  }, [isGuest]);
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
      {!isLink && isSignedOut && is === "somebody" && !isSigningIn && (
        <Suspense fallback={null}>
          <SignedOutNote />
        </Suspense>
      )}
      <div className="whole-view">
        {isLink || is === "somebody" ? (
          <Outlet />
        ) : (
          is === "nobody" && (
            <Suspense fallback={null}>
              <SignInView />
            </Suspense>
          )
        )}
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
