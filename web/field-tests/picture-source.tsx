/** Where a picture for measuring comes from: the camera, a file, or the stand-in that ships. */
import type { Raster } from "@jittery-cap/core";
import PhotoCamera from "@mui/icons-material/PhotoCamera";
import Button from "@mui/material/Button";
import { useRef, useState } from "react";
import { ChooseFrom } from "../layout/choose-from.tsx";
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
    <div className="actions below-2">
      <Button startIcon={<PhotoCamera />} onClick={() => input.current?.click()}>
        Take a picture
      </Button>
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
        // biome-ignore lint/a11y/noLabelWithoutControl: the list inside is one
        <label className="actions soft">
          or a simulated one:
          <ChooseFrom
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
          </ChooseFrom>
        </label>
      )}
      {fault !== undefined && (
        <div role="alert" className="danger-ink">
          {fault}
        </div>
      )}
    </div>
  );
}
