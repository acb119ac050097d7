/** Set apart in the first level: the view for when somebody is ill, one touch away from everywhere. */
import { Link } from "react-router";

export function IllStop() {
  return (
    <Link to="/ill" className="stop stop-ill">
      Ill?
    </Link>
  );
}
