/** Asks the weather station about the moment of the find; what it says is written into the record, to be corrected by hand. */
import type { Find } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { useState } from "react";
import { askStation, type StationAnswer, weatherChanges } from "../device/surroundings.ts";
import { useSession } from "../session/session-context.tsx";

export function WeatherFromStation({ find }: { readonly find: Find }) {
  const { changeTogether } = useSession();
  const [said, setSaid] = useState<StationAnswer>();
  const ask = async () => {
    const answer = await askStation(find.foundAt ?? new Date().toISOString());
    setSaid(answer);
    // all that the station says is one touch
    if (answer.kind === "told") changeTogether(weatherChanges(answer.weather));
  };
  return (
    <div data-testid="station-weather" className="block actions">
      <Button onClick={() => void ask()}>Ask the weather station</Button>
      <span role="status" className="soft small">
        {said === undefined
          ? "It tells frost, air, rain and dry days for the moment of the find."
          : said.kind === "silent"
            ? said.text
            : `Written in from ${said.station}. Put right what you know better.`}
      </span>
    </div>
  );
}
