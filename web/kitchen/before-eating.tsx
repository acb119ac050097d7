/** What still has to be before anybody eats: each condition of each find, ticked by hand or fulfilled by people and books. */
import { CONDITION_CODES, CONDITION_WORDS, type ConditionCode } from "@jittery-cap/core";
import { dryStretches, type KindInPot, NOT_BY_TICK } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import type { Kept } from "../documents/documents.ts";
import { setFields } from "../documents/keep-fields.ts";
import { DryStretchLine } from "./dry-stretch.tsx";
import { type Cooking, stillOpen } from "./meal-plan.ts";
import { itemKey, type PotLine } from "./pot-lines.ts";
import type { Kitchen } from "./use-kitchen.ts";

interface BeforeEatingProps {
  readonly meal: Kept<"meal">;
  readonly kitchen: Kitchen;
  readonly lines: readonly PotLine[];
  readonly pot: readonly KindInPot[];
  readonly cooking: Cooking;
  readonly met: ReadonlyMap<string, ReadonlySet<string>>;
}

interface Line {
  readonly code: ConditionCode;
  readonly finds: readonly { readonly id: string; readonly label: string; readonly isDone: boolean }[];
}

/** The conditions of the finds in a meal, each once. */
function conditionLines({ meal, kitchen, met }: Pick<BeforeEatingProps, "meal" | "kitchen" | "met">): readonly Line[] {
  const ticked = new Set(meal.content.ticks.map(({ find, code }) => `${find} ${code}`));
  const finds = new Set(
    meal.content.items.flatMap(
      (item) =>
        kitchen.batches.find(({ id }) => id === item.batch)?.content.from.map(({ find }) => find) ?? [item.find],
    ),
  );
  const decisions = kitchen.decisions.filter(({ find }) => finds.has(find.id));
  return CONDITION_CODES.flatMap((code) => {
    const own = decisions.filter(({ today }) => today.conditions.includes(code));
    if (own.length === 0) return [];
    return [
      {
        code,
        finds: own.map(({ find, current }) => ({
          id: find.id,
          label: (current ?? find).label ?? "a find without a name",
          isDone: met.get(find.id)?.has(code) === true || (!NOT_BY_TICK.has(code) && ticked.has(`${find.id} ${code}`)),
        })),
      },
    ];
  });
}

export function BeforeEating(props: BeforeEatingProps) {
  const { meal, lines, pot, cooking, kitchen } = props;
  const conditions = conditionLines(props);
  const openConditions = conditions.reduce((sum, { finds }) => sum + finds.filter((one) => !one.isDone).length, 0);
  const lacking = meal.content.items.filter((item) =>
    lines.some((line) => line.key === itemKey(item) && line.missing.some(({ code }) => code !== "condition")),
  ).length;
  const open = stillOpen(meal.content, pot, cooking, kitchen.now.getTime());
  const count = openConditions + (lacking > 0 ? 1 : 0) + open.length;
  return (
    <section aria-label="Before anybody eats">
      <p className="said" data-testid="still-open">
        {count === 0 ? "Nothing is open" : count === 1 ? "One thing is still open" : `${count} things are still open`}
      </p>
      <ul className="lines">
        {open.map((words) => (
          <li key={words} className="open-line stands">
            <span className="mark" aria-hidden="true" />
            {words}
          </li>
        ))}
        {lacking > 0 && (
          <li className="open-line stands">
            <span className="mark" aria-hidden="true" />
            {lacking === 1 ? "1 body lacks something and stays out" : `${lacking} bodies lack something and stay out`}
          </li>
        )}
        {conditions.map((line) => (
          <Condition key={line.code} line={line} meal={meal} />
        ))}
      </ul>
      {dryStretches(
        pot.map(({ handling }) => handling),
        cooking.readyAt,
      ).map((stretch) => (
        <DryStretchLine key={stretch.kind} {...stretch} servedAt={cooking.readyAt} />
      ))}
    </section>
  );
}

/** So many finds are named; the rest is counted. */
const NAMED = 3;

function Condition({ line: { code, finds }, meal }: { readonly line: Line; readonly meal: Kept<"meal"> }) {
  const open = finds.filter((one) => !one.isDone);
  const isDone = open.length === 0;
  const byTick = !NOT_BY_TICK.has(code);
  const [refusal, setRefusal] = useState<string>();
  const set = async (ticks: Kept<"meal">["content"]["ticks"]) =>
    setRefusal(await setFields("meal", meal.id, { ticks }));
  const tick = () => {
    const at = new Date().toISOString();
    return set([...meal.content.ticks, ...open.map(({ id }) => ({ find: id, code, at }))]);
  };
  const untick = () => set(meal.content.ticks.filter((one) => one.code !== code));
  return (
    <li className="open-line" data-condition={code} data-done={isDone}>
      <span className="mark" aria-hidden="true" />
      <span className={isDone ? "grow soft" : "grow stands"}>
        {CONDITION_WORDS[code]}
        {refusal !== undefined && <span role="alert"> It was not kept: {refusal}</span>}
        {!isDone &&
          !byTick &&
          open.slice(0, NAMED).map(({ id, label }, at) => (
            <span key={id}>
              {at === 0 ? " " : ", "}
              <Link component={RouterLink} to={findPath(id, "decide")}>
                {label}
              </Link>
            </span>
          ))}
        {!isDone && !byTick && open.length > NAMED && `, and ${open.length - NAMED} more`}
      </span>
      {byTick && (
        <Button
          variant={isDone ? "quiet" : "outlined"}
          aria-pressed={isDone}
          onClick={() => void (isDone ? untick() : tick())}
        >
          {isDone ? "done" : "tick"}
        </Button>
      )}
    </li>
  );
}
