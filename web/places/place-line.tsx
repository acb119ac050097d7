/** A place as a line of the list: its visits and finds, its ground, and what speaks against taking anything there. */
import { stateWords, wordList } from "@jittery-cap/core";
import { isClosedIn, isDirty, type KeptPlace, middleOf, monthOf } from "@jittery-cap/core/season";
import { Link } from "react-router";
import { placePath } from "../addresses.ts";
import type { Season } from "../season/use-season.ts";

interface PlaceLineProps {
  readonly place: KeptPlace;
  readonly season: Season;
}

export function PlaceLine({ place: { id, content }, season: { visits, finds, today } }: PlaceLineProps) {
  const own = visits.filter((visit) => visit.place === id);
  const found = finds.filter((find) => find.placeId === id).length;
  const grows = [...(content.habitat ?? []), ...(content.host ?? [])].map((state) => stateWords("habitat", state));
  return (
    <li className="place-line" data-place={content.name}>
      <Link to={placePath(id)} className="strong large">
        {content.name}
      </Link>
      <span className="soft">
        {own.length === 1 ? "1 visit" : `${own.length} visits`}, {own.filter((visit) => visit.finds.size === 0).length}{" "}
        empty, {found} finds
      </span>
      <span className="soft small">
        {grows.length > 0 ? wordList(grows, "and") : "nothing is told of its ground"}
        {middleOf(content) === undefined && "; no position"}
      </span>
      {(isDirty(content) || isClosedIn(content, monthOf(today))) && (
        <span className="stands small">
          {[isDirty(content) ? "unclean ground" : "", isClosedIn(content, monthOf(today)) ? "closed this month" : ""]
            .filter((word) => word !== "")
            .join(", ")}
        </span>
      )}
    </li>
  );
}
