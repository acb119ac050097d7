/** The place on the map; its outline is drawn by touching the corners. */
import { middleOf, type OwnPlace } from "@jittery-cap/core/season";
import L from "leaflet";
import { useState } from "react";
import { CircleMarker, Polygon, Polyline, useMapEvents } from "react-leaflet";
import { MARKS } from "../map/ground-style.ts";
import { MapFrame } from "../map/map-frame.tsx";
import type { SeasonFind } from "../season/counted.ts";
import { type Corner, OutlineTools } from "./outline-tools.tsx";
import type { SetPlace } from "./place-view.tsx";

interface PlaceMapProps {
  readonly place: OwnPlace;
  readonly finds: readonly SeasonFind[];
  readonly onSet: SetPlace;
}

const ABOUT_M = 600;
const DECIMALS = 6;
const rounded = (value: number): number => Number(value.toFixed(DECIMALS));

export function PlaceMap({ place, finds, onSet }: PlaceMapProps) {
  const [corners, setCorners] = useState<readonly Corner[]>();
  const middle = middleOf(place);
  const at: L.LatLngTuple = middle === undefined ? [61.9, 19.6] : [middle.lat, middle.lon];
  const bounds =
    place.outline === undefined
      ? L.latLng(at).toBounds(middle === undefined ? 9000 : ABOUT_M * 2)
      : L.latLngBounds(place.outline.map(([lon, lat]): L.LatLngTuple => [lat, lon])).pad(0.35);
  return (
    <>
      <MapFrame
        key={JSON.stringify(place.outline ?? place.position ?? "")}
        label={`Map of ${place.name}`}
        bounds={bounds}
        className="map-small"
      >
        {place.outline !== undefined && corners === undefined && (
          <Polygon
            positions={place.outline.map(([lon, lat]): L.LatLngTuple => [lat, lon])}
            pathOptions={(place.concerns?.length ?? 0) > 0 ? MARKS.dirty : MARKS.place}
          />
        )}
        {place.outline === undefined && middle !== undefined && (
          <CircleMarker center={at} radius={9} pathOptions={MARKS.place} />
        )}
        {finds.map(
          ({ id, position }) =>
            position !== undefined && (
              <CircleMarker
                key={id}
                center={[position.lat, position.lon]}
                radius={5}
                pathOptions={MARKS.found}
                interactive={false}
              />
            ),
        )}
        {corners !== undefined && (
          <Polyline positions={corners.map(([lon, lat]): L.LatLngTuple => [lat, lon])} pathOptions={MARKS.drawn} />
        )}
        {corners !== undefined && <Corners onCorner={(corner) => setCorners([...corners, corner])} />}
      </MapFrame>
      <OutlineTools place={place} corners={corners} onCorners={setCorners} onSet={onSet} />
    </>
  );
}

function Corners({ onCorner }: { readonly onCorner: (corner: [number, number]) => void }) {
  useMapEvents({ click: ({ latlng }) => onCorner([rounded(latlng.lng), rounded(latlng.lat)]) });
  return null;
}
