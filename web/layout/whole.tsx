/** The whole: the view that is open, and on a phone the first level along the foot of the screen. */
import { lazy, Suspense, useEffect } from "react";
import { Outlet, useMatch, useNavigation } from "react-router";
import { STOPS } from "../addresses.ts";
import { keepSettings } from "../documents/settings.ts";
import { keepMatching } from "../documents/sync.ts";
import { keepHere, useHere } from "../people/here.ts";
import { keepOpening, useSealed } from "../people/sealed.ts";
import { Fetching } from "./fetching.tsx";
import { IllStop } from "./ill-stop.tsx";
import { MoreMenu } from "./more-menu.tsx";
import { Stops } from "./stops.tsx";

/** What speaks up by itself is not fetched while the view that was asked for is made, ms. */
const SPEAKS_UP_AFTER = 500;
const later = new Promise<void>((resolve) => setTimeout(resolve, SPEAKS_UP_AFTER));

const NewVersion = lazy(() =>
  later.then(() => import("../new-version.tsx")).then((module) => ({ default: module.NewVersion })),
);
const PrintReminder = lazy(() =>
  later.then(() => import("../field-tests/print-reminder.tsx")).then((module) => ({ default: module.PrintReminder })),
);
const SignInView = lazy(() => import("../people/sign-in-view.tsx").then((module) => ({ default: module.SignInView })));
const SealedNote = lazy(() => import("../people/sealed-note.tsx").then((module) => ({ default: module.SealedNote })));
const SignedOutNote = lazy(() =>
  import("../people/signed-out-note.tsx").then((module) => ({ default: module.SignedOutNote })),
);
const OutingKeeper = lazy(() =>
  later.then(() => import("../outing/keeper.tsx")).then((module) => ({ default: module.OutingKeeper })),
);

export function Whole() {
  const { state } = useNavigation();
  const isPacket = useMatch("/packet/:token") !== null;
  const isRound = useMatch("/round/:token") !== null;
  const isJoining = useMatch("/join/:token") !== null;
  const isSigningIn = useMatch("/sign-in") !== null;
  const isLink = useMatch("/place/:token") !== null || isPacket || isRound || isJoining;
  const { is, isSignedOut } = useHere();
  const sealed = useSealed((now) => now.is);
  useEffect(() => {
    if (is === "asking" && !isLink) void import("../people/change-hands.ts").then(({ askWhoIsHere }) => askWhoIsHere());
  }, [is, isLink]);
  useEffect(keepHere, []);
  const isGuest = isLink || is !== "somebody";
  // whoever has a link sees what is behind it: nothing of the finder's is fetched beside it
  useEffect(() => {
    if (isGuest) return undefined;
    let stop: (() => void) | undefined;
    // what lay sealed here is there before anything is sent or fetched
    const stopOpening = keepOpening(() => {
      stop = keepMatching();
    });
    return () => {
      stopOpening();
      stop?.();
    };
  }, [isGuest]);
  useEffect(() => (isGuest ? undefined : keepSettings()), [isGuest]);
  const isRunning = useMatch("/finds/:id/run") !== null;
  return (
    <div className="whole">
      {state === "loading" && <Fetching />}
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
      {!isGuest && (sealed === "waiting" || sealed === "failed") && (
        <Suspense fallback={null}>
          <SealedNote />
        </Suspense>
      )}
      <div className="whole-view">
        {isLink || is === "somebody"
          ? (isLink || sealed !== "looking") && <Outlet />
          : is === "nobody" && (
              <Suspense fallback={null}>
                <SignInView />
              </Suspense>
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
