/** What the log knows, fetched beside the view and never waited for: the view stands without it. */
import type { LoggedMeal } from "@jittery-cap/core";
import { useEffect, useState } from "react";

const NONE: readonly LoggedMeal[] = [];

export function useLogged(): readonly LoggedMeal[] {
  const [logged, setLogged] = useState(NONE);
  useEffect(() => {
    let overtaken = false;
    // the log's code and its database may both be missing
    import("./logged-meals.ts")
      .then(({ loggedMeals }) => loggedMeals(new Date()))
      .then(
        (found) => overtaken || setLogged(found),
        () => undefined,
      );
    return () => {
      overtaken = true;
    };
  }, []);
  return logged;
}
