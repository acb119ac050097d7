/** A part of the application that could not be fetched, or broke: said plainly, and held. */
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Component, type ReactNode } from "react";
import { tone } from "./theme/tokens.ts";

interface PartMissingState {
  readonly broken: boolean;
}

export class PartMissing extends Component<{ readonly children: ReactNode }, PartMissingState> {
  override state: PartMissingState = { broken: false };

  static getDerivedStateFromError(): PartMissingState {
    return { broken: true };
  }

  override render(): ReactNode {
    if (!this.state.broken) return this.props.children;
    return (
      <Box component="main" role="alert" sx={{ p: 4, maxWidth: 560 }}>
        <Typography variant="h1" component="p" data-verdict="hold">
          Hold
        </Typography>
        <Typography sx={{ pt: 1.5 }}>
          This part of the application could not be shown. What you recorded is kept on this device. Until there is an
          answer again, everything is held.
        </Typography>
        <Box sx={{ pt: 2 }}>
          <a href="/log" style={{ color: tone.ink }}>
            Back to the log
          </a>
        </Box>
      </Box>
    );
  }
}
