/** What lies in the ground of a place, and who allows what: all of it as the person enters it. */
import { CONCERNS } from "@jittery-cap/core";
import type { OwnPlace } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { NumberField } from "../layout/number-field.tsx";
import { Section } from "../layout/section.tsx";
import { momentOf } from "../season/local-day.ts";
import { OwnWords } from "./own-words.tsx";
import type { SetPlace } from "./place-view.tsx";
import { StatesToggle } from "./states-toggle.tsx";

const monthFormat = new Intl.DateTimeFormat(undefined, { month: "short" });
const MONTHS = Array.from({ length: 12 }, (_unused, index) => index + 1);
const monthWord = (month: number) => monthFormat.format(momentOf(`2026-${String(month).padStart(2, "0")}-15`, 12));

interface PlaceRulesProps {
  readonly content: OwnPlace;
  readonly onSet: SetPlace;
}

export function PlaceRules({ content, onSet }: PlaceRulesProps) {
  const { concerns = [], history, owner, rule, closedMonths = [], limits = [] } = content;
  return (
    <>
      <Section
        title="What lies in its ground"
        about="A find begun here takes it over, and is not for the basket on unclean ground."
      >
        <StatesToggle
          label="Unclean by"
          character="concern"
          states={CONCERNS}
          value={concerns}
          onSet={(next) => onSet({ concerns: next.length === 0 ? null : next })}
        />
        <OwnWords
          label="Its history: orchard, graveyard, spoil, flood"
          value={history}
          rows={2}
          onSet={(next) => onSet({ history: next })}
        />
      </Section>
      <Section title="Who allows what" about="The program knows no law: this is what you were told.">
        <div className="fields">
          <OwnWords label="Whose it is" value={owner} onSet={(next) => onSet({ owner: next })} />
          <OwnWords label="What they ask" value={rule} onSet={(next) => onSet({ rule: next })} />
          <ToggleButtonGroup
            value={closedMonths}
            onChange={(_event, next: number[]) =>
              onSet({ closedMonths: next.length === 0 ? null : [...next].sort((one, other) => one - other) })
            }
            aria-label="Months in which it is closed"
            className="outing-by"
          >
            {MONTHS.map((month) => (
              <ToggleButton key={month} value={month}>
                {monthWord(month)}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <p className="soft small">
            {closedMonths.length === 0
              ? "Never closed."
              : `Closed in ${closedMonths.map(monthWord).join(", ")}: it is on no round then.`}
          </p>
          <Limits limits={limits} onSet={(next) => onSet({ limits: next.length === 0 ? null : [...next] })} />
        </div>
      </Section>
    </>
  );
}

type Limit = NonNullable<OwnPlace["limits"]>[number];

/** How much a day may be taken from there, all kinds together. The basket counts against it. */
function Limits({
  limits,
  onSet,
}: {
  readonly limits: readonly Limit[];
  readonly onSet: (limits: readonly Limit[]) => void;
}) {
  const [grams, setGrams] = useState<number>();
  return (
    <>
      {limits.map((limit) => (
        <p key={JSON.stringify(limit)} className="pot-line">
          <span className="grow">
            At most {limit.grams === undefined ? `${limit.pieces} pieces` : `${limit.grams} g`} a day
            {limit.kind === "all" ? "" : ` of ${limit.kind}`}
          </span>
          <Button variant="quiet" onClick={() => onSet(limits.filter((one) => one !== limit))}>
            No such limit
          </Button>
        </p>
      ))}
      <div className="actions">
        <NumberField
          label="Grams a day from there"
          unit="g"
          value={grams}
          onSet={(value) => setGrams(value === null || value <= 0 ? undefined : value)}
        />
        <Button
          disabled={grams === undefined}
          onClick={() => grams !== undefined && onSet([...limits, { kind: "all", grams }])}
        >
          At most so much a day
        </Button>
      </div>
    </>
  );
}
