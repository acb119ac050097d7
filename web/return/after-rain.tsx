/** The next real rain, and when to go after it. */
import { isDue, realRains } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { make } from "../documents/keep-fields.ts";
import { dayWords, spanWords } from "../season/local-day.ts";
import { isOldSky, skyAround, type ToldSky } from "../season/sky.ts";
import type { Season } from "../season/use-season.ts";

export function AfterRain({ season }: { readonly season: Season }) {
  const { now, today, reminders } = season;
  const [sky, setSky] = useState<ToldSky | "silent">();
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once a day
  useEffect(() => {
    let overtaken = false;
    skyAround(now).then(
      (told) => overtaken || setSky(told ?? "silent"),
      () => undefined,
    );
    return () => {
      overtaken = true;
    };
  }, [today]);
  if (sky === undefined) return <p className="soft">Asking the station.</p>;
  const days = sky === "silent" ? [] : sky.days;
  const rains = realRains(days, today);
  const first = rains[0];
  const isKept =
    first !== undefined &&
    reminders.some(({ content }) => content.kind === "after-rain" && content.from === first.from && isDue(content));
  return (
    <>
      <p className="soft">After a real rain, some 20 mm, one goes ten days to two weeks later while it is mild.</p>
      <p className="said above">
        {days.length === 0
          ? "The station is silent"
          : first === undefined
            ? "No real rain of late"
            : `${first.isForetold ? "Foretold: go" : "Go"} ${spanWords(first.from, first.to, today)}`}
      </p>
      {sky !== "silent" && isOldSky(sky, now) && (
        <p className="stands">As the station told it on {new Date(sky.at).toLocaleString()}: that is old.</p>
      )}
      {rains.map(({ rained, mm, from, to, isForetold, isMild }) => (
        <p key={rained} className="soft">
          {mm} mm until {dayWords(rained)}
          {isForetold ? ", as it is foretold" : ""}: {spanWords(from, to, today)}.
          {isMild ? "" : " It is cold: it takes longer, or nothing comes but the winter kinds."}
        </p>
      ))}
      {first !== undefined && !isKept && (
        <Button
          onClick={() =>
            void make("reminder", {
              kind: "after-rain",
              what: `after ${first.mm} mm of rain`,
              from: first.from,
              to: first.to,
              madeAt: new Date().toISOString(),
            })
          }
        >
          Keep that date
        </Button>
      )}
    </>
  );
}
