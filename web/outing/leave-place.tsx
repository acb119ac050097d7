/** Leaving a place: how long was searched, what was left to grow on and how large, what was weeded. */
import { minutesOf, openSearch } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { NumberField } from "../layout/number-field.tsx";
import { LeftToGrow } from "./left-to-grow.tsx";
import { changeOuting, searchAt } from "./on-the-way.ts";
import type { WholeOuting } from "./use-outing.ts";

interface LeavePlaceProps {
  readonly outing: WholeOuting;
  readonly onClose: () => void;
}

export function LeavePlace({ outing: { id, content, places, finds }, onClose }: LeavePlaceProps) {
  const search = openSearch(content);
  const [next, setNext] = useState("");
  const [minutes, setMinutes] = useState<number>();
  const [weeded, setWeeded] = useState("");
  const place = places.find((one) => one.id === search?.place);
  const searched = search === undefined ? 0 : Math.round(minutesOf(search, Date.now()));
  const leave = async () => {
    const at = new Date().toISOString();
    if (search !== undefined)
      await changeOuting(id, ({ searches, nothing }) => ({
        searches: searches.map((one) =>
          one.id === search.id
            ? {
                ...one,
                to: Date.parse(at) < Date.parse(one.from) ? one.from : at,
                minutes: minutes ?? searched,
                ...(weeded.trim() === "" ? {} : { weeded: weeded.trim() }),
                ...(finds.every(({ content: find }) => !isWithin(find.foundAt, one.from)) &&
                nothing.some((told) => told.at >= one.from)
                  ? { nothing: true }
                  : {}),
              }
            : one,
        ),
      }));
    if (next !== "") await searchAt(id, next === "new" ? undefined : next, at);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>
        {search === undefined ? "Where do you search now?" : `Leave ${place?.content.name ?? "here"}`}
      </DialogTitle>
      <DialogContent>
        <div className="fields">
          {search !== undefined && (
            <div className="outing-field">
              <span>Searched</span>
              <NumberField
                label="Minutes searched"
                unit="min"
                value={minutes ?? searched}
                onSet={(value) => setMinutes(value === null || value < 0 ? undefined : value)}
              />
            </div>
          )}
          {search !== undefined && (
            <>
              <LeftToGrow place={search.place} />
              <TextField
                label="What was weeded, if anything"
                value={weeded}
                onChange={(event) => setWeeded(event.target.value)}
              />
            </>
          )}
          <ChooseFrom label="Where to now" value={next} onChange={setNext}>
            <option value="">on the way, no search</option>
            <option value="new">a place that is not known yet</option>
            {places.map((one) => (
              <option key={one.id} value={one.id}>
                {one.content.name}
              </option>
            ))}
          </ChooseFrom>
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Stay</Button>
        <Button variant="contained" onClick={() => void leave()}>
          {search === undefined ? "Search" : "Leave"}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const isWithin = (foundAt: string | undefined, from: string): boolean =>
  foundAt !== undefined && Date.parse(foundAt) >= Date.parse(from);
