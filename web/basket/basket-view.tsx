/** Basket: what is carried home, in its compartments, against the person's own limits. */
import { basketOf, type Carried, COMPARTMENTS, type Compartment, lyingNow } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { Link as RouterLink } from "react-router";
import type { ShownDecision } from "../documents/decisions.ts";
import { settle, useSettings } from "../documents/settings.ts";
import { useSync } from "../documents/sync.ts";
import { useNow } from "../field-tests/use-now.ts";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { CarriedLine } from "./carried-line.tsx";
import { Limits } from "./limits.tsx";
import { useLatestDecisions } from "./use-latest-decisions.ts";

const PART_WORDS: Readonly<Record<Compartment, { readonly name: string; readonly about: string }>> = {
  "cook-only": {
    name: "Cooked only",
    about: "Poisonous raw, or to be boiled first: apart from all that is eaten raw.",
  },
  others: { name: "Each kind by itself", about: "In a paper bag of its own." },
  "apart-from-food": {
    name: "Apart from food",
    about: "Not named yet, or no longer cleared: in a box of its own, never with food.",
  },
};

export function BasketView() {
  const decisions = useLatestDecisions();
  const sync = useSync();
  const now = useNow();
  const limits = useSettings((state) => state.settings.limits);
  const unsent = useSettings((state) => state.unsent);
  // a device that has never heard from the server does not know what is carried
  const known =
    decisions === undefined || decisions === "failed" || (!sync.hasPulled && decisions.length === 0)
      ? undefined
      : decisions;
  const decided = known === undefined ? undefined : basketOf(known);
  const carried = decided === undefined ? undefined : lyingNow(decided, now.getTime());
  const past = (decided?.length ?? 0) - (carried?.length ?? 0);
  const food = carried?.filter((one) => one.compartment !== "apart-from-food").length;
  const isAway = sync.state === "unreachable";
  return (
    <SplitCard
      darkFirst={false}
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              Basket
            </Typography>
            {known === undefined && (decisions === "failed" || isAway) && (
              <Alert severity="error">What is in the basket is not known. Hold it all.</Alert>
            )}
            {known !== undefined && <Unheard decisions={known} isAway={isAway} />}
            {carried?.length === 0 && <p>Nothing is decided to be carried home. A find is decided under Decide.</p>}
            {past > 0 && (
              <p className="soft" data-testid="past">
                {past === 1 ? "One body that was" : `${past} bodies that were`} decided more than three weeks ago{" "}
                {past === 1 ? "is" : "are"} not shown: nothing lies fresh for so long.
              </p>
            )}
            {COMPARTMENTS.map((part) => (
              <Part key={part} part={part} carried={carried ?? []} decisions={known ?? []} />
            ))}
          </div>
        </>
      }
      dark={
        <div className="dark-page scroll">
          <Typography variant="h1" component="p">
            {food === undefined ? "Not known" : `${food} ${food === 1 ? "body" : "bodies"}`}
          </Typography>
          <p className="lead-in">
            In paper or mesh; never in plastic for longer than the walk. Kinds apart. In the cold at home, a few days.
          </p>
          {food !== undefined && food > 0 && (
            <div className="below-2">
              <Button component={RouterLink} to="/kitchen/table" variant="contained" size="large">
                Sort at the table
              </Button>
            </div>
          )}
          <Limits carried={carried} limits={limits} onSet={(next) => void settle({ limits: [...next] })} />
          {unsent && <p className="soft">Kept on this device; the server has not heard of it yet.</p>}
        </div>
      }
    />
  );
}

/** Says where this device alone knows of a decision. */
function Unheard({ decisions, isAway }: { readonly decisions: readonly ShownDecision[]; readonly isAway: boolean }) {
  const unheard = decisions.filter((one) => !one.isHeard && one.refused === undefined).length;
  if (!isAway && unheard === 0) return null;
  return (
    <div role="status" className="soft above">
      {isAway ? "By this device alone: the server cannot be reached. " : ""}
      {unheard > 0
        ? `The server has not heard of ${unheard === 1 ? "one decision" : `${unheard} decisions`}; it judges again when it does.`
        : ""}
    </div>
  );
}

interface PartProps {
  readonly part: Compartment;
  readonly carried: readonly Carried[];
  readonly decisions: readonly ShownDecision[];
}

function Part({ part, carried, decisions }: PartProps) {
  const here = carried.filter((one) => one.compartment === part);
  if (here.length === 0) return null;
  const { name, about } = PART_WORDS[part];
  return (
    <div data-compartment={part}>
      <Section title={name} about={about}>
        <ul className="lines">
          {here.map((one) => (
            <CarriedLine
              key={`${one.find} ${one.body}`}
              carried={one}
              decision={decisions.find(({ find }) => find.id === one.find)}
            />
          ))}
        </ul>
      </Section>
    </div>
  );
}
