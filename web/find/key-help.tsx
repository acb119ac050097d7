/** The list of keys. */
import Box from "@mui/material/Box";
import Dialog from "@mui/material/Dialog";
import Typography from "@mui/material/Typography";

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
  ["z", "undo"],
  ["y", "redo"],
  ["?", "this list"],
];

export function KeyHelp({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="keys-title">
      <Box sx={{ p: 3 }}>
        <Typography id="keys-title" variant="h2" component="h2" sx={{ pb: 1.5 }}>
          Keys
        </Typography>
        <Box component="dl" sx={{ display: "grid", gridTemplateColumns: "auto 1fr", columnGap: 3, rowGap: 0.75, m: 0 }}>
          {KEYS.map(([key, what]) => (
            <Box key={key} sx={{ display: "contents" }}>
              <Box component="dt" sx={{ fontWeight: 750 }}>
                {key}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {what}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
    </Dialog>
  );
}
