/** What is open of an outing, on the dark half: each thing leads to where it is closed. */
import type { StillOpen } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { DateFor } from "../return/date-for.tsx";
import { useCommonNames } from "../sheets/use-common-names.ts";
import { changeOuting } from "./on-the-way.ts";
import { nameOf, type WholeOuting } from "./use-outing.ts";

export function OpenThings({ outing }: { readonly outing: WholeOuting }) {
  const names = useCommonNames();
  const { finds } = outing;
  const open = outing.open.map((one) => {
    const index = finds.findIndex(({ id }) => id === one.find);
    const find = finds[index];
    return find === undefined ? one : { ...one, label: nameOf(find.content, index, names) };
  });
  return (
    <>
      <p className="said">
        {open.length === 0
          ? outing.isGoing
            ? "Under way"
            : "Nothing is open"
          : open.length === 1
            ? "One thing is open"
            : `${open.length} things are open`}
      </p>
      <p className="soft">
        It is not over until every find has an ending, every print is read and every open one has a date.
      </p>
      <ul className="lines">
        {open.map((one) => (
          <li
            key={`${one.kind} ${one.find} ${"body" in one ? one.body : ""}`}
            className="open-line"
            data-open={one.kind}
          >
            <span className="mark" aria-hidden="true" />
            <OpenThing one={one} outing={outing} />
          </li>
        ))}
      </ul>
    </>
  );
}

function OpenThing({ one, outing }: { readonly one: StillOpen; readonly outing: WholeOuting }) {
  switch (one.kind) {
    case "no-ending":
      return (
        <Link to={findPath(one.find, "decide")}>
          {one.label}:{" "}
          {one.bodies.length === 1 ? `${one.bodies[0]} has no ending` : `${one.bodies.length} bodies have no ending`}
        </Link>
      );
    case "print-unread":
      return (
        <Link to={findPath(one.find, "tests", "prints")}>
          {one.label}: the print of {one.body} is not read
        </Link>
      );
    case "no-date":
      return (
        <span className="grow">
          <Link to={findPath(one.find)}>{one.label}</Link>: still open, without a date
          <DateFor find={one.find} label={one.label} place={outing.content.searches.at(-1)?.place} />
        </span>
      );
    case "only-the-new":
      return <SeenBy find={one.find} label={one.label} name={one.name} outing={outing.id} />;
  }
}

function SeenBy({
  find,
  label,
  name,
  outing,
}: {
  readonly find: string;
  readonly label: string;
  readonly name: string;
  readonly outing: string;
}) {
  const [who, setWho] = useState("");
  const told = who.trim();
  const keep = () =>
    changeOuting(outing, ({ foundBy }) => ({
      foundBy: foundBy.map((one) => (one.find === find ? { ...one, seenBy: told } : one)),
    }));
  return (
    <span className="grow">
      <Link to={findPath(find)}>{label}</Link>: found by {name}, who is new; who else looked at it?
      <span className="actions">
        <TextField label="Who looked" value={who} onChange={(event) => setWho(event.target.value)} />
        <Button disabled={told === "" || told === name} onClick={() => void keep()}>
          Looked
        </Button>
      </span>
    </span>
  );
}
