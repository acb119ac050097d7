/** Who sits there: what each may have and why not, what has to be told of each, and new people. */
import type { Eater, KindInPot, Seat, Share } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Kept } from "../documents/documents.ts";
import { setFields } from "../documents/keep-fields.ts";
import { LastAlcohol } from "./last-alcohol.tsx";
import { OneShare } from "./one-share.tsx";
import { PersonDialog } from "./person-dialog.tsx";
import type { Kitchen } from "./use-kitchen.ts";

interface AtTheTableProps {
  readonly meal: Kept<"meal">;
  readonly kitchen: Kitchen;
  readonly pot: readonly KindInPot[];
  readonly shares: readonly Share[];
  readonly servedAt: number;
}

export function AtTheTable({ meal, kitchen, pot, shares, servedAt }: AtTheTableProps) {
  const [edited, setEdited] = useState<Eater | "new">();
  const { seats } = meal.content;
  const set = (next: readonly Seat[]) => void setFields("meal", meal.id, { seats: [...next] });
  const away = kitchen.people.filter(({ id }) => seats.every((seat) => seat.person !== id));
  const asksAlcohol = pot.some(({ handling }) => handling.alcoholHours !== undefined);
  return (
    <section aria-label="At the table" className="above-3">
      <h2 className="section-title">At the table</h2>
      {seats.map((seat) => {
        const eater = kitchen.people.find(({ id }) => id === seat.person);
        return (
          <div key={seat.person} className="seat" data-seat={eater?.name ?? "unknown"}>
            <b>
              {eater === undefined
                ? "Somebody else"
                : `${eater.name}${eater.ageYears === undefined ? "" : `, ${eater.ageYears}`}`}
            </b>
            <div>
              {eater === undefined
                ? "not known on this device: nothing is served to them from here"
                : shares
                    .filter(({ person }) => person === seat.person)
                    .map((share) => <OneShare key={share.kind} share={share} pot={pot} eater={eater} />)}
            </div>
            <div className="seat-actions">
              {asksAlcohol && (
                <LastAlcohol
                  seat={seat}
                  servedAt={servedAt}
                  onTell={(told) => set(seats.map((one) => (one.person === seat.person ? told : one)))}
                />
              )}
              {eater !== undefined && (
                <Button variant="quiet" onClick={() => setEdited(eater)} aria-label={`About ${eater.name}`}>
                  about
                </Button>
              )}
              <Button
                variant="quiet"
                onClick={() => set(seats.filter((one) => one !== seat))}
                aria-label={`${eater?.name ?? "Somebody else"} does not eat`}
              >
                does not eat
              </Button>
            </div>
          </div>
        );
      })}
      <div className="actions above">
        {away.map(({ id, name }) => (
          <Button key={id} onClick={() => set([...seats, { person: id }])}>
            {name} too
          </Button>
        ))}
        <Button onClick={() => setEdited("new")}>Somebody new</Button>
      </div>
      <p className="soft small">
        Children, the pregnant, the breastfeeding and the ill get none. What is told of people stays on this device.
      </p>
      {edited !== undefined && (
        <PersonDialog
          eater={edited === "new" ? undefined : edited}
          onClose={() => setEdited(undefined)}
          onKept={(id) => {
            if (seats.every((seat) => seat.person !== id)) set([...seats, { person: id }]);
          }}
        />
      )}
    </section>
  );
}
