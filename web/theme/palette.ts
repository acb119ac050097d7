/** The two halves as palettes of the toolkit: one set of roles, told twice. What is dark carries `data-half="dark"`. */
import type { PaletteOptions } from "@mui/material/styles";
import { tone } from "./tokens.ts";

declare module "@mui/material/styles" {
  interface TypeBackground {
    /** A shade off the half: bars, what is touched, what lies a step above. */
    raised: string;
  }
  interface TypeText {
    /** Quieter than secondary: what is past doubt. */
    faint: string;
  }
}

export const LIGHT: PaletteOptions = {
  mode: "light",
  primary: { main: tone.ink, contrastText: tone.bone },
  secondary: { main: tone.inkSoft, contrastText: tone.bone },
  // danger that stands, and what was refused
  error: { main: tone.rust, contrastText: tone.bone },
  // what is to be looked at
  warning: { main: tone.ochre, contrastText: tone.ink },
  // what is hidden today, what waits
  info: { main: tone.sage, contrastText: tone.bone },
  success: { main: tone.inkSoft, contrastText: tone.bone },
  background: { default: tone.bone, paper: tone.paper, raised: tone.boneDeep },
  text: { primary: tone.ink, secondary: tone.inkSoft, faint: tone.inkSoft },
  divider: tone.boneLine,
};

export const DARK: PaletteOptions = {
  mode: "dark",
  primary: { main: tone.onDark, contrastText: tone.moss },
  secondary: { main: tone.onDarkSoft, contrastText: tone.moss },
  error: { main: tone.salmon, contrastText: tone.moss },
  warning: { main: tone.ochre, contrastText: tone.moss },
  info: { main: tone.onDarkFaint, contrastText: tone.moss },
  success: { main: tone.onDarkSoft, contrastText: tone.moss },
  background: { default: tone.moss, paper: tone.moss, raised: tone.mossRaised },
  text: { primary: tone.onDark, secondary: tone.onDarkSoft, faint: tone.onDarkFaint },
  divider: tone.mossLine,
};
