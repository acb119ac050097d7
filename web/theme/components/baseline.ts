/** What holds for every element: both halves' grounds, numbers, paper, and who wants nothing to move. */
import type { ThemeOptions } from "@mui/material/styles";

export const baseline: ThemeOptions["components"] = {
  MuiCssBaseline: {
    styleOverrides: {
      html: { height: "100%" },
      body: {
        height: "100%",
        fontSize: "1rem",
        WebkitTapHighlightColor: "transparent",
      },
      "#root": { height: "100%" },
      // figures in columns stand under each other; in running text they are read
      "table, time, .figures": { fontVariantNumeric: "tabular-nums" },
      "a:not([class])": { color: "inherit" },
      "[data-half]": { color: "var(--mui-palette-text-primary)" },
      // on paper: the light half alone, as long as it is
      "@media print": {
        "@page": { size: "A5", margin: "12mm" },
        "html, body, #root, .whole, .whole-view, .split, main, main > *": {
          height: "auto !important",
          overflow: "visible !important",
        },
        "aside, header, footer, nav, button, select, input, .whole-foot": { display: "none !important" },
      },
      "@media (prefers-reduced-motion: reduce)": {
        "*, *::before, *::after": { transition: "none !important", animation: "none !important" },
      },
    },
  },
};
