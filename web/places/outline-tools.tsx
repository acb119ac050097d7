/** Where a place is: here, or within corners that are touched on the map one after the other. */
import type { OwnPlace } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useState } from "react";
import { devicePosition } from "../device/surroundings.ts";
import type { SetPlace } from "./place-view.tsx";

/** Longitude first, as GeoJSON has it. */
export type Corner = [lon: number, lat: number];
const LEAST_CORNERS = 3;

interface OutlineToolsProps {
  readonly place: OwnPlace;
  /** Undefined while nothing is drawn. */
  readonly corners: readonly Corner[] | undefined;
  readonly onCorners: (corners: readonly Corner[] | undefined) => void;
  readonly onSet: SetPlace;
}

export function OutlineTools({ place, corners, onCorners, onSet }: OutlineToolsProps) {
  const [said, setSaid] = useState<string>();
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
  return (
    <div className="map-asked">
      {corners === undefined ? (
        <>
          <Button onClick={() => void here()}>It is here</Button>
          <Button onClick={() => onCorners([])}>
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
              onCorners(undefined);
            }}
          >
            That is it
          </Button>
          <Button variant="quiet" onClick={() => onCorners(corners.slice(0, -1))} disabled={corners.length === 0}>
            One corner back
          </Button>
          <Button variant="quiet" onClick={() => onCorners(undefined)}>
            Leave it as it was
          </Button>
        </>
      )}
      {said !== undefined && <span role="status">{said}</span>}
    </div>
  );
}
