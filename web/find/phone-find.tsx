/** Record in one hand: station tabs under the dark band, the troop, one question at a time, a bar for the thumb. */
import MoreVert from "@mui/icons-material/MoreVert";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { memo, useState } from "react";
import { Link } from "react-router";
import { type FindPage, findPath } from "../addresses.ts";
import { SharedNote } from "../circles/shared-note.tsx";
import { useSharedFind } from "../circles/use-shared.ts";
import { usePreferences } from "../device/preferences.ts";
import { useFind } from "../session/session-context.tsx";
import { BodiesRow } from "../specimen/bodies-row.tsx";
import type { StationId } from "../specimen/stations.ts";
import { FindTitle } from "./find-title.tsx";
import { SavedLine } from "./saved-line.tsx";
import type { ShownFind } from "./shown-find.ts";
import { StationPanel } from "./station-panel.tsx";
import { StationTabs } from "./station-tabs.tsx";

interface PhoneFindProps extends ShownFind {
  readonly onMove: (by: 1 | -1) => void;
  readonly onUndo: () => void;
  /** Whether several states are told of the question on the screen. */
  readonly isSeveral: boolean;
  readonly onSeveral: () => void;
}

const FIGURE_HEIGHT = 64;
/** Stations at which a find is named on a phone; elsewhere the room belongs to what is looked at. */
const NAMED_AT: ReadonlySet<StationId> = new Set<StationId>(["ground", "bodies"]);

export const PhoneFind = memo(function PhoneFind(props: PhoneFindProps) {
  const { onMove, onUndo, isSeveral, onSeveral, ...shown } = props;
  const { find, body, station, onBody, onAddBody } = shown;
  return (
    <>
      <StationTabs findId={find.id} station={station.id} />
      <SharedNote id={find.id} />
      <div key={station.id} className="phone-body">
        <div className="phone-troop">
          <BodiesRow
            find={find}
            chosen={body.id}
            onChoose={onBody}
            onAdd={onAddBody}
            height={FIGURE_HEIGHT}
            words={false}
          />
          <div className="phone-side">
            <SavedLine />
          </div>
        </div>
        {NAMED_AT.has(station.id) && <FindTitle find={find} onChange={shown.onChange} />}
        <StationPanel {...shown} single isSeveral={isSeveral} onSeveral={onSeveral} />
      </div>
      <ThumbBar findId={find.id} onMove={onMove} onUndo={onUndo} />
    </>
  );
});

const MORE: readonly { readonly page: FindPage; readonly name: string }[] = [
  { page: "run", name: "Hands-free" },
  { page: "tests", name: "Tests" },
  { page: "history", name: "History" },
  { page: "rules", name: "House rules" },
];

interface ThumbBarProps {
  readonly findId: string;
  readonly onMove: (by: 1 | -1) => void;
  readonly onUndo: () => void;
}

const ThumbBar = memo(function ThumbBar({ findId, onMove, onUndo }: ThumbBarProps) {
  const { goesOn, prefer } = usePreferences();
  const canUndo = useFind((state) => state.done.length > 0);
  const [moreAt, setMoreAt] = useState<HTMLElement | null>(null);
  // what becomes of another's find is its finder's to say
  const isAnothers = useSharedFind(findId) !== undefined;
  return (
    <footer className="thumb">
      <Button variant="thumb" onClick={onUndo} disabled={!canUndo}>
        Undo
      </Button>
      <Button variant="thumb" onClick={() => onMove(-1)}>
        Back
      </Button>
      <Button variant="thumb" onClick={() => onMove(1)}>
        Onward
      </Button>
      <Button variant="thumb" component={Link} to={findPath(findId, isAnothers ? "history" : "decide")}>
        {isAnothers ? "History" : "Decide"}
      </Button>
      <IconButton
        disabled={isAnothers}
        aria-label="More of this find"
        aria-haspopup="menu"
        sx={{ width: 54 }}
        onClick={(event) => setMoreAt(event.currentTarget)}
      >
        <MoreVert />
      </IconButton>
      {moreAt !== null && (
        <Menu anchorEl={moreAt} open onClose={() => setMoreAt(null)}>
          {MORE.map(({ page, name }) => (
            <MenuItem key={page} component={Link} to={findPath(findId, page)}>
              {name}
            </MenuItem>
          ))}
          <MenuItem
            role="menuitemcheckbox"
            aria-checked={goesOn}
            onClick={() => {
              prefer({ goesOn: !goesOn });
              setMoreAt(null);
            }}
          >
            {goesOn ? "Stay at a question once it is answered" : "Go on by itself once a question is answered"}
          </MenuItem>
        </Menu>
      )}
    </footer>
  );
});
