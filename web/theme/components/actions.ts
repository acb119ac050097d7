/** What is touched: buttons, tabs, toggles, entries of a menu. */
import type { CSSObject, Theme, ThemeOptions } from "@mui/material/styles";
import { FONT, TOUCH } from "../tokens.ts";

declare module "@mui/material/Button" {
  interface ButtonPropsVariantOverrides {
    /** A word that can be touched, without a frame. */
    quiet: true;
    /** A field of the bar under the thumb. */
    thumb: true;
    /** A title with what it does below, as broad as its place. */
    way: true;
  }
}

/** Room at either side of a word without a frame, pixels. */
const QUIET_SIDE = 8;

const focus = (theme: Theme): CSSObject => ({
  outline: `3px solid ${theme.vars?.palette.warning.main ?? ""}`,
  outlineOffset: 2,
});

export const actionComponents: ThemeOptions["components"] = {
  MuiButtonBase: {
    defaultProps: { disableRipple: true },
    styleOverrides: {
      root: ({ theme }) => ({ fontFamily: FONT.text, fontSize: "1rem", "&:focus-visible": focus(theme) }),
    },
  },
  MuiButton: {
    defaultProps: { variant: "outlined", color: "primary", disableElevation: true },
    styleOverrides: {
      root: ({ theme }) => ({
        minHeight: TOUCH,
        minWidth: TOUCH,
        padding: "6px 14px",
        lineHeight: 1.2,
        "&.Mui-disabled": { color: theme.vars?.palette.text.secondary, opacity: 0.6 },
      }),
      sizeLarge: { minHeight: TOUCH + 10, padding: "8px 24px", fontSize: "1.125rem", fontWeight: 750 },
    },
    variants: [
      {
        props: { variant: "outlined" },
        style: ({ theme }) => ({
          border: "1px solid currentColor",
          backgroundColor: theme.vars?.palette.background.paper,
          "&:hover": { border: "1px solid currentColor", backgroundColor: theme.vars?.palette.background.raised },
        }),
      },
      { props: { variant: "contained" }, style: { fontWeight: 750 } },
      {
        props: { variant: "quiet" },
        style: ({ theme }) => ({
          padding: `6px ${String(QUIET_SIDE)}px`,
          color: theme.vars?.palette.text.secondary,
          fontWeight: 500,
          // without a frame its word is its edge: it stands where the lines above it begin
          "&:first-child": { marginLeft: -QUIET_SIDE },
          "&:hover": { color: theme.vars?.palette.text.primary, textDecoration: "underline", background: "none" },
        }),
      },
      {
        props: { variant: "thumb" },
        style: ({ theme }) => ({
          minHeight: TOUCH + 6,
          padding: 0,
          fontSize: "1.0625rem",
          color: theme.vars?.palette.text.primary,
          borderRight: `1px solid ${theme.vars?.palette.divider ?? ""}`,
        }),
      },
      {
        props: { variant: "way" },
        style: ({ theme }) => ({
          display: "block",
          padding: 12,
          textAlign: "left",
          border: "1px solid currentColor",
          backgroundColor: theme.vars?.palette.background.paper,
          "&:hover": { backgroundColor: theme.vars?.palette.background.raised },
        }),
      },
    ],
  },
  MuiToggleButton: {
    styleOverrides: {
      root: ({ theme }) => ({
        minHeight: TOUCH,
        padding: "4px 12px",
        lineHeight: 1.15,
        fontWeight: 450,
        textTransform: "none",
        color: theme.vars?.palette.text.primary,
        backgroundColor: theme.vars?.palette.background.raised,
        "&.Mui-selected, &.Mui-selected:hover": {
          fontWeight: 750,
          color: theme.vars?.palette.text.primary,
          backgroundColor: theme.vars?.palette.background.paper,
          boxShadow: `inset 0 0 0 2px ${theme.vars?.palette.text.primary ?? ""}`,
        },
      }),
    },
  },
  MuiTabs: {
    defaultProps: { variant: "scrollable", scrollButtons: "auto" },
    styleOverrides: { root: { minHeight: TOUCH, flex: "none" }, indicator: { height: 4 } },
  },
  MuiTab: {
    styleOverrides: {
      root: {
        minHeight: TOUCH,
        minWidth: TOUCH,
        padding: "0 10px",
        fontSize: "1rem",
        fontWeight: 500,
        "&.Mui-selected": { fontWeight: 750 },
      },
    },
  },
  MuiMenu: {
    styleOverrides: { paper: ({ theme }) => ({ border: `2px solid ${theme.vars?.palette.text.primary ?? ""}` }) },
  },
  MuiMenuItem: { styleOverrides: { root: { minHeight: TOUCH, fontSize: "1rem" } } },
};
