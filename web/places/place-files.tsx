/** Places from other programs and for them: as each shows itself to others, or exactly, for oneself. */
import { geoJsonOfPlaces, type KeptPlace, placesOfGeoJson } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useState } from "react";
import { make } from "../documents/keep-fields.ts";
import { saveFile } from "../exchange/save-file.ts";
import { FileButton } from "../layout/file-button.tsx";

export function PlaceFiles({ places: sorted }: { readonly places: readonly KeptPlace[] }) {
  const [said, setSaid] = useState<string>();
  const take = async (file: File) => {
    const read = placesOfGeoJson(await file.text());
    if (!read.ok)
      return setSaid(
        `Nothing was taken in: ${read.faults.map(({ path, message }) => `${path}: ${message}`).join("; ")}`,
      );
    for (const place of read.value.places) await make("place", place);
    return setSaid(
      `${read.value.places.length} ${read.value.places.length === 1 ? "place is" : "places are"} here, shown to nobody${read.value.leftOut > 0 ? `; ${read.value.leftOut} were neither point nor area and are left out` : ""}.`,
    );
  };
  return (
    <>
      <div className="actions above-2">
        <FileButton
          label="Places of a file"
          accept=".geojson,.json,application/geo+json"
          onFile={(file) => void take(file)}
        >
          Places of a file (GeoJSON)
        </FileButton>
        <Button
          disabled={sorted.length === 0}
          onClick={() =>
            saveFile(
              geoJsonOfPlaces(
                sorted.map(({ content }) => content),
                "others",
              ),
              "places-for-others.geojson",
              "application/geo+json",
            )
          }
        >
          A file for others, as each shows itself
        </Button>
        <Button
          variant="quiet"
          disabled={sorted.length === 0}
          onClick={() =>
            saveFile(
              geoJsonOfPlaces(
                sorted.map(({ content }) => content),
                "oneself",
              ),
              "places.geojson",
              "application/geo+json",
            )
          }
        >
          For yourself, exactly
        </Button>
      </div>
      {said !== undefined && <p role="status">{said}</p>}
    </>
  );
}
