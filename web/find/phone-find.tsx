/** Find in one hand: station tabs under the dark band, the body and its switch, one station's questions, a bar for the thumb. */
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo } from "react";
import { Link } from "react-router";
import { useShallow } from "zustand/react/shallow";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { BodiesRow } from "./bodies-row.tsx";
import { FindTitle } from "./find-title.tsx";
import { SavedLine } from "./saved-line.tsx";
import type { ShownFind } from "./shown-find.ts";
import { StationPanel } from "./station-panel.tsx";
import { StationTabs } from "./station-tabs.tsx";
import type { StationId } from "./stations.ts";

interface PhoneFindProps extends ShownFind {
  readonly onMove: (by: 1 | -1) => void;
}

const FIGURE_HEIGHT = 64;
/** Stations at which a find is named on a phone; elsewhere the room belongs to what is looked at. */
const NAMED_AT: ReadonlySet<StationId> = new Set<StationId>(["ground", "bodies"]);

export const PhoneFind = memo(function PhoneFind({ onMove, ...shown }: PhoneFindProps) {
  const { find, body, station, onBody, onAddBody } = shown;
  const { undo, done } = useFind(useShallow(({ undo, done }) => ({ undo, done })));
  return (
    <>
      <StationTabs findId={find.id} station={station.id} />
      <Box key={station.id} sx={{ flex: 1, minHeight: 0, overflowY: "auto", px: 2.5 }}>
        <Box
          sx={{
            display: "flex",
            justifyContent: "space-between",
            alignItems: "flex-end",
            borderBottom: `1px solid ${tone.boneLine}`,
            pt: 0.5,
            mb: 1.5,
          }}
        >
          <BodiesRow
            find={find}
            chosen={body.id}
            onChoose={onBody}
            onAdd={onAddBody}
            height={FIGURE_HEIGHT}
            words={false}
          />
          <Box sx={{ fontSize: "0.875rem", color: tone.inkSoft, pb: 0.75, textAlign: "right" }}>
            <Box
              component={Link}
              to={`/find/${find.id}/run`}
              sx={{
                display: "flex",
                alignItems: "center",
                justifyContent: "flex-end",
                minHeight: TOUCH - 8,
                color: tone.ink,
                fontSize: "1rem",
                fontWeight: 600,
              }}
            >
              Hands-free
            </Box>
            <Box
              component={Link}
              to="/log"
              sx={{
                display: "flex",
                alignItems: "center",
                justifyContent: "flex-end",
                minHeight: TOUCH - 8,
                color: tone.ink,
                fontSize: "1rem",
                fontWeight: 600,
              }}
            >
              Log
            </Box>
            <SavedLine />
          </Box>
        </Box>
        {NAMED_AT.has(station.id) && (
          <Box sx={{ pb: 1.5 }}>
            <FindTitle find={find} onChange={shown.onChange} />
            <Box component={Link} to={`/find/${find.id}/history`} sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
              History
            </Box>
          </Box>
        )}
        <StationPanel {...shown} single />
      </Box>
      <Box
        component="footer"
        sx={{
          display: "grid",
          gridTemplateColumns: "1fr 1fr 1fr 1fr",
          gap: 0,
          borderTop: `1px solid ${tone.boneLine}`,
          flex: "none",
          bgcolor: tone.boneDeep,
        }}
      >
        <ThumbButton onClick={undo} disabled={done.length === 0}>
          Undo
        </ThumbButton>
        <ThumbButton onClick={() => onMove(-1)}>Back</ThumbButton>
        <ThumbButton onClick={() => onMove(1)}>Next</ThumbButton>
        <Box
          component={Link}
          to={`/decide/${find.id}`}
          sx={{
            display: "flex",
            alignItems: "center",
            justifyContent: "center",
            minHeight: TOUCH + 6,
            color: tone.ink,
            fontWeight: 750,
            textDecoration: "none",
          }}
        >
          Decide
        </Box>
      </Box>
    </>
  );
});

function ThumbButton({
  children,
  onClick,
  disabled = false,
}: {
  children: string;
  onClick: () => void;
  disabled?: boolean;
}) {
  return (
    <ButtonBase
      onClick={onClick}
      disabled={disabled}
      sx={{
        minHeight: TOUCH + 6,
        fontSize: "1.0625rem",
        fontWeight: 600,
        borderRight: `1px solid ${tone.boneLine}`,
        color: tone.ink,
        opacity: disabled ? 0.5 : 1,
      }}
    >
      {children}
    </ButtonBase>
  );
}
