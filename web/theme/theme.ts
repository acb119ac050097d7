/** MUI made ours: flat, square, quiet, large type. Both halves are schemes of one theme, chosen by `data-half`. */
import { createTheme } from "@mui/material/styles";
import { actionComponents } from "./components/actions.ts";
import { baseline } from "./components/baseline.ts";
import { fieldComponents } from "./components/fields.ts";
import { listComponents } from "./components/lists.ts";
import { surfaceComponents } from "./components/surfaces.ts";
import { TYPE, typeComponents } from "./components/type.ts";
import { DARK, LIGHT } from "./palette.ts";

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: "[data-half='%s']" },
  colorSchemes: { light: { palette: LIGHT }, dark: { palette: DARK } },
  defaultColorScheme: "light",
  shape: { borderRadius: 0 },
  breakpoints: { values: { xs: 0, sm: 600, md: 900, lg: 1200, xl: 1536 } },
  typography: TYPE,
  components: {
    ...baseline,
    ...typeComponents,
    ...actionComponents,
    ...fieldComponents,
    ...surfaceComponents,
    ...listComponents,
  },
});
