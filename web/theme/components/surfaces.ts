/** What lies above the halves, folds in them, or speaks up. */
import type { ThemeOptions } from "@mui/material/styles";
import { TOUCH } from "../tokens.ts";

export const surfaceComponents: ThemeOptions["components"] = {
  MuiPaper: { defaultProps: { elevation: 0, square: true }, styleOverrides: { root: { backgroundImage: "none" } } },
  MuiDialog: {
    styleOverrides: {
      paper: ({ theme }) => ({
        border: `2px solid ${theme.vars?.palette.text.primary ?? ""}`,
        backgroundColor: theme.vars?.palette.background.default,
      }),
    },
  },
  MuiDialogTitle: { styleOverrides: { root: { fontSize: "1.5rem", fontWeight: 750, padding: "20px 24px 8px" } } },
  MuiDialogContent: { styleOverrides: { root: { padding: "0 24px 16px" } } },
  MuiDialogActions: { styleOverrides: { root: { padding: "8px 24px 20px" } } },
  // a word beside a stroke: broken where something waits or is hidden, full where it stands
  MuiAlert: {
    defaultProps: { icon: false, variant: "standard" },
    styleOverrides: {
      root: ({ theme, ownerState }) => {
        const ink = theme.vars?.palette[ownerState.severity ?? "info"].main ?? "";
        return {
          padding: "2px 0 2px 12px",
          fontSize: "1rem",
          color: theme.vars?.palette.text.primary,
          background: "none",
          borderLeft: `4px ${ownerState.severity === "info" ? "dashed" : "solid"} ${ink}`,
          alignItems: "center",
        };
      },
      message: { padding: "4px 0", overflow: "visible" },
      action: { padding: "0 0 0 12px", marginRight: 0 },
    },
  },
  MuiSnackbarContent: {
    styleOverrides: {
      root: ({ theme }) => ({
        fontSize: "1rem",
        color: theme.vars?.palette.text.primary,
        backgroundColor: theme.vars?.palette.background.paper,
        border: `2px solid ${theme.vars?.palette.text.primary ?? ""}`,
      }),
    },
  },
  MuiTooltip: {
    styleOverrides: {
      tooltip: ({ theme }) => ({
        fontSize: "0.9375rem",
        fontWeight: 450,
        padding: "8px 12px",
        maxWidth: 320,
        color: theme.vars?.palette.background.default,
        backgroundColor: theme.vars?.palette.text.primary,
      }),
    },
  },
  MuiAccordion: {
    defaultProps: { disableGutters: true, elevation: 0, square: true },
    styleOverrides: {
      root: ({ theme }) => ({
        background: "none",
        borderTop: `1px solid ${theme.vars?.palette.divider ?? ""}`,
        "&::before": { display: "none" },
      }),
    },
  },
  MuiAccordionSummary: {
    styleOverrides: { root: { minHeight: TOUCH, padding: 0, fontSize: "1rem" }, content: { margin: "10px 0" } },
  },
  MuiAccordionDetails: { styleOverrides: { root: { padding: "0 0 12px" } } },
  MuiSkeleton: { defaultProps: { animation: false, variant: "rectangular" } },
  MuiLinearProgress: { styleOverrides: { root: { height: 4 } } },
};
