/** An outing begins with one touch; who comes along, and whether the way is kept, can be said before. */
import type { Companion } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { Link } from "react-router";
import { outingPath } from "../addresses.ts";
import { usePreferences } from "../device/preferences.ts";
import { dayOf, dayWords } from "../season/local-day.ts";
import { beginOuting } from "./on-the-way.ts";
import { useOpenOutings } from "./use-outing.ts";
import type { TrackSource } from "./walk.ts";

const SOURCE_WORDS: Readonly<Record<TrackSource, string>> = {
  device: "from this device",
  simulated: "a walk nobody takes",
  none: "not kept",
};

export function Begin() {
  const { trackSource, packed, prefer } = usePreferences();
  const [companions, setCompanions] = useState<readonly Companion[]>([]);
  const [name, setName] = useState("");
  const [failed, setFailed] = useState(false);
  const add = (isNew: boolean) => {
    const told = name.trim();
    if (told !== "" && companions.every((one) => one.name !== told))
      setCompanions([...companions, { name: told, isNew }]);
    setName("");
  };
  return (
    <>
      <h1 className="unseen">Outing</h1>
      <button
        type="button"
        className="outing-found outing-begin"
        onClick={() => void beginOuting(companions, packed).catch(() => setFailed(true))}
      >
        <b>Begin an outing</b>
        <span>The day, the weather and the way are kept by themselves. What you find attaches to it.</span>
      </button>
      {failed && <p role="alert">This device could not keep it. Nothing was begun.</p>}
      <div className="outing-with">
        <h2 className="section-title">Who comes along</h2>
        <div className="actions">
          <TextField label="Name" value={name} onChange={(event) => setName(event.target.value)} />
          <Button disabled={name.trim() === ""} onClick={() => add(false)}>
            Comes along
          </Button>
          <Button disabled={name.trim() === ""} onClick={() => add(true)}>
            Is new to it
          </Button>
        </div>
        {companions.map((one) => (
          <p key={one.name} className="pot-line">
            <span className="grow">
              {one.name}
              {one.isNew && ": what they find is looked at by somebody else as well"}
            </span>
            <Button variant="quiet" onClick={() => setCompanions(companions.filter((other) => other !== one))}>
              Not {one.name}
            </Button>
          </p>
        ))}
        <h2 className="section-title above-2">The way</h2>
        <ToggleButtonGroup
          exclusive
          value={trackSource}
          onChange={(_event, next: TrackSource | null) => next !== null && prefer({ trackSource: next })}
          aria-label="Whether the way is kept"
          className="outing-by"
        >
          {(["device", "simulated", "none"] as const).map((source) => (
            <ToggleButton key={source} value={source}>
              {SOURCE_WORDS[source]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <p className="soft small above">
          It stays on this device, until you put it with the record yourself. A browser keeps it only while this stands
          open.
        </p>
      </div>
      <StillOpenOutings />
    </>
  );
}

function StillOpenOutings() {
  const open = useOpenOutings() ?? [];
  if (open.length === 0) return null;
  return (
    <div className="above-2">
      <h2 className="section-title">Not over yet</h2>
      <ul className="lines">
        {open.map(({ id, content, open: things }) => (
          <li key={id} className="open-line">
            <span className="mark" aria-hidden="true" />
            <Link to={outingPath(id)}>
              {dayWords(dayOf(Date.parse(content.begunAt)))}:{" "}
              {things.length === 0 ? "never ended" : `${things.length} open`}
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
