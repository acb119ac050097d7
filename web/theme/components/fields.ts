/** What is typed or chosen from a list. */
import type { ThemeOptions } from "@mui/material/styles";
import { TOUCH } from "../tokens.ts";

export const fieldComponents: ThemeOptions["components"] = {
  MuiTextField: { defaultProps: { size: "small", hiddenLabel: true } },
  MuiInputBase: { styleOverrides: { root: { minHeight: TOUCH, fontSize: "1rem" } } },
  MuiOutlinedInput: {
    styleOverrides: {
      root: ({ theme }) => ({
        backgroundColor: theme.vars?.palette.background.paper,
        "&.Mui-focused .MuiOutlinedInput-notchedOutline": { borderWidth: 2 },
      }),
      notchedOutline: ({ theme }) => ({ borderColor: theme.vars?.palette.secondary.main }),
      input: ({ theme }) => ({
        padding: "0 10px",
        "&::placeholder": { color: theme.vars?.palette.text.secondary, opacity: 1 },
      }),
    },
  },
  // the device's own list: it reads well in every hand and to every reader
  MuiNativeSelect: { styleOverrides: { select: { minHeight: TOUCH, padding: "0 32px 0 10px", display: "block" } } },
};
