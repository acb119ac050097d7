/** One place: where it is, what grows there, what lies in its ground, who allows what, its patches, and who may see it. */
import {
  dangersThere,
  type KeptPlace,
  middleOf,
  type OwnPlace,
  PLACE_HABITATS,
  PLACE_HOSTS,
} from "@jittery-cap/core/season";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { lazy, Suspense, useState } from "react";
import { Link, useParams } from "react-router";
import { setArchived } from "../documents/documents.ts";
import { setFields } from "../documents/keep-fields.ts";
import { Section } from "../layout/section.tsx";
import { sceneOf } from "../plan/plan-of.ts";
import { dayWords } from "../season/local-day.ts";
import { SeasonFrame } from "../season/season-frame.tsx";
import type { Season } from "../season/use-season.ts";
import { WhatStands } from "../season/what-stands.tsx";
import { OwnWords } from "./own-words.tsx";
import { Patches } from "./patches.tsx";
import { PlaceBrings } from "./place-brings.tsx";
import { PlaceRules } from "./place-rules.tsx";
import { PlaceShown } from "./place-shown.tsx";
import { StatesToggle } from "./states-toggle.tsx";
import "./places.css";

const PlaceMap = lazy(() => import("./place-map.tsx").then((module) => ({ default: module.PlaceMap })));

export function PlaceView() {
  const { id } = useParams();
  const found = (season: Season) => season.places.find((place) => place.id === id);
  return (
    <SeasonFrame
      title="Place"
      light={(season) => {
        const place = found(season);
        return place === undefined ? (
          <Alert severity="error">
            There is no such place on this device, or it was put away. What was found there stays.{" "}
            <Link to="/season/places">All places</Link>
          </Alert>
        ) : (
          <Place place={place} season={season} />
        );
      }}
      dark={(season) => {
        const place = found(season);
        if (place === undefined) return null;
        return (
          <WhatStands
            dangers={dangersThere(season.sheets, sceneOf(place, season.today))}
            nameOf={season.nameOf}
            where={`on ${dayWords(season.today)}, at ${place.content.name}`}
          />
        );
      }}
    />
  );
}

/** Sets fields of a place, and says what is wrong with them where anything is. */
export type SetPlace = (fields: { readonly [Field in keyof OwnPlace]?: OwnPlace[Field] | null }) => void;

function Place({ place, season }: { readonly place: KeptPlace; readonly season: Season }) {
  const { id, content } = place;
  const [fault, setFault] = useState<string>();
  const set: SetPlace = (fields) => void setFields("place", id, fields).then(setFault);
  const finds = season.finds.filter((find) => find.placeId === id);
  return (
    <>
      <h1 className="unseen">{content.name}</h1>
      <OwnWords
        label="Name of the place"
        value={content.name}
        className="place-name"
        onSet={(name) => name !== null && set({ name })}
      />
      {fault !== undefined && <Alert severity="error">Not kept: {fault}</Alert>}
      <Suspense fallback={<p className="soft">Fetching the map.</p>}>
        <PlaceMap place={content} finds={finds} onSet={set} />
      </Suspense>
      <PlaceBrings place={place} season={season} />
      <Section
        title="What grows there"
        about="Trees and ground as you know them. A find is still looked at by itself: none of this is taken into its record."
      >
        <StatesToggle
          label="Ground"
          character="habitat"
          states={PLACE_HABITATS}
          value={content.habitat ?? []}
          onSet={(habitat) => set({ habitat: habitat.length === 0 ? null : habitat })}
        />
        <StatesToggle
          label="Trees"
          character="host"
          states={PLACE_HOSTS}
          value={content.host ?? []}
          onSet={(host) => set({ host: host.length === 0 ? null : host })}
        />
      </Section>
      <PlaceRules content={content} onSet={set} />
      <Patches place={place} season={season} onSet={set} />
      <PlaceShown place={place} onSet={set} />
      <PutAway place={place} finds={finds.length} />
    </>
  );
}

function PutAway({ place: { id, content }, finds }: { readonly place: KeptPlace; readonly finds: number }) {
  const [isAsking, setIsAsking] = useState(false);
  return (
    <Section title="Put it away">
      {isAsking ? (
        <Alert
          severity="warning"
          action={
            <Button variant="contained" onClick={() => void setArchived("place", id, true)}>
              Put it away
            </Button>
          }
        >
          {finds === 0
            ? "No find stands in it."
            : `${finds} ${finds === 1 ? "find stands" : "finds stand"} in it: they stay, with their positions and the name ${content.name}.`}
        </Alert>
      ) : (
        <Button onClick={() => setIsAsking(true)}>Put {content.name} away</Button>
      )}
      {middleOf(content) === undefined && (
        <p className="soft small above">Without a position it is on no map and on no round.</p>
      )}
    </Section>
  );
}
