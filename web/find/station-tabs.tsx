/** The nine stations as a row of tabs, for the phone and under the plate. */
import Box from "@mui/material/Box";
import { memo, useEffect, useRef } from "react";
import { Link } from "react-router";
import { TOUCH, tone } from "../theme/tokens.ts";
import { STATIONS, type StationId } from "./stations.ts";

export const StationTabs = memo(function StationTabs({
  findId,
  station,
}: {
  readonly findId: string;
  readonly station: StationId;
}) {
  const row = useRef<HTMLElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the tab in view follows the station
  useEffect(() => {
    row.current?.querySelector('[aria-current="step"]')?.scrollIntoView({ inline: "center", block: "nearest" });
  }, [station]);
  return (
    <Box
      ref={row}
      component="nav"
      aria-label="Stations"
      sx={{
        display: "flex",
        overflowX: "auto",
        borderBottom: `1px solid ${tone.boneLine}`,
        px: 1.25,
        flex: "none",
        scrollbarWidth: "none",
        "&::-webkit-scrollbar": { display: "none" },
      }}
    >
      {STATIONS.map((stop) => (
        <Box
          key={stop.id}
          component={Link}
          to={`/find/${findId}/${stop.id}`}
          replace
          aria-current={stop.id === station ? "step" : undefined}
          sx={{
            display: "flex",
            flex: "none",
            alignItems: "center",
            minHeight: TOUCH,
            minWidth: TOUCH,
            justifyContent: "center",
            px: 1.25,
            color: stop.id === station ? tone.ink : tone.inkSoft,
            fontWeight: stop.id === station ? 750 : 500,
            textDecoration: "none",
            borderBottom: "4px solid",
            borderColor: stop.id === station ? tone.ink : "transparent",
          }}
        >
          {stop.name}
        </Box>
      ))}
    </Box>
  );
});
