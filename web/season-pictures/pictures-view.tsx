/** The season in pictures: weeks against kinds with the sheet's months, yields, pace, what became of the finds, first ideas. */
import { dangersThere, dayOfYear, monthsIn, type Scene, weeksOfKinds } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { Link } from "react-router";
import { dayWords } from "../season/local-day.ts";
import { SeasonFrame } from "../season/season-frame.tsx";
import type { Season } from "../season/use-season.ts";
import { WhatStands } from "../season/what-stands.tsx";
import { Fates } from "./fates.tsx";
import { FirstIdeas } from "./first-ideas.tsx";
import { Paces } from "./paces.tsx";
import { WeekHills } from "./week-hills.tsx";
import { Yields } from "./yields.tsx";
import "./season-pictures.css";

export function PicturesView() {
  return (
    <SeasonFrame
      title="Pictures"
      light={(season) => <Pictures season={season} />}
      dark={(season) => <Beside season={season} />}
    />
  );
}

function Pictures({ season }: { readonly season: Season }) {
  const { finds, visits, outings, sheetOf } = season;
  const region = season.places.find(({ content }) => content.region !== undefined)?.content.region;
  const monthsOf = (kind: string) => {
    const sheet = sheetOf(kind);
    return sheet === undefined ? [] : monthsIn(sheet, region);
  };
  const weeks = weeksOfKinds(finds, monthsOf);
  const years = new Set(outings.map(({ content }) => content.begunAt.slice(0, 4))).size;
  const empty = visits.filter((visit) => visit.finds.size === 0).length;
  return (
    <>
      <h1 className="view-title pictures-title">Weeks that were good</h1>
      <p className="lead-in">
        {outings.length} outings in {years === 1 ? "one year" : `${years} years`}, {visits.length} visits, {empty} of
        them empty. The band is the sheet's months, the hills are yours; each mark leads to its finds.
      </p>
      {weeks.length === 0 ? (
        <p className="soft">Nothing is found yet: the hills grow with your visits.</p>
      ) : (
        <WeekHills weeks={weeks} season={season} monthsOf={monthsOf} />
      )}
      <div>
        <Yields season={season} />
        <Paces season={season} />
        <Fates season={season} />
        <FirstIdeas season={season} />
      </div>
      <Button className="above-2 not-printed" onClick={() => window.print()}>
        Print it
      </Button>
    </>
  );
}

function Beside({ season }: { readonly season: Season }) {
  const grounds = season.places.map(({ content }) => content);
  const scene: Scene = {
    ofYear: dayOfYear(season.today),
    region: grounds.find(({ region }) => region !== undefined)?.region,
    habitat: [...new Set(grounds.flatMap(({ habitat = [] }) => habitat))],
    host: [...new Set(grounds.flatMap(({ host = [] }) => host))],
  };
  return (
    <>
      <WhatStands
        dangers={dangersThere(season.sheets, scene)}
        nameOf={season.nameOf}
        where={`on ${dayWords(season.today)}, on your ground`}
      />
      <p className="above-2">
        <Link to="/outing/plan" className="strong">
          Plan the day
        </Link>
      </p>
    </>
  );
}
