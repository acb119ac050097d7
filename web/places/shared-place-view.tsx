/** A place as somebody else sees it who has a link: what its owner shows, and no more. */
import { stateWords, wordList } from "@jittery-cap/core";
import { type ReplyOf, ROUTES } from "@jittery-cap/core/api";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { useParams } from "react-router";
import { valueOrNothing } from "../api/client.ts";
import { Page } from "../layout/page.tsx";

type Shown = ReplyOf<typeof ROUTES.openPlaceLink>;

export function SharedPlaceView() {
  const { token = "" } = useParams();
  const [place, setPlace] = useState<Shown | "missing">();
  useEffect(() => {
    let isGone = false;
    void valueOrNothing(ROUTES.openPlaceLink, { params: { token } }).then(
      (told) => isGone || setPlace(told ?? "missing"),
    );
    return () => {
      isGone = true;
    };
  }, [token]);
  return (
    <Page>
      <Typography variant="h2" component="h1">
        {place === undefined ? "Opening the place" : place === "missing" ? "There is no such place" : place.name}
      </Typography>
      {place === "missing" && <p>Its link may be wrong or too old, or it was taken back.</p>}
      {typeof place === "object" && <Told place={place} />}
    </Page>
  );
}

function Told({ place: { position, habitat = [], host = [], concerns = [] } }: { readonly place: Shown }) {
  return (
    <>
      <p>
        {position === undefined
          ? "Where it is, its owner keeps."
          : `About ${position.lat}, ${position.lon}, give or take ${Math.round(position.accuracyM)} m.`}
      </p>
      {habitat.length > 0 && (
        <p>
          Ground:{" "}
          {wordList(
            habitat.map((one) => stateWords("habitat", one)),
            "and",
          )}
          .
        </p>
      )}
      {host.length > 0 && (
        <p>
          Trees:{" "}
          {wordList(
            host.map((one) => stateWords("host", one)),
            "and",
          )}
          .
        </p>
      )}
      {concerns.length > 0 && (
        <p className="stands">
          Unclean by{" "}
          {wordList(
            concerns.map((one) => stateWords("concern", one)),
            "and",
          )}
          .
        </p>
      )}
      <p className="soft">
        Whoever shows you a place trusts you with it. What the law and the owner of the land allow is for you to ask.
      </p>
    </>
  );
}
