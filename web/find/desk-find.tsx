/** Find on a desk: the troop and the plate on the left, a station at a time beside it, keys along the foot. */
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo } from "react";
import { Link, useNavigate } from "react-router";
import { useShallow } from "zustand/react/shallow";
import { Trail } from "../card/trail.tsx";
import { useFind } from "../state/find-state.ts";
import { tone } from "../theme/tokens.ts";
import { BodiesRow } from "./bodies-row.tsx";
import { FindTitle } from "./find-title.tsx";
import { Plate } from "./plate.tsx";
import { SavedLine } from "./saved-line.tsx";
import type { ShownFind } from "./shown-find.ts";
import { StationPanel } from "./station-panel.tsx";

interface DeskFindProps extends ShownFind {
  readonly onHelp: () => void;
}

export const DeskFind = memo(function DeskFind({ onHelp, ...shown }: DeskFindProps) {
  const { find, body, station, onChange, onBody, onAddBody } = shown;
  const { undo, redo, done, undone } = useFind(
    useShallow(({ undo, redo, done, undone }) => ({ undo, redo, done, undone })),
  );
  const navigate = useNavigate();
  return (
    <>
      <Trail view="find" findId={find.id} />
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        <Box
          sx={{
            width: 376,
            flex: "none",
            borderRight: `1px solid ${tone.boneLine}`,
            px: 2.5,
            pt: 1.75,
            pb: 1,
            display: "flex",
            flexDirection: "column",
            overflowY: "auto",
          }}
        >
          <FindTitle find={find} onChange={onChange} />
          <Box sx={{ pt: 0.5 }}>
            <BodiesRow find={find} chosen={body.id} onChoose={onBody} onAdd={onAddBody} />
          </Box>
          <Box sx={{ flex: 1, display: "flex", flexDirection: "column", justifyContent: "center" }}>
            <Plate find={find} body={body} station={station.id} />
          </Box>
          <Box sx={{ display: "flex", gap: 2.5 }}>
            {(["ground", "bodies"] as const).map((id) => (
              <Box
                key={id}
                component={Link}
                to={`/find/${find.id}/${id}`}
                replace
                aria-current={station.id === id ? "step" : undefined}
                sx={{
                  color: tone.ink,
                  fontWeight: 700,
                  py: 1,
                  textDecoration: station.id === id ? "underline" : "none",
                  textUnderlineOffset: 4,
                  textDecorationThickness: 2,
                  "&:hover": { textDecoration: "underline" },
                }}
              >
                {id === "ground" ? "Ground" : "Bodies"}
              </Box>
            ))}
          </Box>
        </Box>
        <Box key={station.id} sx={{ flex: 1, minWidth: 0, overflowY: "auto", px: 3.25, pt: 2.25 }}>
          <StationPanel {...shown} single={false} />
        </Box>
      </Box>
      <Box
        component="footer"
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 2,
          px: 2.5,
          minHeight: 50,
          borderTop: `1px solid ${tone.boneLine}`,
          color: tone.inkSoft,
          fontSize: "0.9375rem",
          flex: "none",
        }}
      >
        <FootKey label="1–9" what="answer" />
        <FootKey label="← →" what="character" />
        <FootKey label="N" what="next body" />
        <FootButton onClick={undo} disabled={done.length === 0} label="Z" what="undo" />
        <FootButton onClick={redo} disabled={undone.length === 0} label="Y" what="redo" />
        <FootButton onClick={() => navigate(`/find/${find.id}/run`)} disabled={false} label="H" what="hands-free" />
        <FootButton onClick={onHelp} disabled={false} label="?" what="keys" />
        <FootButton onClick={() => navigate(`/find/${find.id}/history`)} disabled={false} label="" what="history" />
        <Box sx={{ ml: "auto" }}>
          <SavedLine />
        </Box>
      </Box>
    </>
  );
});

function FootKey({ label, what }: { label: string; what: string }) {
  return (
    <span>
      <b style={{ color: tone.ink }}>{label}</b> {what}
    </span>
  );
}

function FootButton({
  label,
  what,
  onClick,
  disabled,
}: {
  label: string;
  what: string;
  onClick: () => void;
  disabled: boolean;
}) {
  return (
    <ButtonBase
      onClick={onClick}
      disabled={disabled}
      sx={{
        font: "inherit",
        color: "inherit",
        minHeight: 40,
        px: 0.5,
        gap: 0.5,
        opacity: disabled ? 0.55 : 1,
        "&:hover": { color: tone.ink },
      }}
    >
      <b style={{ color: tone.ink }}>{label}</b> {what}
    </ButtonBase>
  );
}
