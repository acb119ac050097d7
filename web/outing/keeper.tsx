/** Goes along on an outing whatever view is open: writes the track, and fills in the weather of outings that began without a network. */
import { dayAfter, daysNeeded, isUnderWay, skyDaysOf, skyOf } from "@jittery-cap/core/season";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect } from "react";
import { usePreferences } from "../device/preferences.ts";
import { useSync } from "../documents/sync.ts";
import { useNow } from "../field-tests/use-now.ts";
import { dayOf } from "../season/local-day.ts";
import { skyBetween } from "../season/sky.ts";
import { changeOuting } from "./on-the-way.ts";
import { useReceiver } from "./receiver.ts";
import { keepPoint, keptOutings } from "./track-store.ts";
import { followWalk } from "./walk.ts";

export function OutingKeeper() {
  const now = useNow().getTime();
  const outings = useLiveQuery(keptOutings);
  const sync = useSync((state) => state.state);
  const source = usePreferences((state) => state.trackSource);
  const going = outings?.find(({ content }) => isUnderWay(content, now))?.id;
  useEffect(() => {
    if (going === undefined) return;
    useReceiver.setState({ silent: undefined });
    return followWalk(
      source,
      (point) => {
        useReceiver.setState({ silent: undefined });
        void keepPoint(going, point);
      },
      (silent) => useReceiver.setState({ silent }),
    );
  }, [going, source]);
  const lacking = (outings ?? [])
    .filter(({ content }) => content.sky === undefined)
    .map(({ id, content }) => ({ id, day: dayOf(Date.parse(content.begunAt)) }));
  const key = lacking.map(({ id }) => id).join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once for each that lacks it
  useEffect(() => {
    if (sync === "online" && lacking.length > 0) void fillSky(lacking.slice(0, AT_ONCE));
  }, [key, sync]);
  return null;
}

const AT_ONCE = 20;

async function fillSky(lacking: readonly { readonly id: string; readonly day: string }[]): Promise<void> {
  for (const { id, day } of lacking) {
    const { from } = daysNeeded(day);
    const days = await skyBetween(from, dayAfter(day, -1));
    const sky = days === undefined ? undefined : skyOf(day, skyDaysOf(days));
    if (sky !== undefined) await changeOuting(id, (outing) => (outing.sky === undefined ? { sky } : undefined));
  }
}
