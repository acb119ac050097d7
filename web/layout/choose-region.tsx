/** The part of the world, from the device's own list. */
import { REGIONS } from "@jittery-cap/core";
import { ChooseFrom } from "./choose-from.tsx";
import { regionWords } from "./region-words.ts";

type Region = (typeof REGIONS)[number];

interface ChooseRegionProps {
  readonly region: Region | undefined;
  /** What stands in the list for none. */
  readonly none: string;
  readonly onChoose: (region: Region | undefined) => void;
  /** What it is asked for; left out, the part of the world. */
  readonly label?: string;
}

export function ChooseRegion({ region, none, onChoose, label = "Part of the world" }: ChooseRegionProps) {
  return (
    <ChooseFrom label={label} value={region ?? ""} onChange={(value) => onChoose(REGIONS.find((one) => one === value))}>
      <option value="">{none}</option>
      {REGIONS.map((one) => (
        <option key={one} value={one}>
          {regionWords(one)}
        </option>
      ))}
    </ChooseFrom>
  );
}
