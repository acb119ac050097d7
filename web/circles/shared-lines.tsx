/** The finds that others share with one. */
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { type SharedFind, useShared } from "./use-shared.ts";

const PLACES = { none: "", rounded: ", its place to ten kilometres", exact: ", with its place" } as const;

export function SharedLines({ of = () => true }: { readonly of?: (one: SharedFind) => boolean }) {
  const shared = [...useShared((state) => state.finds).values()].filter(of);
  if (shared.length === 0) return <p className="soft">Nothing just now.</p>;
  return (
    <ul className="lines" aria-label="Shared with you">
      {shared.map((one) => (
        <li key={one.id} className="line">
          <Link to={findPath(one.id)} className="circle-line">
            <span className="strong">A find of {one.owner.name}’s</span>
            <span className="soft small">
              {one.mayRecord ? "you may add your own looks" : "to look at"}
              {PLACES[one.place]}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
