import "./no-code-from-text.ts";
import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource/source-serif-4/latin-400-italic.css";
import "./theme/zero.css";
import "./layout/layout.css";
import "./layout/lines.css";
import "./layout/navigation.css";
import "./standing/standing.css";
import "./specimen/choice.css";
import "./specimen/specimen.css";
import "./find/find.css";
import "./illness/illness.css";
import "./log/log.css";
import "./decide/decide.css";
import "./basket/basket.css";
import "./packet/packet.css";
import "./sheets/sheets.css";
import "./field-tests/field-tests.css";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter } from "react-router";
import { RouterProvider } from "react-router/dom";
import { BASENAME } from "./base.ts";
import { reportUncaught } from "./device/report-error.ts";
import { routes } from "./routes.tsx";
import { theme } from "./theme/theme.ts";

reportUncaught();
const root = document.getElementById("root");
if (root === null) throw new Error("the page has no root");
createRoot(root).render(
  <StrictMode>
    <ThemeProvider theme={theme} defaultMode="light" storageManager={null}>
      <CssBaseline />
      {/* a key may follow a key at once: the address must not lag behind in a transition */}
      <RouterProvider router={createBrowserRouter(routes, { basename: BASENAME })} useTransitions={false} />
    </ThemeProvider>
  </StrictMode>,
);
