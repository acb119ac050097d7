/** Asks the weather station about the moment of the find; what it says is written into the record, to be corrected by hand. */
import type { Change, Find } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useState } from "react";
import { askStation, type StationAnswer, weatherChanges } from "../device/surroundings.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

interface WeatherFromStationProps {
  readonly find: Find;
  readonly onChange: (change: Change) => void;
}

export function WeatherFromStation({ find, onChange }: WeatherFromStationProps) {
  const [said, setSaid] = useState<StationAnswer>();
  const ask = async () => {
    const answer = await askStation(find.foundAt ?? new Date().toISOString());
    setSaid(answer);
    if (answer.kind === "told") for (const change of weatherChanges(answer.weather)) onChange(change);
  };
  return (
    <Box
      data-testid="station-weather"
      sx={{ pb: 2.75, display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}
    >
      <ButtonBase
        onClick={() => void ask()}
        sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper, fontWeight: 600 }}
      >
        Ask the weather station
      </ButtonBase>
      <Box role="status" sx={{ color: tone.inkSoft, fontSize: "0.9375rem", flex: "1 1 200px" }}>
        {said === undefined
          ? "It tells frost, air, rain and dry days for the moment of the find."
          : said.kind === "silent"
            ? said.text
            : `Written in from ${said.station}. Put right what you know better.`}
      </Box>
    </Box>
  );
}
