/** A round as it stands on the server: asked anew whenever the server says that something changed, and now and then besides. */
import { ROUTES } from "@jittery-cap/core/api";
import { useCallback, useEffect, useState } from "react";
import { addressOf } from "../../api/client.ts";

/** Where the line is cut nobody says anything: it is asked so often all the same, ms. */
const ASK_EVERY_MS = 5000;

/**
 * @param token whose changes are listened for; undefined: nothing is yet
 * @param read asks the server; what it returns is shown
 * @returns what was told last, and how to ask now
 */
export function useRound<Told>(token: string | undefined, read: () => Promise<Told | undefined>) {
  const [told, setTold] = useState<Told>();
  const [isMissing, setMissing] = useState(false);
  const ask = useCallback(async () => {
    const now = await read();
    setMissing(now === undefined);
    if (now !== undefined) setTold(now);
  }, [read]);
  useEffect(() => {
    void ask();
    const timer = setInterval(() => void ask(), ASK_EVERY_MS);
    return () => clearInterval(timer);
  }, [ask]);
  useEffect(() => {
    if (token === undefined) return;
    const source = new EventSource(addressOf(ROUTES.watchRound, { params: { token } }));
    source.addEventListener("changed", () => void ask());
    return () => source.close();
  }, [token, ask]);
  return { told, isMissing, ask };
}
