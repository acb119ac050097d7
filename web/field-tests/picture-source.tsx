/** Where a picture for measuring comes from: the camera, a file, or the stand-in that ships. */
import type { Raster } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useRef, useState } from "react";
import { PlainSelect } from "../card/plain-select.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";
import { rasterOfFile } from "./picture-file.ts";
import { SIMULATED, simulatedPicture } from "./simulated-camera.ts";

interface PictureSourceProps {
  readonly onPicture: (raster: Raster) => void;
  /** Whether the camera's stand-in can show what is measured. */
  readonly simulated: boolean;
}

export function PictureSource({ onPicture, simulated }: PictureSourceProps) {
  const input = useRef<HTMLInputElement>(null);
  const takes = useRef(new Map<string, number>());
  const [simulatedName, setSimulatedName] = useState("");
  const [fault, setFault] = useState<string>();
  const simulate = (name: string) => {
    const take = takes.current.get(name) ?? 0;
    takes.current.set(name, take + 1);
    onPicture(simulatedPicture(name, take));
  };
  const take = (file: File | undefined) => {
    if (file === undefined) return;
    rasterOfFile(file).then(
      (raster) => {
        setFault(undefined);
        onPicture(raster);
      },
      () => setFault(`${file.name} is no picture that can be read.`),
    );
  };
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", pb: 1.5 }}>
      <ButtonBase
        onClick={() => input.current?.click()}
        sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper, fontWeight: 600 }}
      >
        Take a picture
      </ButtonBase>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        aria-label="Picture to measure on"
        onChange={(event) => {
          take(event.target.files?.[0]);
          event.target.value = "";
        }}
      />
      {simulated && (
        <Box component="label" sx={{ display: "flex", alignItems: "center", gap: 1, color: tone.inkSoft }}>
          or a simulated one:
          <PlainSelect
            label="Simulated picture"
            value={simulatedName}
            onChange={(name) => {
              setSimulatedName(name);
              if (name !== "") simulate(name);
            }}
          >
            <option value="">choose</option>
            {SIMULATED.map((name) => (
              <option key={name} value={name}>
                {name.replaceAll("-", " ")}
              </option>
            ))}
          </PlainSelect>
        </Box>
      )}
      {fault !== undefined && (
        <Box role="alert" sx={{ color: tone.rust }}>
          {fault}
        </Box>
      )}
    </Box>
  );
}
