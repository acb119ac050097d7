/** What a place may bring today, from one's own visits. */
import { dayOfYear, type KeptPlace, lookOf, skyDaysOf } from "@jittery-cap/core/season";
import { useEffect, useState } from "react";
import { Section } from "../layout/section.tsx";
import { ForetoldKinds } from "../plan/day-round.tsx";
import { kindsAt, sceneOf } from "../plan/plan-of.ts";
import type { ToldKind } from "../season/season.worker.ts";
import { askSeason } from "../season/season-worker.ts";
import { skyAround } from "../season/sky.ts";
import type { Season } from "../season/use-season.ts";

const SHOWN = 5;

interface PlaceBringsProps {
  readonly place: KeptPlace;
  readonly season: Season;
}

export function PlaceBrings({ place, season }: PlaceBringsProps) {
  const [told, setTold] = useState<readonly ToldKind[]>();
  const { today, visits } = season;
  const own = visits.filter((visit) => visit.place === place.id);
  const key = `${today} ${own.length} ${JSON.stringify(place.content.host)} ${JSON.stringify(place.content.habitat)}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew when the day, the visits or the ground are others
  useEffect(() => {
    let overtaken = false;
    const ask = async () => {
      const sky = await skyAround(new Date());
      const look = sky === undefined ? { ofYear: dayOfYear(today) } : lookOf(today, skyDaysOf(sky.days));
      const kinds = kindsAt(season, place, sceneOf(place, today), today);
      return askSeason((remote) => remote.forecasts(look, [{ place: place.id, visits: own, kinds }]));
    };
    ask().then(
      (all) => overtaken || setTold([...all].sort((one, other) => other.mean - one.mean)),
      () => undefined,
    );
    return () => {
      overtaken = true;
    };
  }, [key]);
  return (
    <Section
      title="What it may bring today"
      about={`From ${own.length === 1 ? "one visit" : `${own.length} visits`} of yours, ${own.filter(({ finds }) => finds.size === 0).length} of them empty; the sheets' months before that. Touch a number for the visits it rests on.`}
    >
      {told === undefined && <p className="soft">Working it out.</p>}
      {told !== undefined && <ForetoldKinds kinds={told} place={place.id} season={season} most={SHOWN} />}
      {told?.length === 0 && <p className="soft">Nothing sought stands on such ground at this time of the year.</p>}
    </Section>
  );
}
