/** Meals that are over: what was eaten by whom, and from which finds. */
import { isOver, type Meal } from "@jittery-cap/core/kitchen";
import Link from "@mui/material/Link";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { Section } from "../layout/section.tsx";
import { useCommonNames } from "../sheets/use-common-names.ts";
import type { Kitchen } from "./use-kitchen.ts";

const SHOWN = 20;
const WHEN = { weekday: "short", day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" } as const;

export function MealsBefore({ kitchen }: { readonly kitchen: Kitchen }) {
  const names = useCommonNames();
  const over = kitchen.meals.filter(({ content }) => isOver(content)).slice(0, SHOWN);
  if (over.length === 0) return null;
  const nameOf = (kind: string) =>
    kind
      .split("+")
      .map((one) => names.get(one) ?? one.replaceAll("-", " "))
      .join(" or ");
  return (
    <Section title="Meals before">
      <ul className="lines">
        {over.map(({ id, content }) => (
          <li key={id} className="line around" data-meal={id}>
            <div className="strong">{new Date(content.served?.at ?? content.at).toLocaleString([], WHEN)}</div>
            {content.thrownAway === undefined ? (
              <Portions meal={content} kitchen={kitchen} nameOf={nameOf} />
            ) : (
              <div>Thrown away: {content.thrownAway.why}</div>
            )}
            <div className="soft small">
              From{" "}
              {[...new Set(content.items.map(({ find }) => find))].map((find, index) => (
                <span key={find}>
                  {index > 0 ? ", " : ""}
                  <Link component={RouterLink} to={findPath(find, "decide")}>
                    {labelOf(kitchen, find)}
                  </Link>
                </span>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </Section>
  );
}

const labelOf = ({ decisions }: Kitchen, find: string): string =>
  decisions.find((one) => one.find.id === find)?.find.label ?? "a find";

function Portions({
  meal,
  kitchen,
  nameOf,
}: {
  readonly meal: Meal;
  readonly kitchen: Kitchen;
  readonly nameOf: (kind: string) => string;
}) {
  const persons = [...new Set(meal.served?.portions.map(({ person }) => person) ?? [])];
  return persons.map((person) => (
    <div key={person}>
      {kitchen.people.find((one) => one.id === person)?.name ?? "Somebody else"}:{" "}
      {meal.served?.portions
        .filter((one) => one.person === person)
        .map(({ kind, grams }) => `${nameOf(kind)} ${Math.round(grams)} g`)
        .join(", ")}
    </div>
  ));
}
