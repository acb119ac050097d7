/** A row of stops, the one where one is marked. */
import { NavLink } from "react-router";

export interface Stop {
  readonly to: string;
  readonly name: string;
}

interface StopsProps {
  readonly label: string;
  readonly stops: readonly Stop[];
  readonly isSecond?: boolean;
}

export function Stops({ label, stops, isSecond = false }: StopsProps) {
  return (
    <nav aria-label={label} className={isSecond ? "stops stops-second" : "stops"}>
      {stops.map(({ to, name }) => (
        <NavLink key={to} to={to} className="stop">
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
