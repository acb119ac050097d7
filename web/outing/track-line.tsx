/** The way of an outing: how long it was, what was left out of it, and where it is kept. */
import { type CleanTrack, gpxOfTrack } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useLiveQuery } from "dexie-react-hooks";
import { useState } from "react";
import { device } from "../documents/device.ts";
import { keptAbout } from "../documents/documents.ts";
import { saveFile } from "../exchange/save-file.ts";
import { FileButton } from "../layout/file-button.tsx";
import { takeInGpx } from "./gpx-in.ts";
import { forgetTrack, keepWithRecord } from "./track-store.ts";

interface TrackLineProps {
  readonly id: string;
  readonly track: CleanTrack;
}

export function TrackLine({ id, track: { legs, metres, leftOut } }: TrackLineProps) {
  const kept = useLiveQuery(() => keptAbout("track", id), [id]);
  const here = useLiveQuery(() => device.track.where("outing").equals(id).count(), [id]);
  const [said, setSaid] = useState<string>();
  const count = legs.reduce((sum, leg) => sum + leg.length, 0);
  const isWithRecord = (kept?.length ?? 0) > 0;
  return (
    <>
      {count > 0 && (
        <p>
          {(metres / 1000).toFixed(1)} km, {count} points
          {legs.length > 1 && `, with ${legs.length - 1} ${legs.length === 2 ? "gap" : "gaps"}`}
          {leftOut > 0 && `; ${leftOut} left out that nobody can have walked`}.{" "}
          {isWithRecord ? "It is kept with the record." : "It is kept on this device alone."}
        </p>
      )}
      <div className="actions">
        {count > 0 && !isWithRecord && (
          <Button
            onClick={() => void keepWithRecord(id).then((points) => setSaid(`${points} points are with the record.`))}
          >
            Keep it with the record
          </Button>
        )}
        {count > 0 && (
          <Button onClick={() => saveFile(gpxOfTrack("An outing", legs), "outing.gpx", "application/gpx+xml")}>
            As GPX, exactly
          </Button>
        )}
        {(here ?? 0) > 0 && (
          <Button variant="quiet" onClick={() => void forgetTrack(id)}>
            Forget it on this device
          </Button>
        )}
        {count === 0 && (
          <FileButton
            label="Take in a track"
            accept=".gpx,application/gpx+xml"
            onFile={(file) => void takeInGpx(id, file).then(setSaid)}
          >
            Take in a track (GPX)
          </FileButton>
        )}
      </div>
      {said !== undefined && <p role="status">{said}</p>}
    </>
  );
}
