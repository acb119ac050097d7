/** Sorting at the table: every body once more against its record, in good light, before washing takes the features away. */
import { type Carried, CHARACTER_WORDS, type CharacterId, type Find, stateWords } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import type { ShownDecision } from "../documents/decisions.ts";
import { keepTouch, together, touchNow } from "../documents/documents.ts";
import { beginApart } from "../session/begin-find.ts";
import { BodyPicture } from "./body-picture.tsx";
import { KitchenFrame } from "./kitchen-frame.tsx";
import { type Kitchen, useKitchen } from "./use-kitchen.ts";

const PICTURE = 132;
/** What is looked at once more: what a slip or a stranger shows first. */
const LOOKED_AT = ["base", "ring", "gill-colour", "pore-colour", "underside"] as const satisfies readonly CharacterId[];

export function TableView() {
  const kitchen = useKitchen();
  return (
    <KitchenFrame
      kitchen={kitchen}
      title="Sort at the table"
      light={(known) => <Bodies kitchen={known} />}
      dark={(known) => <Left kitchen={known} />}
    />
  );
}

const foodOf = (kitchen: Kitchen) => kitchen.carried.filter((one) => one.compartment !== "apart-from-food");

function sortedOf({ decisions }: Kitchen, { find, body, decidedAt }: Carried) {
  const sorted = decisions.find((one) => one.find.id === find)?.current?.bodies.find((one) => one.id === body)?.sorted;
  return sorted !== undefined && Date.parse(sorted.at) >= Date.parse(decidedAt) ? sorted : undefined;
}

function Left({ kitchen }: { readonly kitchen: Kitchen }) {
  const food = foodOf(kitchen);
  const open = food.filter((one) => sortedOf(kitchen, one) === undefined).length;
  return (
    <>
      <p className="said">
        {open === 0 ? (food.length === 0 ? "Nothing on the table" : "All looked at") : `${open} still to look at`}
      </p>
      <p className="lead-in">
        Good light, before washing: cleaning takes the features away. Foot, ring and gills of each against its record. A
        stranger goes back to a find of its own and is judged there.
      </p>
      <Button component={RouterLink} to="/kitchen/meal" variant={open === 0 ? "contained" : "outlined"} size="large">
        To the meal
      </Button>
    </>
  );
}

function Bodies({ kitchen }: { readonly kitchen: Kitchen }) {
  const [stranger, setStranger] = useState<{ readonly id: string; readonly body: string }>();
  const food = foodOf(kitchen);
  return (
    <>
      <h1 className="view-title">On the table</h1>
      {stranger !== undefined && (
        <Alert severity="warning" role="status">
          {stranger.body} is not food: it is judged anew in its own find.{" "}
          <Link component={RouterLink} to={findPath(stranger.id, "record", "bodies")}>
            Open it
          </Link>
        </Alert>
      )}
      {food.length === 0 && <p>Nothing that is cleared lies in the basket.</p>}
      <ul className="table-bodies">
        {food.map((one) => (
          <OnTable
            key={`${one.find} ${one.body}`}
            carried={one}
            decision={kitchen.decisions.find(({ find }) => find.id === one.find)}
            sorted={sortedOf(kitchen, one)?.as}
            onStranger={setStranger}
          />
        ))}
      </ul>
    </>
  );
}

/** What the record says of foot, ring and gills. */
function recorded(find: Find | undefined, body: string): readonly string[] {
  const seen = find?.bodies.find((one) => one.id === body)?.seen ?? [];
  return LOOKED_AT.flatMap((character) => {
    const states = seen.filter((entry) => entry.character === character).flatMap((entry) => entry.states ?? []);
    return states.length === 0
      ? []
      : [
          `${CHARACTER_WORDS[character].plain}: ${[...new Set(states)].map((state) => stateWords(character, state)).join(" or ")}`,
        ];
  });
}

interface OnTableProps {
  readonly carried: Carried;
  readonly decision: ShownDecision | undefined;
  readonly sorted: "as-recorded" | "stranger" | undefined;
  readonly onStranger: (one: { readonly id: string; readonly body: string }) => void;
}

function OnTable({ carried: { find, body, label }, decision, sorted, onStranger }: OnTableProps) {
  const now = decision?.current;
  const say = (as: "as-recorded" | "stranger") =>
    keepTouch(
      "find",
      find,
      touchNow([{ kind: "set-body", body, field: "sorted", value: { as, at: new Date().toISOString() } }]),
    );
  const apart = async () => {
    await say("stranger");
    const split = await together(async () => {
      const begun = now === undefined ? undefined : await beginApart(now, [body]);
      if (begun !== undefined) await keepTouch("find", find, touchNow([...begun.changes]));
      return begun;
    });
    // a lone body is its find: it is judged where it is
    onStranger({ id: split?.id ?? find, body });
  };
  return (
    <li className="table-body" data-table={`${find} ${body}`} data-sorted={sorted ?? "open"}>
      <BodyPicture decision={decision} body={body} size={PICTURE} />
      <div>
        <div className="strong">{body}</div>
        <div className="small soft">{label}</div>
        <ul className="table-recorded small">
          {recorded(now, body).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </div>
      <div className="actions">
        <Button
          variant={sorted === "as-recorded" ? "contained" : "outlined"}
          aria-pressed={sorted === "as-recorded"}
          onClick={() => void say("as-recorded")}
        >
          As recorded
        </Button>
        <Button onClick={() => void apart()} aria-label={`${body} of ${label} is a stranger`}>
          A stranger
        </Button>
      </div>
    </li>
  );
}
