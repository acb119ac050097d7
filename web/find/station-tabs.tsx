/** The nine stations as a row of tabs, for the phone. */
import { memo, useEffect, useRef } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { STATIONS, type StationId } from "../specimen/stations.ts";

interface StationTabsProps {
  readonly findId: string;
  readonly station: StationId;
}

export const StationTabs = memo(function StationTabs({ findId, station }: StationTabsProps) {
  const row = useRef<HTMLElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the tab in view follows the station
  useEffect(() => {
    row.current?.querySelector('[aria-current="step"]')?.scrollIntoView({ inline: "center", block: "nearest" });
  }, [station]);
  return (
    <nav ref={row} aria-label="Stations" className="row-of-chips stations">
      {STATIONS.map((stop) => (
        <Link
          key={stop.id}
          to={findPath(findId, "record", stop.id)}
          replace
          aria-current={stop.id === station ? "step" : undefined}
          className={stop.id === station ? "stop active" : "stop"}
        >
          {stop.name}
        </Link>
      ))}
    </nav>
  );
});
