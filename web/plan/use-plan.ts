/** The plan of a day, worked out anew when what it rests on changes. */
import { useEffect, useState } from "react";
import { askSeason } from "../season/season-worker.ts";
import type { ToldSky } from "../season/sky.ts";
import type { Season } from "../season/use-season.ts";
import { type Plan, type PlanAsked, planOf, type Reckoner } from "./plan-of.ts";

const IN_THE_THREAD: Reckoner = {
  forecasts: (...asked) => askSeason((remote) => remote.forecasts(...asked)),
  round: (...asked) => askSeason((remote) => remote.round(...asked)),
};

export function usePlan(season: Season, sky: ToldSky | undefined, asked: PlanAsked): Plan | "failed" | undefined {
  const [plan, setPlan] = useState<Plan | "failed">();
  const key = JSON.stringify([
    asked.day,
    asked.hours,
    asked.goesBy,
    asked.home,
    [...asked.without],
    sky?.at,
    sky?.days.length,
    season.visits.length,
    season.places.length,
    season.finds.length,
  ]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: worked out anew when what is asked has changed, not when it is drawn again
  useEffect(() => {
    let overtaken = false;
    planOf(season, sky, asked, IN_THE_THREAD).then(
      (told) => overtaken || setPlan(told),
      () => overtaken || setPlan("failed"),
    );
    return () => {
      overtaken = true;
    };
  }, [key]);
  return plan;
}
