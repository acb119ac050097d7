/** The way through the application, in two levels: what there is, and what belongs to what is open. */
import { memo } from "react";
import { Link, useMatch } from "react-router";
import {
  FIND_PAGES,
  findPath,
  KITCHEN_PAGES,
  OTHERS_PAGES,
  OUTING_PAGES,
  PRACTICE_PAGES,
  SEASON_PAGES,
  STOPS,
} from "../addresses.ts";
import { under } from "../base.ts";
import { SharedNote } from "../circles/shared-note.tsx";
import { useSharedFind } from "../circles/use-shared.ts";
import { IllStop } from "./ill-stop.tsx";
import { MoreMenu } from "./more-menu.tsx";
import { Stops } from "./stops.tsx";

/** The bar at the top of the light half: the first level on a desk, the second at both sizes. */
export const Trail = memo(function Trail() {
  const id = useMatch("/finds/:id/*")?.params.id;
  const shared = useSharedFind(id);
  const isInKitchen = useMatch("/kitchen/*") !== null;
  const isOut = useMatch("/outing/*") !== null;
  const isInSeason = useMatch("/season/*") !== null;
  const isPractising = useMatch("/practice/*") !== null;
  return (
    <header className="trail">
      <div className="trail-first">
        <Link to="/finds" className="trail-name">
          <img src={under("/mark.svg")} alt="" width={24} height={24} />
          Jittery Cap
        </Link>
        <Stops label="The trail" stops={STOPS} />
        <IllStop />
        <MoreMenu />
      </div>
      {id !== undefined && id !== "prints" && (
        <Stops
          label="This find"
          stops={(shared === undefined ? FIND_PAGES : OTHERS_PAGES).map(({ page, name }) => ({
            to: findPath(id, page),
            name,
          }))}
          isSecond
        />
      )}
      <SharedNote id={id} />
      {isOut && <Stops label="Outing" stops={OUTING_PAGES} isSecond />}
      {isInSeason && <Stops label="Season" stops={SEASON_PAGES} isSecond />}
      {isPractising && <Stops label="Practice" stops={PRACTICE_PAGES} isSecond />}
      {isInKitchen && <Stops label="Kitchen" stops={KITCHEN_PAGES} isSecond />}
    </header>
  );
});
