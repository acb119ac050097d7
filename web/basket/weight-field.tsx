/** A weight, typed in the person's own unit and kept in grams. The unit is remembered on this device. */
import { gramsOf, WEIGHT_UNITS, type WeightUnit, weightIn } from "@jittery-cap/core";
import { usePreferences } from "../device/preferences.ts";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { NumberField } from "../layout/number-field.tsx";

interface WeightFieldProps {
  readonly label: string;
  readonly grams: number | undefined;
  readonly onSet: (grams: number) => void;
}

/** Figures behind the point, by unit: half a gram or so. */
const DIGITS: Readonly<Record<WeightUnit, number>> = { g: 0, kg: 3, oz: 1, lb: 2 };

export function WeightField({ label, grams, onSet }: WeightFieldProps) {
  const { weightUnit: unit, prefer } = usePreferences();
  const value = grams === undefined ? undefined : Number(weightIn(grams, unit).toFixed(DIGITS[unit]));
  return (
    <span className="carried-weight">
      <NumberField
        label={label}
        unit=""
        value={value}
        onSet={(next) => {
          if (next !== null && next > 0) onSet(gramsOf(next, unit));
        }}
      />
      <ChooseFrom
        label="Unit of weight"
        value={unit}
        onChange={(chosen) => prefer({ weightUnit: WEIGHT_UNITS.find((one) => one === chosen) ?? "g" })}
      >
        {WEIGHT_UNITS.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </ChooseFrom>
    </span>
  );
}
