/** The find's own name, which can be written over, with day, place and weather under it. */
import { type Change, type Find, unitShown } from "@jittery-cap/core";
import InputBase from "@mui/material/InputBase";
import { memo } from "react";
import { usePreferences } from "../device/preferences.ts";

interface FindTitleProps {
  readonly find: Find;
  readonly onChange: (change: Change) => void;
}

/** What the title shows: a touch on anything else leaves it as it stands. */
const told = ({ find: { id, label, foundAt, weather, place } }: FindTitleProps): string =>
  JSON.stringify([id, label, foundAt, weather?.airTempC, weather?.frostLastNight, place?.name]);

const looksSame = (one: FindTitleProps, other: FindTitleProps): boolean =>
  one.onChange === other.onChange && told(one) === told(other);

export const FindTitle = memo(function FindTitle({ find, onChange }: FindTitleProps) {
  const day =
    find.foundAt === undefined
      ? undefined
      : new Date(find.foundAt).toLocaleDateString([], { day: "numeric", month: "long" });
  const { unit, shown } = unitShown(
    "°C",
    usePreferences((state) => state.units),
  );
  const air = find.weather?.airTempC === undefined ? undefined : `${shown(find.weather.airTempC)} ${unit}`;
  const frost = find.weather?.frostLastNight === true ? "frost" : undefined;
  const about = [day, air, frost, find.place?.name].filter((one) => one !== undefined);
  return (
    <div>
      <InputBase
        key={find.id + (find.label ?? "")}
        defaultValue={find.label ?? ""}
        placeholder="Name this find"
        multiline
        className="title-field"
        inputProps={{ "aria-label": "Name of the find", maxLength: 200 }}
        onKeyDown={(event) => {
          if (event.key !== "Enter" || !(event.target instanceof HTMLElement)) return;
          event.preventDefault();
          event.target.blur();
        }}
        onBlur={(event) => {
          const label = event.target.value.trim();
          if (label !== (find.label ?? ""))
            onChange({ kind: "set-find", field: "label", value: label === "" ? null : label });
        }}
      />
      <div className="title-about soft small">{about.join(" · ")}</div>
    </div>
  );
}, looksSame);
