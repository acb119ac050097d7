/** Where it stood: from the device, from the simulated walk, or left out. It never leaves this record by itself. */
import type { Change, Find } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { PlainButton } from "../card/plain-button.tsx";
import { devicePosition, type Position, positionChanges, simulatedPosition } from "../device/surroundings.ts";
import { tone } from "../theme/tokens.ts";

interface PlaceBlockProps {
  readonly find: Find;
  readonly onChange: (change: Change) => void;
}

export function PlaceBlock({ find, onChange }: PlaceBlockProps) {
  const [said, setSaid] = useState<string>();
  const { lat, lon, accuracyM, elevationM } = find.place ?? {};
  const take = async (position: Promise<Position | string>) => {
    setSaid("Asking.");
    const found = await position;
    if (typeof found === "string") return setSaid(found);
    setSaid(undefined);
    for (const change of positionChanges(found)) onChange(change);
  };
  return (
    <Box component="section" aria-labelledby="place" data-testid="place" sx={{ pb: 2.75 }}>
      <Typography id="place" variant="h3" component="h3">
        The place
      </Typography>
      <Box role="status" sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pb: 1 }}>
        {said ??
          (lat === undefined || lon === undefined
            ? "Not recorded. It may be left out."
            : [
                `${lat.toFixed(4)}, ${lon.toFixed(4)}`,
                accuracyM === undefined ? undefined : `within ${accuracyM} m`,
                elevationM === undefined ? undefined : `${elevationM} m up`,
              ]
                .filter((part) => part !== undefined)
                .join(" · "))}
      </Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <PlainButton onClick={() => void take(devicePosition())}>Where I stand</PlainButton>
        <PlainButton onClick={() => void take(simulatedPosition(new Date()))}>A simulated walk</PlainButton>
        {lat !== undefined && (
          <PlainButton
            onClick={() => {
              for (const change of positionChanges(undefined)) onChange(change);
            }}
          >
            Leave it out
          </PlainButton>
        )}
      </Box>
    </Box>
  );
}
