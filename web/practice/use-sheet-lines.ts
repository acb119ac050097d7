/** Names and tiers of sheets, for lists that know only their ids. */
import { DANGER_TIERS } from "@jittery-cap/core";
import { useMemo } from "react";
import { useShelf } from "../sheets/use-shelf.ts";

export function useSheetLines() {
  const asked = useShelf("all lines", (remote) => remote.listSheets());
  const lines = asked.state === "told" ? asked.reply : undefined;
  return useMemo(() => {
    const byId = new Map([...(lines?.dangers ?? []), ...(lines?.sought ?? [])].map((one) => [one.id, one]));
    return {
      isKnown: lines !== undefined,
      nameOf: (id: string): string => byId.get(id)?.common ?? id.replaceAll("-", " "),
      isDanger: (id: string): boolean => DANGER_TIERS.has(byId.get(id)?.tier ?? "deadly"),
    };
  }, [lines]);
}
