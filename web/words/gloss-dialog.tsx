/** Words and what they mean, above whatever was open. */
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import Link from "@mui/material/Link";
import type { ReactNode } from "react";
import { Link as RouterLink } from "react-router";

interface GlossDialogProps {
  readonly title: string;
  readonly onClose: () => void;
  /** Terms with what they mean. */
  readonly children: ReactNode;
}

export function GlossDialog({ title, onClose, children }: GlossDialogProps) {
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="gloss-title">
      <DialogTitle id="gloss-title" className="gloss-title">
        {title}
      </DialogTitle>
      <DialogContent>
        <dl className="glosses">{children}</dl>
      </DialogContent>
      <DialogActions>
        <Link component={RouterLink} to="/words" onClick={onClose} sx={{ mr: "auto" }}>
          All words
        </Link>
        <Button variant="contained" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
