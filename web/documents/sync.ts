/**
 * Matches this device with the server: what waits is sent, what changed elsewhere is fetched as soon as the server says so. One
 * of the open tabs does it for all. Nothing is asked while nothing waits and nothing is said to have changed.
 */
import { ROUTES } from "@jittery-cap/core/api";
import { z } from "zod";
import { create } from "zustand";
import { addressOf, ask } from "../api/client.ts";
import { reportError } from "../device/report-error.ts";
import { device } from "./device.ts";
import { onNudge } from "./nudge.ts";
import { push, takeIn, Unreachable, waitingIds } from "./push.ts";

/**
 * starting: not known yet; online: heard from the server; unreachable: it is away; failed: this program could not do it, and
 * waiting would not help.
 */
export type SyncState = "starting" | "online" | "unreachable" | "failed";

/** How the server is to be had, as the screens see it. */
export const useSync = create<{ readonly state: SyncState; readonly hasPulled: boolean }>()(() => ({
  state: "starting",
  hasPulled: false,
}));

/** A touch is on the device at once; it goes to the server when its answer has been drawn, with those that came behind it. */
const SEND_AFTER_MS = 150;
const FIRST_WAIT_MS = 1000;
const LONGEST_WAIT_MS = 30_000;
const CURSOR = "cursor";
/** Left once all was fetched: the cursor alone may be that of a first page, behind which a reload cut the rest off. */
const PULLED = "pulled";
const PAGE = 200;

const told = z.object({ place: z.int().nonnegative() });
const message = z.object({ kind: z.enum(["push", "ask", "state"]), state: z.string().optional() });

/** Fetches what changed since this device last asked. @throws Unreachable */
async function pull(): Promise<void> {
  for (let more = true; more; ) {
    const after = z
      .int()
      .nonnegative()
      .catch(0)
      .parse((await device.marks.get(CURSOR))?.value);
    const outcome = await ask(ROUTES.changedDocuments, { query: { after, limit: PAGE } });
    if (outcome.kind === "unreachable") throw new Unreachable(outcome.text);
    if (outcome.kind === "refused") throw new Error(outcome.problem.detail);
    const { documents, next } = outcome.value;
    const { documents: kept, queue, troubles, marks } = device;
    await device.transaction("rw", kept, queue, troubles, marks, async () => {
      for (const one of documents) await takeIn(one);
      await marks.put({ name: CURSOR, value: next });
    });
    more = outcome.value.more;
  }
  if (useSync.getState().hasPulled) return;
  await device.marks.put({ name: PULLED, value: true });
  useSync.setState({ hasPulled: true });
}

/** What is asked for in one go when others do several things at once, ms. */
const SHARED_AFTER_MS = 100;
let sharedTimer: ReturnType<typeof setTimeout> | undefined;

/** Looks what others share, soon. */
function sharedSoon(): void {
  clearTimeout(sharedTimer);
  sharedTimer = setTimeout(
    () =>
      void import("../circles/shared.ts")
        .then(({ pullShared }) => pullShared())
        .catch((error) => reportError("shared", error)),
    SHARED_AFTER_MS,
  );
}

/** Sends all that waits. @throws Unreachable */
async function pushAll(): Promise<void> {
  for (const id of await waitingIds()) await push(id);
}

let working: Promise<boolean> | undefined;
/** What is asked for behind the round that is under way. */
let askedAgain: "all" | "send" | undefined;
let failures = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
let stopped = false;

/**
 * Fetches and sends, or only sends, now; where the server is away again later, ever more slowly, each device at moments of its own. Whoever
 * asks while that is under way gets another round behind it.
 * @returns whether the server was there
 */
export function match(what: "all" | "send" = "all"): Promise<boolean> {
  clearTimeout(timer);
  if (working !== undefined) {
    askedAgain = askedAgain === "all" ? "all" : what;
    return working;
  }
  working = round(what).then((isThere) => {
    working = undefined;
    failures = isThere ? 0 : failures + 1;
    if (askedAgain !== undefined) {
      const next = askedAgain;
      askedAgain = undefined;
      void match(next);
    } else if (!isThere && !stopped) timer = setTimeout(() => void match(), waitAfter(failures));
    return isThere;
  });
  return working;
}

