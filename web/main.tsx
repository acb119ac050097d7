import "./no-code-from-text.ts";
import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource/source-serif-4/latin-400-italic.css";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { App } from "./app.tsx";
import { reportUncaught } from "./device/report-error.ts";
import { theme } from "./theme/theme.ts";

reportUncaught();
const root = document.getElementById("root");
if (root === null) throw new Error("the page has no root");
createRoot(root).render(
  <StrictMode>
    <ThemeProvider theme={theme}>
      <CssBaseline />
      {/* a key may follow a key at once: the address must not lag behind in a transition */}
      <BrowserRouter useTransitions={false}>
        <App />
      </BrowserRouter>
    </ThemeProvider>
  </StrictMode>,
);
