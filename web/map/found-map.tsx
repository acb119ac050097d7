/** Everything on the map: places, finds, where nothing was. What is on it is a list as well, for whoever cannot see it. */
import { middleOf, simplified } from "@jittery-cap/core/season";
import { useLiveQuery } from "dexie-react-hooks";
import L from "leaflet";
import { useEffect, useMemo, useState } from "react";
import { Polygon, Polyline, useMap } from "react-leaflet";
import { Link, useNavigate } from "react-router";
import { findPath, placePath } from "../addresses.ts";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { keptOutings, trackOf } from "../outing/track-store.ts";
import type { Season } from "../season/use-season.ts";
import { MARKS } from "./ground-style.ts";
import { MapFrame } from "./map-frame.tsx";
import { OwnBaseMap } from "./own-base-map.tsx";

/** Where there is nothing yet the lakeland is shown, which ships. */
const LAKELAND: L.LatLngBoundsLiteral = [
  [61.865, 19.51],
  [61.94, 19.71],
];

interface Mark {
  readonly id: string;
  readonly at: L.LatLngTuple;
  readonly words: string;
  readonly to: string | undefined;
  readonly isNothing: boolean;
}

interface Asked {
  readonly marks: readonly Mark[];
  /** Finds that are asked for and have no position. */
  readonly nowhere: number;
}

/** What stands on the map: finds of a year and a kind, and, where no kind is asked for, where nothing was. */
function askedOf({ finds, outings }: Pick<Season, "finds" | "outings">, year: string, kind: string): Asked {
  const asked = finds.filter(
    (find) => (year === "" || find.day.startsWith(year)) && (kind === "" || find.kind === kind),
  );
  const found = asked.flatMap(({ id, position, label }): Mark[] =>
    position === undefined
      ? []
      : [{ id, at: [position.lat, position.lon], words: label, to: findPath(id), isNothing: false }],
  );
  const nothing = (kind === "" ? outings : [])
    .flatMap(({ content }) => content.nothing)
    .filter(({ at }) => year === "" || at.startsWith(year))
    .flatMap(({ id, position }): Mark[] =>
      position === undefined
        ? []
        : [{ id, at: [position.lat, position.lon], words: "nothing here", to: undefined, isNothing: true }],
    );
  return { marks: [...found, ...nothing], nowhere: asked.length - found.length };
}

export function FoundMap({ season }: { readonly season: Season }) {
  const [year, setYear] = useState("");
  const [kind, setKind] = useState("");
  const { finds, outings, places } = season;
  const { marks, nowhere } = useMemo(() => askedOf({ finds, outings }, year, kind), [finds, outings, year, kind]);
  const ways = useLiveQuery(() => waysOf(year), [year]) ?? [];
  const bounds = useMemo(() => boundsOf({ places, finds }), [places, finds]);
  const years = [...new Set(finds.map(({ day }) => day.slice(0, 4)))].sort();
  const kinds = [...new Set(finds.flatMap((find) => find.kind ?? []))].sort((one, other) =>
    season.nameOf(one).localeCompare(season.nameOf(other)),
  );
  return (
    <>
      <div className="map-asked">
        <ChooseFrom label="Year on the map" value={year} onChange={setYear}>
          <option value="">all years</option>
          {years.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </ChooseFrom>
        <ChooseFrom label="Kind on the map" value={kind} onChange={setKind}>
          <option value="">all kinds, and where nothing was</option>
          {kinds.map((one) => (
            <option key={one} value={one}>
              {season.nameOf(one)}
            </option>
          ))}
        </ChooseFrom>
        <span className="soft" data-testid="on-the-map">
          {marks.filter(({ isNothing }) => !isNothing).length} finds,{" "}
          {marks.filter(({ isNothing }) => isNothing).length} times nothing
          {nowhere > 0 && `; ${nowhere} without a position`}
        </span>
      </div>
      <MapFrame label="Map of what was found" bounds={bounds}>
        {places.map(
          ({ id, content }) =>
            content.outline !== undefined && (
              <Polygon
                key={id}
                positions={content.outline.map(([lon, lat]): L.LatLngTuple => [lat, lon])}
                pathOptions={(content.concerns?.length ?? 0) > 0 ? MARKS.dirty : MARKS.place}
                interactive={false}
              />
            ),
        )}
        <Ways ways={ways} />
        <Marks marks={marks} />
      </MapFrame>
      <OwnBaseMap />
      <details>
        <summary className="unfold">The places as a list</summary>
        <ul className="lines">
          {places.map(({ id, content }) => (
            <li key={id} className="open-line">
              <Link to={placePath(id)}>{content.name}</Link>: {finds.filter((find) => find.placeId === id).length} finds
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}

function boundsOf({ places, finds }: Pick<Season, "places" | "finds">): L.LatLngBoundsExpression {
  const all = [
    ...places.flatMap(({ content }) => middleOf(content) ?? []),
    ...finds.flatMap(({ position }) => position ?? []),
  ];
  if (all.length === 0) return LAKELAND;
  return L.latLngBounds(all.map(({ lat, lon }): L.LatLngTuple => [lat, lon])).pad(0.12);
}

/** The ways that this device knows, of one year or of all, thinned to what a map shows. */
async function waysOf(year: string): Promise<readonly L.LatLngTuple[][]> {
  const outings = (await keptOutings()).filter(({ content }) => content.begunAt.startsWith(year));
  const legs = await Promise.all(outings.map(async ({ id }) => (await trackOf(id)).legs));
  return legs.flat().map((leg) => simplified(leg).map(({ lat, lon }): L.LatLngTuple => [lat, lon]));
}

function Ways({ ways }: { readonly ways: readonly L.LatLngTuple[][] }) {
  return ways.map((way) => (
    <Polyline key={String(way[0])} positions={way} pathOptions={MARKS.way} interactive={false} />
  ));
}

/** Marks on one canvas: thousands of them are no nodes of the page. */
function Marks({ marks }: { readonly marks: readonly Mark[] }) {
  const map = useMap();
  const navigate = useNavigate();
  useEffect(() => {
    const group = L.layerGroup(
      marks.map(({ at, words, to, isNothing }) => {
        const mark = L.circleMarker(at, { radius: isNothing ? 4 : 6, ...(isNothing ? MARKS.nothing : MARKS.found) });
        if (to !== undefined) mark.on("click", () => void navigate(to));
        return mark.bindTooltip(() => escapedNode(words));
      }),
    ).addTo(map);
    return () => {
      group.remove();
    };
  }, [marks, map, navigate]);
  return null;
}

/** What a person wrote is text, and nothing else. */
function escapedNode(words: string): HTMLElement {
  const node = document.createElement("span");
  node.textContent = words;
  return node;
}
