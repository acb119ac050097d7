/** The finds that others share with one. */
import type { Find } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { useLiveQuery } from "dexie-react-hooks";
import { useState } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { readKept } from "../documents/documents.ts";
import { dayOf, dayWords } from "../season/local-day.ts";
import { type SharedFind, useShared } from "./use-shared.ts";

const PLACES = { none: "", rounded: ", its place to ten kilometres", exact: ", with its place" } as const;
const A_TIME = 50;

/** What sets one of somebody's finds apart from the next: its name where it is told, its day, how many bodies. */
function aboutOf({ label, foundAt, bodies }: Find): string {
  const day = foundAt === undefined ? undefined : dayWords(dayOf(Date.parse(foundAt)));
  const count = bodies.length === 1 ? "1\u00a0body" : `${bodies.length}\u00a0bodies`;
  return [label, day, count].filter((part) => part !== undefined).join(" · ");
}

export function SharedLines({ of = () => true }: { readonly of?: (one: SharedFind) => boolean }) {
  const shared = [...useShared((state) => state.finds).values()].filter(of);
  const [most, setMost] = useState(A_TIME);
  if (shared.length === 0) return <p className="soft">Nothing just now.</p>;
  const left = shared.length - most;
  return (
    <>
      <ul className="lines" aria-label="Shared with you">
        {shared.slice(0, most).map((one) => (
          <SharedLine key={one.id} shared={one} />
        ))}
      </ul>
      {left > 0 && (
        <div className="actions above">
          <Button variant="quiet" onClick={() => setMost(most + A_TIME)}>
            {left === 1 ? "One more" : `${left} more`}
          </Button>
        </div>
      )}
    </>
  );
}

function SharedLine({ shared: { id, owner, mayRecord, place } }: { readonly shared: SharedFind }) {
  const find = useLiveQuery(async () => (await readKept("find", id))?.content, [id]);
  return (
    <li className="line">
      <Link to={findPath(id)} className="circle-line">
        <span className="strong">{find === undefined ? "Not here yet" : aboutOf(find)}</span>
        <span className="soft small">
          A find of {owner.name}’s: {mayRecord ? "you may add your own looks" : "to look at"}
          {PLACES[place]}
        </span>
      </Link>
    </li>
  );
}
