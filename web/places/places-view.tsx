/** Places: where one goes, each with what is known of it and what it may bring; a new one, or those of a file. */

import { newPlace } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useNavigate } from "react-router";
import { placePath } from "../addresses.ts";
import { make } from "../documents/keep-fields.ts";
import { SeasonFrame } from "../season/season-frame.tsx";
import type { Season } from "../season/use-season.ts";
import { PlaceFiles } from "./place-files.tsx";
import { PlaceLine } from "./place-line.tsx";
import "./places.css";

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
  const { places } = season;
  const sorted = [...places].sort((one, other) => one.content.name.localeCompare(other.content.name));
  return (
    <>
      <h1 className="view-title">Places</h1>
      {sorted.length === 0 && <p className="soft">No place is kept yet.</p>}
      <ul className="lines">
        {sorted.map((place) => (
          <PlaceLine key={place.id} place={place} season={season} />
        ))}
      </ul>
      <NewPlace />
      <PlaceFiles places={sorted} />
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
