/** Rows: lists and tables, parted by a hairline. */
import type { ThemeOptions } from "@mui/material/styles";
import { TOUCH } from "../tokens.ts";

export const listComponents: ThemeOptions["components"] = {
  MuiList: { defaultProps: { disablePadding: true } },
  MuiListItem: {
    defaultProps: { disableGutters: true, divider: true },
    styleOverrides: { root: { minHeight: TOUCH } },
  },
  MuiListItemButton: { styleOverrides: { root: { minHeight: TOUCH } } },
  MuiTable: { defaultProps: { size: "small" } },
  MuiTableCell: {
    styleOverrides: {
      root: ({ theme }) => ({
        padding: "6px 16px 6px 0",
        fontSize: "1rem",
        lineHeight: 1.3,
        verticalAlign: "top",
        borderColor: theme.vars?.palette.divider,
      }),
      head: { fontWeight: 700 },
    },
  },
};
