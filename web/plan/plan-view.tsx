/** Plan of a day: which places in which order, what is likely, what else stands there, what to carry, and the light. */
import { dangersThere, dayAfter, likelyKinds, type Scene } from "@jittery-cap/core/season";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { usePreferences } from "../device/preferences.ts";
import { devicePosition } from "../device/surroundings.ts";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { dayWords, longDayWords } from "../season/local-day.ts";
import { SeasonFrame } from "../season/season-frame.tsx";
import { isOldSky, skyAround, type ToldSky } from "../season/sky.ts";
import type { Season } from "../season/use-season.ts";
import { WhatStands } from "../season/what-stands.tsx";
import { Carry } from "./carry.tsx";
import { DayRound } from "./day-round.tsx";
import { nextSaturday } from "./next-saturday.ts";
import { type PlanAsked, sceneOf } from "./plan-of.ts";
import { usePlan } from "./use-plan.ts";

const AHEAD = 8;
const HOURS = [2, 3, 4, 5, 6, 8] as const;
const GOES_WORDS = { walk: "on foot", cycle: "by bicycle", drive: "by car" } as const;

export function PlanView() {
  const [day, setDay] = useState<string>();
  return (
    <SeasonFrame
      title="Plan the day"
      light={(season) => <Planned season={season} day={day ?? nextSaturday(season.today)} onDay={setDay} />}
      dark={(season) => <There season={season} day={day ?? nextSaturday(season.today)} />}
    />
  );
}

interface PlannedProps {
  readonly season: Season;
  readonly day: string;
  readonly onDay: (day: string) => void;
}

function useSky(now: Date): ToldSky | undefined {
  const [sky, setSky] = useState<ToldSky>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked again as time goes on
  useEffect(() => {
    let overtaken = false;
    skyAround(new Date()).then(
      (told) => overtaken || setSky(told),
      () => undefined,
    );
    return () => {
      overtaken = true;
    };
  }, [now.getTime()]);
  return sky;
}

function Planned({ season, day, onDay }: PlannedProps) {
  const { home, goesBy, prefer } = usePreferences();
  const [hours, setHours] = useState(4);
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const sky = useSky(season.now);
  const asked: PlanAsked = { day, hours, goesBy, home, without };
  const plan = usePlan(season, sky, asked);
  return (
    <>
      <h1 className="view-title">{longDayWords(day)}</h1>
      <div className="plan-asked">
        <ChooseFrom label="Which day" value={day} onChange={onDay}>
          {Array.from({ length: AHEAD + 1 }, (_unused, ahead) => dayAfter(season.today, ahead)).map((one) => (
            <option key={one} value={one}>
              {dayWords(one)}
            </option>
          ))}
        </ChooseFrom>
        <ChooseFrom label="How long" value={String(hours)} onChange={(value) => setHours(Number(value))}>
          {HOURS.map((one) => (
            <option key={one} value={one}>
              {one} hours
            </option>
          ))}
        </ChooseFrom>
        <ChooseFrom
          label="How one goes"
          value={goesBy}
          onChange={(value) => prefer({ goesBy: value === "drive" || value === "cycle" ? value : "walk" })}
        >
          {(["walk", "cycle", "drive"] as const).map((one) => (
            <option key={one} value={one}>
              {GOES_WORDS[one]}
            </option>
          ))}
        </ChooseFrom>
        <HomeHere isKnown={home !== null} />
      </div>
      <SkySaid sky={sky} now={season.now} />
      {plan === "failed" && (
        <Alert severity="error">It could not be worked out on this device. Nothing is foretold.</Alert>
      )}
      {plan === undefined && <p className="soft">Working it out.</p>}
      {typeof plan === "object" && (
        <>
          <DayRound
            plan={plan}
            season={season}
            asked={asked}
            onWithout={(place) => setWithout(new Set([...without, place]))}
            onAll={without.size === 0 ? undefined : () => setWithout(new Set())}
          />
          <Carry plan={plan} season={season} day={day} />
        </>
      )}
    </>
  );
}

function HomeHere({ isKnown }: { readonly isKnown: boolean }) {
  const prefer = usePreferences((state) => state.prefer);
  const [said, setSaid] = useState<string>();
  const take = async () => {
    const told = await devicePosition();
    if (typeof told === "string") setSaid(told);
    else prefer({ home: { lat: told.lat, lon: told.lon } });
  };
  return (
    <>
      <Button variant="quiet" onClick={() => (isKnown ? prefer({ home: null }) : void take())}>
        {isKnown ? "Forget where I start" : "I start from here"}
      </Button>
      {said !== undefined && <span role="status">{said}</span>}
    </>
  );
}

function SkySaid({ sky, now }: { readonly sky: ToldSky | undefined; readonly now: Date }) {
  if (sky === undefined)
    return <p className="soft">No station can be asked: it rests on the time of the year alone.</p>;
  return (
    <p className="soft">
      {isOldSky(sky, now)
        ? `As ${sky.station} told it on ${new Date(sky.at).toLocaleString()}: that is old.`
        : `Weather of ${sky.station}.`}
    </p>
  );
}

/** The dangers of all the places of the person, or of the month alone while there is none. */
function There({ season, day }: { readonly season: Season; readonly day: string }) {
  const scenes = season.places.map((place) => sceneOf(place, day));
  const scene: Scene = {
    ofYear: scenes[0]?.ofYear ?? 0,
    region: scenes.find(({ region }) => region !== undefined)?.region,
    habitat: [...new Set(scenes.flatMap(({ habitat = [] }) => habitat))],
    host: [...new Set(scenes.flatMap(({ host = [] }) => host))],
  };
  const likely = likelyKinds(season.sheets, scene).length;
  return (
    <>
      <WhatStands
        dangers={dangersThere(season.sheets, scene)}
        nameOf={season.nameOf}
        where={`on ${dayWords(day)}, on your ground`}
      />
      <p className="soft above-2">
        {likely} sought kinds may stand there too. Nothing that is foretold weighs in the judgement of a find.
      </p>
    </>
  );
}
