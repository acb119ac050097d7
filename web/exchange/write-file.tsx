/** Writes all finds: what is written, how exactly the places go along, and what a format cannot carry. */
import { PLACE_KINDS, type PlaceKind, TARGETS, type Target } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useState } from "react";
import { Section } from "../layout/section.tsx";
import { Choice } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";
import { useLongWork, WorkUnderWay } from "./long-work.tsx";
import { saveFile } from "./save-file.ts";
import { findsAsFile } from "./written-finds.ts";

const TARGET_WORDS: Readonly<Record<Target, { readonly name: string; readonly file: string; readonly type: string }>> =
  {
    json: { name: "our own JSON", file: "finds.json", type: "application/json" },
    csv: { name: "CSV, a row an observation", file: "finds.csv", type: "text/csv" },
    geojson: { name: "GeoJSON", file: "finds.geojson", type: "application/geo+json" },
    gpx: { name: "GPX waypoints", file: "finds.gpx", type: "application/gpx+xml" },
    "darwin-core": { name: "Darwin Core archive", file: "finds.zip", type: "application/zip" },
    ics: { name: "calendar of prints", file: "prints.ics", type: "text/calendar" },
  };
const PLACE_WORDS: Readonly<Record<PlaceKind, string>> = {
  exact: "exact places",
  "1km": "rounded to 1 km",
  "10km": "rounded to 10 km",
  none: "without places",
};

export function WriteFile() {
  const [target, setTarget] = useState<Target>("json");
  const [places, setPlaces] = useState<PlaceKind>("none");
  const [losses, setLosses] = useState<readonly string[]>();
  const work = useLongWork();
  const write = () =>
    work.begin(async (tell, signal) => {
      setLosses(undefined);
      const { content, losses: lost } = await findsAsFile(target, places, tell, signal);
      setLosses(lost);
      saveFile(content, TARGET_WORDS[target].file, TARGET_WORDS[target].type);
    });
  return (
    <Section title="Write all finds">
      <Choices label="Format" className="choices-third">
        {TARGETS.map((one) => (
          <Choice
            key={one}
            quiet
            label={TARGET_WORDS[one].name}
            state={one}
            chosen={target === one}
            onChoose={() => setTarget(one)}
          />
        ))}
      </Choices>
      <Choices label="Places" className="choices above">
        {PLACE_KINDS.map((one) => (
          <Choice
            key={one}
            quiet
            label={PLACE_WORDS[one]}
            state={one}
            chosen={places === one}
            onChoose={() => setPlaces(one)}
          />
        ))}
      </Choices>
      <Button variant="contained" sx={{ mt: 1.5 }} disabled={work.state.kind === "working"} onClick={write}>
        Write the file
      </Button>
      <WorkUnderWay work={work} what="finds written" />
      {losses !== undefined && (
        <Alert severity="info" role="status" data-testid="losses" sx={{ mt: 1 }}>
          {losses.length === 0
            ? "It carries everything."
            : losses.map((loss) => <div key={loss}>Not carried: {loss}.</div>)}
        </Alert>
      )}
    </Section>
  );
}
