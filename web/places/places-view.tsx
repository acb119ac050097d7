/** Places: where one goes, each with what is known of it and what it may bring; a new one, or those of a file. */

import { stateWords, wordList } from "@jittery-cap/core";
import {
  geoJsonOfPlaces,
  isClosedIn,
  isDirty,
  middleOf,
  monthOf,
  newPlace,
  placesOfGeoJson,
} from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { placePath } from "../addresses.ts";
import { make } from "../documents/keep-fields.ts";
import { saveFile } from "../exchange/save-file.ts";
import { FileButton } from "../layout/file-button.tsx";
import { SeasonFrame } from "../season/season-frame.tsx";
import type { Season } from "../season/use-season.ts";

export function PlacesView() {
  return (
    <SeasonFrame
      title="Places"
      light={(season) => <Places season={season} />}
      dark={() => (
        <>
          <p className="said">Where you go is yours</p>
          <p className="soft">
            Positions are the most private thing a forager has. Each place says for itself what of it others may see:
            nothing, unless you say otherwise. Packets for a second pair of eyes never carry a place, and files carry it
            as exactly as you choose when you write them.
          </p>
          <p className="soft above">
            What the law and the owner allow is for you to know: it is kept here as you enter it.
          </p>
        </>
      )}
    />
  );
}

function Places({ season }: { readonly season: Season }) {
  const { places, visits, finds, today } = season;
  const [said, setSaid] = useState<string>();
  const sorted = [...places].sort((one, other) => one.content.name.localeCompare(other.content.name));
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
      <h1 className="view-title">Places</h1>
      {sorted.length === 0 && <p className="soft">No place is kept yet.</p>}
      <ul className="lines">
        {sorted.map(({ id, content }) => {
          const own = visits.filter((visit) => visit.place === id);
          const found = finds.filter((find) => find.placeId === id).length;
          const grows = [...(content.habitat ?? []), ...(content.host ?? [])].map((state) =>
            stateWords("habitat", state),
          );
          return (
            <li key={id} className="place-line" data-place={content.name}>
              <Link to={placePath(id)} className="strong large">
                {content.name}
              </Link>
              <span className="soft">
                {own.length === 1 ? "1 visit" : `${own.length} visits`},{" "}
                {own.filter((visit) => visit.finds.size === 0).length} empty, {found} finds
              </span>
              <span className="soft small">
                {grows.length > 0 ? wordList(grows, "and") : "nothing is told of its ground"}
                {middleOf(content) === undefined && "; no position"}
              </span>
              {(isDirty(content) || isClosedIn(content, monthOf(today))) && (
                <span className="stands small">
                  {[
                    isDirty(content) ? "unclean ground" : "",
                    isClosedIn(content, monthOf(today)) ? "closed this month" : "",
                  ]
                    .filter((word) => word !== "")
                    .join(", ")}
                </span>
              )}
            </li>
          );
        })}
      </ul>
      <NewPlace />
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

function NewPlace() {
  const navigate = useNavigate();
  const [name, setName] = useState("");
  return (
    <form
      className="actions above-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== "") void make("place", newPlace(name.trim())).then((id) => navigate(placePath(id)));
      }}
    >
      <TextField
        label="Name of a new place"
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <Button type="submit" variant="contained" disabled={name.trim() === ""}>
        New place
      </Button>
    </form>
  );
}
