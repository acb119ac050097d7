/**
 * What lies sealed here of the person whose page this is. It is opened before anything of theirs is shown, sent or fetched: a record
 * without what lies sealed is an older one, and nothing may call it saved.
 */
import Dexie from "dexie";
import { create } from "zustand";
import { reportError } from "../device/report-error.ts";
import { device, SHARED_MARK, STORE_OF_BOXES } from "../documents/device.ts";
import { useSync } from "../documents/sync.ts";

/**
 * looking: not known yet; open: nothing lies sealed; waiting: the server has the key and is away; failed: it does not open, and is kept.
 */
export type Sealed = "looking" | "open" | "waiting" | "failed";

export const useSealed = create<{ readonly is: Sealed }>()(() => ({ is: "looking" }));

/** The server is asked again for the key after so long, ms. */
const ASKED_AGAIN_MS = 5000;

/** A browser that does not say by then whether there is a store keeps nobody waiting for it, ms. */
const SAYS_WITHIN_MS = 3000;

/** Whether anything lies sealed here; nothing does where the browser keeps nothing. Most days nothing does. */
const liesSealed = (): Promise<boolean> =>
  Promise.race([
    Dexie.exists(STORE_OF_BOXES).catch(() => false),
    new Promise<boolean>((resolve) => setTimeout(() => resolve(false), SAYS_WITHIN_MS)),
  ]);

async function openOnce(): Promise<Sealed> {
  try {
    if (!(await liesSealed())) return "open";
    return await (await import("./change-hands.ts")).openWhatLaySealed();
  } catch (error) {
    reportError("sealed", error);
    return "failed";
  }
}

/**
 * Opens what lies sealed, and goes on trying while the server is away.
 * @param onOpen called once, when nothing lies sealed any more, or what does cannot be opened
 * @returns how to stop
 */
export function keepOpening(onOpen: () => void): () => void {
  let isOver = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const look = async () => {
    clearTimeout(timer);
    const is = await openOnce();
    // what others share is told apart from one's own before anything is heard of it
    if (is !== "waiting" && (await device.marks.get(SHARED_MARK).catch(() => undefined)) !== undefined)
      await (await import("../circles/shared.ts")).restoreShared().catch((error) => reportError("shared", error));
    if (isOver) return;
    useSealed.setState({ is });
    if (is !== "waiting") return onOpen();
    // nothing is sent or fetched meanwhile, and nothing says that it is
    useSync.setState({ state: "unreachable" });
    timer = setTimeout(() => void look(), ASKED_AGAIN_MS);
  };
  void look();
  return () => {
    isOver = true;
    clearTimeout(timer);
  };
}
