/** The trail across the top, in the order people work. A view that has nothing yet is not shown. */
import Box from "@mui/material/Box";
import { Link } from "react-router";
import { TOUCH, tone } from "../theme/tokens.ts";

export type View = "find" | "tests" | "decide" | "basket" | "log" | "sheets";

interface TrailProps {
  readonly view: View;
  readonly findId?: string | undefined;
  readonly dark?: boolean;
}

export function Trail({ view, findId, dark = false }: TrailProps) {
  const stops: readonly { view: View; name: string; to: string | undefined }[] = [
    { view: "find", name: "Find", to: findId === undefined ? undefined : `/find/${findId}` },
    { view: "tests", name: "Tests", to: findId === undefined ? "/tests" : `/tests/${findId}` },
    { view: "decide", name: "Decide", to: findId === undefined ? undefined : `/decide/${findId}` },
    { view: "basket", name: "Basket", to: "/basket" },
    { view: "log", name: "Log", to: "/log" },
  ];
  const ink = dark ? tone.onDark : tone.ink;
  return (
    <Box
      component="header"
      sx={{
        display: "flex",
        alignItems: "stretch",
        gap: { xs: 1.5, md: 3 },
        px: { xs: 2.5, md: 3.5 },
        minHeight: TOUCH + 6,
        borderBottom: `1px solid ${dark ? tone.mossLine : tone.boneLine}`,
        flex: "none",
      }}
    >
      <Box
        component={Link}
        to="/log"
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 1.25,
          color: ink,
          textDecoration: "none",
          fontWeight: 750,
          mr: { xs: "auto", md: 1 },
          letterSpacing: "-0.01em",
        }}
      >
        <img src="/mark.svg" alt="Jittery Cap" width={24} height={24} />
        <Box component="span" sx={{ display: { xs: "none", md: "inline" } }}>
          Jittery Cap
        </Box>
      </Box>
      <Box component="nav" aria-label="The trail" sx={{ display: "flex", gap: { xs: 0.5, md: 1.5 } }}>
        {stops.map((stop) =>
          stop.to === undefined ? null : (
            <Box
              key={stop.view}
              component={Link}
              to={stop.to}
              aria-current={stop.view === view ? "page" : undefined}
              sx={{
                display: "flex",
                alignItems: "center",
                px: 1,
                minWidth: TOUCH,
                justifyContent: "center",
                color: stop.view === view ? ink : dark ? tone.onDarkSoft : tone.inkSoft,
                fontWeight: stop.view === view ? 750 : 500,
                textDecoration: "none",
                borderBottom: "4px solid",
                borderTop: "4px solid transparent",
                borderBottomColor: stop.view === view ? ink : "transparent",
                "&:hover": { color: ink },
              }}
            >
              {stop.name}
            </Box>
          ),
        )}
      </Box>
      <Box
        component={Link}
        to="/sheets"
        aria-current={view === "sheets" ? "page" : undefined}
        sx={{
          display: { xs: findId === undefined ? "flex" : "none", md: "flex" },
          alignItems: "center",
          ml: { md: "auto" },
          px: 0.5,
          color: view === "sheets" ? ink : dark ? tone.onDarkSoft : tone.inkSoft,
          fontWeight: view === "sheets" ? 750 : 500,
          textDecoration: "none",
          "&:hover": { color: ink },
        }}
      >
        Sheets
      </Box>
    </Box>
  );
}