/** Between nothing and a bound that doubles: devices that lost the server together do not come back together, ms. */
const waitAfter = (times: number): number =>
  Math.max(FIRST_WAIT_MS, Math.random() * Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** times));

async function round(what: "all" | "send"): Promise<boolean> {
  try {
    // what changed elsewhere is told by the server; without having heard from it, it is asked for
    if (what === "all" || useSync.getState().state !== "online") await pull();
    await pushAll();
    useSync.setState({ state: "online" });
    // what others share is looked at after one's own, and by nobody who shares nothing with anybody
    if (what === "all") sharedSoon();
    return true;
  } catch (error) {
    // a server that is away is no error of this program
    if (error instanceof Unreachable) {
      useSync.setState({ state: "unreachable" });
      return false;
    }
    reportError("sync", error);
    useSync.setState({ state: "failed" });
    return true;
  }
}

/** Hears from the server that something changed; opened again, ever more slowly, where it breaks. */
function listen(): () => void {
  let source: EventSource | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let breaks = 0;
  const open = () => {
    source = new EventSource(addressOf(ROUTES.live));
    source.addEventListener("changed", (event) => {
      breaks = 0;
      const place = told.safeParse(JSON.parse(String(event.data)));
      void device.marks.get(CURSOR).then((mark) => {
        if (useSync.getState().state !== "online" || !place.success || mark?.value !== place.data.place) void match();
      });
    });
    source.addEventListener("shared", () => void sharedSoon());
    source.addEventListener("error", () => {
      source?.close();
      source = undefined;
      void match();
      breaks += 1;
      again = setTimeout(open, waitAfter(breaks));
    });
  };
  const atOnce = () => {
    if (source !== undefined) return;
    clearTimeout(again);
    open();
  };
  window.addEventListener("online", atOnce);
  open();
  return () => {
    window.removeEventListener("online", atOnce);
    clearTimeout(again);
    source?.close();
  };
}

/** Matches as long as the page is open. Returns how to stop. */
export function keepMatching(): () => void {
  stopped = false;
  const channel = new BroadcastChannel("jittery-cap sync");
  const end = new AbortController();
  let isLeader = false;
  let soon: ReturnType<typeof setTimeout> | undefined;
  const later = () => {
    clearTimeout(soon);
    soon = setTimeout(() => void match("send"), SEND_AFTER_MS);
  };
  const stopHearing = onNudge(() => (isLeader ? later() : channel.postMessage({ kind: "push" })));
  const stopTelling = useSync.subscribe(({ state }) => {
    if (isLeader) channel.postMessage({ kind: "state", state });
  });
  channel.addEventListener("message", ({ data }) => {
    const heard = message.safeParse(data);
    if (!heard.success) return;
    if (isLeader && heard.data.kind === "push") later();
    if (isLeader && heard.data.kind === "ask") channel.postMessage({ kind: "state", state: useSync.getState().state });
    const state = (["starting", "online", "unreachable", "failed"] as const).find((one) => one === heard.data.state);
    // a server that goes away takes nothing of what was fetched
    if (!isLeader && state !== undefined)
      useSync.setState((known) => ({ state, hasPulled: known.hasPulled || state === "online" }));
  });
  const lead = async () => {
    isLeader = true;
    const stopListening = listen();
    const atOnce = () => void match();
    window.addEventListener("online", atOnce);
    window.addEventListener("offline", atOnce);
    void match();
    await new Promise<void>((resolve) => end.signal.addEventListener("abort", () => resolve()));
    window.removeEventListener("online", atOnce);
    window.removeEventListener("offline", atOnce);
    stopListening();
    isLeader = false;
  };
  void (async () => {
    await restorePulled();
    channel.postMessage({ kind: "ask" });
    // a browser that knows no locks has one tab that minds, or several that do the same twice: all writes are idempotent
    if ("locks" in navigator)
      await navigator.locks.request("jittery-cap sync", { signal: end.signal }, lead).catch(() => undefined);
    else await lead();
  })();
  return () => {
    stopped = true;
    clearTimeout(timer);
    end.abort();
    clearTimeout(soon);
    stopHearing();
    stopTelling();
    channel.close();
  };
}

/** What was fetched on an earlier day is known, also without a server; nothing is, where the first fetch was cut off. */
export async function restorePulled(): Promise<void> {
  if ((await device.marks.get(PULLED)) !== undefined) useSync.setState({ hasPulled: true });
}
