/** MUI made ours: flat, square, quiet, large type. */
import { createTheme } from "@mui/material/styles";
import { FONT, TOUCH, tone } from "./tokens.ts";

export const theme = createTheme({
  cssVariables: true,
  shape: { borderRadius: 0 },
  breakpoints: { values: { xs: 0, sm: 600, md: 900, lg: 1200, xl: 1536 } },
  palette: {
    mode: "light",
    primary: { main: tone.ink, contrastText: tone.bone },
    secondary: { main: tone.rust },
    error: { main: tone.rust },
    background: { default: tone.bone, paper: tone.paper },
    text: { primary: tone.ink, secondary: tone.inkSoft },
    divider: tone.boneLine,
  },
  typography: {
    fontFamily: FONT.text,
    fontSize: 16,
    htmlFontSize: 16,
    h1: { fontSize: "3.1rem", fontWeight: 800, letterSpacing: "-0.03em", lineHeight: 1 },
    h2: { fontSize: "1.5rem", fontWeight: 750, letterSpacing: "-0.015em", lineHeight: 1.15 },
    h3: { fontSize: "1.125rem", fontWeight: 700, lineHeight: 1.25 },
    body1: { fontSize: "1.0625rem", lineHeight: 1.45 },
    body2: { fontSize: "1rem", lineHeight: 1.4 },
    caption: { fontSize: "0.875rem", lineHeight: 1.35 },
    button: { textTransform: "none", fontWeight: 650, fontSize: "1rem" },
  },
  components: {
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: {
        root: {
          fontFamily: FONT.text,
          fontVariantNumeric: "tabular-nums",
          fontSize: "1rem",
          "&:focus-visible": { outline: `3px solid ${tone.ochre}`, outlineOffset: 2 },
        },
      },
    },
    MuiPaper: {
      defaultProps: { elevation: 0, square: true },
      styleOverrides: { root: { backgroundImage: "none" } },
    },
    MuiMenu: { styleOverrides: { paper: { border: `2px solid ${tone.ink}`, backgroundColor: tone.paper } } },
    MuiMenuItem: { styleOverrides: { root: { minHeight: TOUCH, fontSize: "1rem" } } },
    MuiDialog: { styleOverrides: { paper: { border: `2px solid ${tone.ink}`, backgroundColor: tone.bone } } },
    MuiCssBaseline: {
      styleOverrides: {
        html: { height: "100%" },
        body: {
          height: "100%",
          backgroundColor: tone.bone,
          fontVariantNumeric: "tabular-nums",
          fontSize: "1rem",
          WebkitTapHighlightColor: "transparent",
        },
        "#root": { height: "100%" },
        // on paper: the light half alone, as long as it is
        "@media print": {
          "@page": { size: "A5", margin: "12mm" },
          "html, body, #root, #root > div, main, main > *": {
            height: "auto !important",
            overflow: "visible !important",
          },
          "aside, header, footer, nav, button, select, input": { display: "none !important" },
        },
        "@media (prefers-reduced-motion: reduce)": {
          "*, *::before, *::after": { transition: "none !important", animation: "none !important" },
        },
      },
    },
  },
});
