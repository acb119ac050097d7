/** The list of keys. */
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { memo } from "react";

const KEYS: readonly (readonly [string, string])[] = [
  ["1 – 9, 0", "answer, the first ten"],
  ["shift + 1 – 0", "answer, the next ten"],
  ["alt + 1 – 0", "answer, the ten after"],
  ["← →", "question before, after"],
  [", .", "station before, after"],
  ["o", "none, I looked"],
  ["c", "cannot tell"],
  ["x", "could not look"],
  ["u", "unsure of it"],
  ["n", "next body"],
  ["b", "add a body"],
  ["l", "add one that looks like this one"],
  ["s", "at Bodies: the next touch is as on the model"],
  ["a", "what matters less now: unfold, fold"],
  ["k", "check against the nearest danger only"],
  ["t", "stopwatch: start, stop"],
  ["h", "hands-free run"],
  ["z, ctrl + z", "undo"],
  ["y, ctrl + y, ctrl + shift + z", "redo"],
  ["?", "this list"],
];

interface KeyHelpProps {
  readonly open: boolean;
  readonly onClose: () => void;
}

export const KeyHelp = memo(function KeyHelp({ open, onClose }: KeyHelpProps) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <dl className="keys-list">
          {KEYS.map(([key, what]) => (
            <div key={key} style={{ display: "contents" }}>
              <dt>{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
});
