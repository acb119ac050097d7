/** The find's own name, which can be written over, with day, place and weather under it. */
import type { Change, Find } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import { memo } from "react";
import { tone } from "../theme/tokens.ts";

export const FindTitle = memo(function FindTitle({
  find,
  onChange,
}: {
  readonly find: Find;
  readonly onChange: (change: Change) => void;
}) {
  const day =
    find.foundAt === undefined
      ? undefined
      : new Date(find.foundAt).toLocaleDateString([], { day: "numeric", month: "long" });
  const air = find.weather?.airTempC === undefined ? undefined : `${find.weather.airTempC} °C`;
  const frost = find.weather?.frostLastNight === true ? "frost" : undefined;
  const about = [day, air, frost, find.place?.name].filter((one) => one !== undefined);
  return (
    <Box>
      <InputBase
        key={find.id + (find.label ?? "")}
        defaultValue={find.label ?? ""}
        placeholder="Name this find"
        inputProps={{ "aria-label": "Name of the find", maxLength: 200 }}
        onBlur={(event) => {
          const label = event.target.value.trim();
          if (label !== (find.label ?? ""))
            onChange({ kind: "set-find", field: "label", value: label === "" ? null : label });
        }}
        sx={{
          width: "100%",
          fontSize: "1.1875rem",
          fontWeight: 750,
          "& input": { p: 0, textOverflow: "ellipsis" },
          "&.Mui-focused": { outline: `2px solid ${tone.ochre}` },
        }}
      />
      <Box
        sx={{
          color: tone.inkSoft,
          fontSize: "0.9375rem",
          whiteSpace: "nowrap",
          overflow: "hidden",
          textOverflow: "ellipsis",
        }}
      >
        {about.join(" · ")}
      </Box>
    </Box>
  );
});
