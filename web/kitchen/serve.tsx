/** Serving: what each person has of each kind, written down; nothing goes to who may not have it. */
import {
  type KindInPot,
  kindKey,
  type Meal,
  type Portion,
  type Share,
  servingFaults,
  sharedOut,
} from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { useState } from "react";
import { setFields } from "../documents/keep-fields.ts";
import { NumberField } from "../layout/number-field.tsx";
import { Section } from "../layout/section.tsx";
import { serveMeal } from "./serve-meal.ts";
import type { Kitchen } from "./use-kitchen.ts";

interface ServeProps {
  readonly id: string;
  readonly meal: Meal;
  readonly kitchen: Kitchen;
  readonly pot: readonly KindInPot[];
  readonly shares: readonly Share[];
  /** What still has to be. */
  readonly open: readonly string[];
}

const gramsOf = (pot: readonly KindInPot[]) =>
  new Map(pot.map(({ handling, grams }) => [kindKey(handling.kinds), grams]));

export function Serve({ id, meal, kitchen, pot, shares, open }: ServeProps) {
  const grams = gramsOf(pot);
  const suggested = sharedOut(shares, grams);
  const [refusal, setRefusal] = useState<string>();
  const [told, setTold] = useState<ReadonlyMap<string, number>>(new Map());
  const portions: readonly Portion[] = suggested
    .map((one) => ({ ...one, grams: told.get(`${one.person} ${one.kind}`) ?? one.grams }))
    .filter((one) => one.grams > 0);
  const faults = servingFaults(portions, shares, grams);
  const nameOf = (person: string) => kitchen.people.find((one) => one.id === person)?.name ?? "somebody";
  const kindName = (kind: string) =>
    pot.find(({ handling }) => kindKey(handling.kinds) === kind)?.handling.name ?? kind;
  const cannot = open.length > 0 || faults.length > 0 || portions.length === 0;
  return (
    <Section
      title="Serve"
      about={
        open.length > 0
          ? `Not yet: ${open.join("; ").toLowerCase()}.`
          : "Grams of fresh weight, as each person has them."
      }
    >
      {open.length === 0 &&
        suggested.map((one) => (
          <div key={`${one.person} ${one.kind}`} className="pot-line">
            <span className="grow">
              {nameOf(one.person)}: {kindName(one.kind)}
            </span>
            <NumberField
              label={`Grams of ${kindName(one.kind)} for ${nameOf(one.person)}`}
              unit="g"
              value={told.get(`${one.person} ${one.kind}`) ?? one.grams}
              onSet={(value) => setTold(new Map([...told, [`${one.person} ${one.kind}`, value ?? 0]]))}
            />
          </div>
        ))}
      {faults.map((words) => (
        <p key={words} className="stands">
          {words}
        </p>
      ))}
      {refusal !== undefined && (
        <p role="alert" className="stands">
          Not served: {refusal}.
        </p>
      )}
      <div className="actions above">
        <Button
          variant="contained"
          size="large"
          disabled={cannot}
          onClick={() =>
            void serveMeal({ id, meal, portions, shares, batches: kitchen.batches }).then(setRefusal, () =>
              setRefusal("this device could not keep it; nothing of it is written down"),
            )
          }
        >
          Served, now
        </Button>
        <Button
          onClick={() =>
            void setFields("meal", id, { thrownAway: { at: new Date().toISOString(), why: "given up at the stove" } })
          }
        >
          Throw it all away
        </Button>
      </div>
    </Section>
  );
}
