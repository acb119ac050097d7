/** Meal: what comes to the pot and when what is done on the light half; what still has to be, and who eats, on the dark one. */
import { isOver, type Meal } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import type { Kept } from "../documents/documents.ts";
import { make } from "../documents/keep-fields.ts";
import { AtTheTable } from "./at-the-table.tsx";
import { BeforeEating } from "./before-eating.tsx";
import { HowMuch } from "./how-much.tsx";
import { KitchenFrame } from "./kitchen-frame.tsx";
import { cookingOf, sharesAt, tableOf } from "./meal-plan.ts";
import { MealsBefore } from "./meals-before.tsx";
import { useMet } from "./met.ts";
import { OpenMeal } from "./open-meal.tsx";
import { kindsInPot, potLines } from "./pot-lines.ts";
import { type Kitchen, useKitchen } from "./use-kitchen.ts";

export function MealView() {
  const kitchen = useKitchen();
  const finds = typeof kitchen === "object" ? findsIn(kitchen) : [];
  const met = useMet(finds);
  const openIn = (known: Kitchen) => known.meals.find(({ content }) => !isOver(content));
  return (
    <KitchenFrame
      kitchen={kitchen}
      title="Meal"
      light={(known) => {
        const open = openIn(known);
        return (
          <>
            {open === undefined ? (
              <NoMeal kitchen={known} />
            ) : (
              <OpenMeal meal={open} kitchen={known} lines={potLines(open, known, met)} />
            )}
            <MealsBefore kitchen={known} />
          </>
        );
      }}
      dark={(known) => {
        const open = openIn(known);
        if (open === undefined)
          return (
            <>
              <p className="said">No meal is planned</p>
              <HowMuch kitchen={known} />
            </>
          );
        return <Open open={open} kitchen={known} met={met} />;
      }}
    />
  );
}

interface OpenProps {
  readonly open: Kept<"meal">;
  readonly kitchen: Kitchen;
  readonly met: ReturnType<typeof useMet>;
}

function Open({ open, kitchen, met }: OpenProps) {
  const meal = open.content;
  const lines = potLines(open, kitchen, met);
  const pot = kindsInPot(meal, lines, kitchen);
  const cooking = cookingOf(meal, pot);
  const table = tableOf(meal, kitchen, cooking.readyAt);
  return (
    <>
      <BeforeEating meal={open} lines={lines} pot={pot} cooking={cooking} met={met} kitchen={kitchen} />
      <AtTheTable
        meal={open}
        kitchen={kitchen}
        pot={pot}
        shares={sharesAt(meal, pot, table, cooking.readyAt)}
        servedAt={cooking.readyAt}
      />
    </>
  );
}

const findsIn = ({ decisions, carried, batches }: Kitchen) =>
  decisions.flatMap(({ current }) =>
    current !== undefined &&
    (carried.some((one) => one.find === current.id && one.compartment !== "apart-from-food") ||
      batches.some(({ content }) => content.from.some(({ find }) => find === current.id)))
      ? [current]
      : [],
  );

const SUPPER_HOUR = 19;
const STOVE: Meal["stove"] = { rings: 4, pans: 2, pots: 1, hands: 1 };

/** Seven tonight, or two hours from now where that is near or over. */
function supper(now: Date): Date {
  const tonight = new Date(now.getFullYear(), now.getMonth(), now.getDate(), SUPPER_HOUR);
  const soon = new Date(now.getTime() + 2 * 3_600_000);
  return tonight > soon ? tonight : soon;
}

function NoMeal({ kitchen }: { readonly kitchen: Kitchen }) {
  const [last] = kitchen.meals;
  const food = kitchen.carried.filter((one) => one.compartment !== "apart-from-food" && one.ending !== "first-tasting");
  const plan = () =>
    make("meal", {
      at: supper(kitchen.now).toISOString(),
      items: food.flatMap((one) =>
        one.weightG === undefined || one.kinds.length === 0
          ? []
          : [{ find: one.find, body: one.body, kinds: [...one.kinds], grams: one.weightG }],
      ),
      seats: kitchen.people.map(({ id }) => ({ person: id })),
      ticks: [],
      stove: last?.content.stove ?? STOVE,
      pans: [],
    });
  return (
    <>
      <h1 className="view-title">Meal</h1>
      <p className="lead-in">
        {food.length === 0
          ? "Nothing that is cleared lies in the basket. A jar of the store can be cooked too."
          : `${food.length} ${food.length === 1 ? "body lies" : "bodies lie"} in the basket. What comes to the pot is worked out one by one.`}
      </p>
      <Button variant="contained" size="large" onClick={() => void plan()}>
        Plan a meal
      </Button>
    </>
  );
}
