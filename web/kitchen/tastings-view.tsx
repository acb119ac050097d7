/** Tastings: of each person and kind the next portion with its wait, what is kept raw and until when, and what was felt. */
import { isUnderWay, tastingStage } from "@jittery-cap/core/kitchen";
import { Section } from "../layout/section.tsx";
import { BeginTasting } from "./begin-tasting.tsx";
import { KitchenFrame } from "./kitchen-frame.tsx";
import { TastingCard } from "./tasting-card.tsx";
import { type Kitchen, nextMorning, useKitchen } from "./use-kitchen.ts";

export function TastingsView() {
  const kitchen = useKitchen();
  return (
    <KitchenFrame
      kitchen={kitchen}
      title="Tastings"
      light={(known) => <Tastings kitchen={known} />}
      dark={(known) => <Rules kitchen={known} />}
    />
  );
}

const underWayIn = ({ tastings, now }: Kitchen) =>
  tastings.filter(({ content }) => isUnderWay(tastingStage(content, now.getTime(), nextMorning)));

function Tastings({ kitchen }: { readonly kitchen: Kitchen }) {
  const underWay = underWayIn(kitchen);
  const over = kitchen.tastings.filter((one) => !underWay.includes(one));
  return (
    <>
      <h1 className="view-title">Tastings</h1>
      {underWay.map((one) => (
        <TastingCard key={one.id} tasting={one} kitchen={kitchen} />
      ))}
      <BeginTasting kitchen={kitchen} />
      {over.length > 0 && (
        <Section title="Over">
          {over.map((one) => (
            <TastingCard key={one.id} tasting={one} kitchen={kitchen} />
          ))}
        </Section>
      )}
    </>
  );
}

function Rules({ kitchen }: { readonly kitchen: Kitchen }) {
  const count = underWayIn(kitchen).length;
  return (
    <>
      <p className="said">{count === 0 ? "No tasting is under way" : `${count} under way`}</p>
      <ul className="reasons">
        <li>About a tablespoon, cooked. Then wait until the next morning.</li>
        <li>About double. Then wait the day.</li>
        <li>Then a meal.</li>
        <li>One new kind at a time. Never two new kinds in one day, never with alcohol.</li>
        <li>
          A raw one is kept back in the cold, labelled, for three days after the last portion; a dried slice for three
          weeks: the slowest poison shows itself after days to three weeks.
        </li>
        <li>Whatever is felt is written down and ends it. Whether it was the mushroom is not ours to say.</li>
      </ul>
    </>
  );
}
