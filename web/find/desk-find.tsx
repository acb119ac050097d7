/** Record on a desk: the troop and the plate on the left, a station at a time beside it, keys along the foot. */
import Button from "@mui/material/Button";
import { type ComponentProps, memo, startTransition, useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { Trail } from "../layout/trail.tsx";
import { useFind, useSession } from "../session/session-context.tsx";
import { BodiesRow } from "../specimen/bodies-row.tsx";
import { Plate } from "../specimen/plate.tsx";
import type { StationId } from "../specimen/stations.ts";
import { FindTitle } from "./find-title.tsx";
import { SavedLine } from "./saved-line.tsx";
import type { ShownFind } from "./shown-find.ts";
import { StationPanel } from "./station-panel.tsx";

interface DeskFindProps extends ShownFind {
  readonly onHelp: () => void;
}

export const DeskFind = memo(function DeskFind({ onHelp, ...shown }: DeskFindProps) {
  const { find, body, station, onChange, onBody, onAddBody } = shown;
  return (
    <>
      <Trail />
      <div className="bench">
        <div className="bench-plate">
          <FindTitle find={find} onChange={onChange} />
          <Troop find={find} chosen={body.id} onChoose={onBody} onAdd={onAddBody} />
          <div className="bench-middle">
            <Plate find={find} body={body} station={station.id} />
          </div>
          <GroundAndBodies findId={find.id} station={station.id} />
        </div>
        <div key={station.id} className="bench-station">
          <StationPanel {...shown} single={false} />
        </div>
      </div>
      <KeysAlong findId={find.id} onHelp={onHelp} />
    </>
  );
});

/** So long at the most the troop waits for the answer, ms. */
const LONGEST_WAIT_MS = 100;

/** The troop follows the answer: the body that is looked at is on the plate, and what is on the dark half comes before the rest. */
const Troop = memo(function Troop({ find, ...row }: ComponentProps<typeof BodiesRow>) {
  const { store } = useSession();
  const [drawn, setDrawn] = useState(find);
  useEffect(() => {
    const follow = () => startTransition(() => setDrawn(find));
    const timer = setTimeout(follow, LONGEST_WAIT_MS);
    const stop = store.subscribe(({ answerState }) => {
      if (answerState !== "working") follow();
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [store, find]);
  // one more body, or one less, is there at once
  return <BodiesRow find={drawn.bodies.length === find.bodies.length ? drawn : find} {...row} />;
});

interface KeysAlongProps {
  readonly findId: string;
  readonly onHelp: () => void;
}

/** The keys that are used most; those that can be touched are buttons. */
const KeysAlong = memo(function KeysAlong({ findId, onHelp }: KeysAlongProps) {
  const { undo, redo } = useSession();
  const canUndo = useFind((state) => state.done.length > 0);
  const canRedo = useFind((state) => state.undone.length > 0);
  const navigate = useNavigate();
  return (
    <footer className="foot bench-keys">
      <span>
        <b>1–9</b> answer
      </span>
      <span>
        <b>← →</b> character
      </span>
      <Button variant="quiet" onClick={undo} disabled={!canUndo}>
        <b>Z</b> undo
      </Button>
      <Button variant="quiet" onClick={redo} disabled={!canRedo}>
        <b>Y</b> redo
      </Button>
      <Button variant="quiet" onClick={() => void navigate(findPath(findId, "run"))}>
        <b>H</b> hands-free
      </Button>
      <Button variant="quiet" onClick={onHelp}>
        <b>?</b> keys
      </Button>
      <span className="bench-saved">
        <SavedLine />
      </span>
    </footer>
  );
});

interface GroundAndBodiesProps {
  readonly findId: string;
  readonly station: StationId;
}

/** The two stations that have no place on the plate. */
const GroundAndBodies = memo(function GroundAndBodies({ findId, station }: GroundAndBodiesProps) {
  return (
    <div className="bench-links">
      {(["ground", "bodies"] as const).map((id) => (
        <Link
          key={id}
          to={findPath(findId, "record", id)}
          replace
          aria-current={station === id ? "step" : undefined}
          className="bench-link"
        >
          {id === "ground" ? "Ground" : "Bodies"}
        </Link>
      ))}
    </div>
  );
});
