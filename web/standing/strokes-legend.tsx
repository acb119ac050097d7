/** What the strokes mean, at a touch, where they stand. */
import HelpOutlined from "@mui/icons-material/HelpOutlineOutlined";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import IconButton from "@mui/material/IconButton";
import { memo, useState } from "react";

const KINDS = [
  {
    kind: "hard",
    width: 5,
    words: "One thing seen that such a kind never shows. One mistake would have to hide in it.",
  },
  { kind: "soft", width: 2, words: "Something that seldom shows there. Such strokes alone never rule a danger out." },
  { kind: "masked", width: 4, words: "It would speak against the danger, but proves nothing today: rain, frost, age." },
] as const;

export const StrokesLegend = memo(function StrokesLegend() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <IconButton aria-label="What the strokes mean" onClick={() => setOpen(true)} className="standing-help">
        <HelpOutlined />
      </IconButton>
      {open && (
        <Dialog open onClose={() => setOpen(false)} aria-labelledby="strokes-title" maxWidth="sm">
          <DialogTitle id="strokes-title">How far a danger stands</DialogTitle>
          <DialogContent>
            <p className="lead-in">
              Each stroke is one separate mistake that would have to be made for this to be that danger after all. With
              no stroke it touches the find: nothing speaks against it yet.
            </p>
            <dl className="legend">
              {KINDS.map(({ kind, width, words }) => (
                <div key={kind} className="legend-row">
                  <dt>
                    <svg width={30} height={24} role="img" aria-label={`${kind} stroke`} className="strokes">
                      <line x1={15} x2={15} y1={1} y2={23} className={`stroke-${kind}`} strokeWidth={width} />
                    </svg>
                  </dt>
                  <dd>{words}</dd>
                </div>
              ))}
            </dl>
          </DialogContent>
          <DialogActions>
            <Button variant="contained" onClick={() => setOpen(false)}>
              Close
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </>
  );
});
