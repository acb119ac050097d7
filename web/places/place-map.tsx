/** The place on the map; its outline is drawn by touching the corners. */
import { middleOf, type OwnPlace } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import L from "leaflet";
import { useState } from "react";
import { CircleMarker, Polygon, Polyline, useMapEvents } from "react-leaflet";
import { devicePosition } from "../device/surroundings.ts";
import { MARKS } from "../map/ground-style.ts";
import { MapFrame } from "../map/map-frame.tsx";
import type { SeasonFind } from "../season/use-season.ts";
import type { SetPlace } from "./place-view.tsx";

interface PlaceMapProps {
  readonly place: OwnPlace;
  readonly finds: readonly SeasonFind[];
  readonly onSet: SetPlace;
}

const ABOUT_M = 600;
const LEAST_CORNERS = 3;
const DECIMALS = 6;
const rounded = (value: number): number => Number(value.toFixed(DECIMALS));

export function PlaceMap({ place, finds, onSet }: PlaceMapProps) {
  const [corners, setCorners] = useState<readonly [number, number][]>();
  const [said, setSaid] = useState<string>();
  const middle = middleOf(place);
  const here = async () => {
    const told = await devicePosition();
    if (typeof told === "string") setSaid(told);
    else
      onSet({
        position: {
          lat: told.lat,
          lon: told.lon,
          ...(told.accuracyM === undefined ? {} : { accuracyM: told.accuracyM }),
        },
      });
  };
  const tools = (
    <div className="map-asked">
      {corners === undefined ? (
        <>
          <Button onClick={() => void here()}>It is here</Button>
          <Button onClick={() => setCorners([])}>
            {place.outline === undefined ? "Draw its outline" : "Draw it anew"}
          </Button>
        </>
      ) : (
        <>
          <span>
            {corners.length < LEAST_CORNERS
              ? "Touch the corners on the map, one after the other."
              : `${corners.length} corners.`}
          </span>
          <Button
            variant="contained"
            disabled={corners.length < LEAST_CORNERS}
            onClick={() => {
              onSet({ outline: [...corners] });
              setCorners(undefined);
            }}
          >
            That is it
          </Button>
          <Button variant="quiet" onClick={() => setCorners(corners.slice(0, -1))} disabled={corners.length === 0}>
            One corner back
          </Button>
          <Button variant="quiet" onClick={() => setCorners(undefined)}>
            Leave it as it was
          </Button>
        </>
      )}
      {said !== undefined && <span role="status">{said}</span>}
    </div>
  );
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
      {tools}
    </>
  );
}

function Corners({ onCorner }: { readonly onCorner: (corner: [number, number]) => void }) {
  useMapEvents({ click: ({ latlng }) => onCorner([rounded(latlng.lng), rounded(latlng.lat)]) });
  return null;
}
