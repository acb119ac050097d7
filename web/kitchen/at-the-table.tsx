/** Who sits there: what each may have and why not, what has to be told of each, and new people. */
import { type Eater, type KindInPot, kindKey, type Seat, type Share } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Kept } from "../documents/documents.ts";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { keepPerson } from "./household.ts";
import { setFields } from "./keep.ts";
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
                <Alcohol
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

function OneShare({
  share,
  pot,
  eater,
}: {
  readonly share: Share;
  readonly pot: readonly KindInPot[];
  readonly eater: Eater;
}) {
  const handling = pot.find((one) => kindKey(one.handling.kinds) === share.kind)?.handling;
  const name = handling?.name ?? share.kind;
  const isNew = share.refusals.length === 1 && share.refusals[0] === "new-kind";
  const canTell = share.refusals.some((one) => one === "new-kind" || one === "second-new-kind");
  const hadIt = (trouble: boolean) =>
    keepPerson({
      ...eater,
      had: [
        ...(eater.had ?? []).filter(({ kind }) => handling?.kinds.includes(kind) !== true),
        ...(handling?.kinds ?? []).map((kind) => ({ kind, trouble })),
      ],
    });
  return (
    <div data-share={share.kind} data-most={share.most}>
      <div className={share.most === 0 ? "stands" : undefined}>
        {name}: {share.most === 0 ? "none" : isNew ? "a tablespoon and no more" : `up to ${share.most} g`}
      </div>
      {share.why !== undefined && <div className="soft small">{share.why}</div>}
      {canTell && (
        <div className="actions">
          <Button
            variant="quiet"
            onClick={() => void hadIt(false)}
            aria-label={`${eater.name} has had ${name} before, without trouble`}
          >
            has had it, no trouble
          </Button>
          <Button
            variant="quiet"
            onClick={() => void hadIt(true)}
            aria-label={`${eater.name} had trouble with ${name}`}
          >
            had trouble
          </Button>
        </div>
      )}
    </div>
  );
}

const HOUR_MS = 3_600_000;
/** What can be told of the last drink, in hours before the meal. */
const DRANK = [
  ["today", 0],
  ["yesterday", 24],
  ["two days ago", 48],
  ["three days ago", 72],
  ["four or five days ago", 96],
] as const;

function Alcohol({
  seat,
  servedAt,
  onTell,
}: {
  readonly seat: Seat;
  readonly servedAt: number;
  readonly onTell: (seat: Seat) => void;
}) {
  const { lastAlcoholAt: _last, ...rest } = seat;
  const hours =
    typeof seat.lastAlcoholAt === "string" ? (servedAt - Date.parse(seat.lastAlcoholAt)) / HOUR_MS : undefined;
  const value =
    seat.lastAlcoholAt === null
      ? "none"
      : hours === undefined
        ? ""
        : String([...DRANK].reverse().find(([, from]) => hours >= from)?.[1] ?? 0);
  return (
    <ChooseFrom
      label="Last alcohol"
      value={value}
      onChange={(told) =>
        onTell(
          told === ""
            ? rest
            : {
                ...rest,
                lastAlcoholAt: told === "none" ? null : new Date(servedAt - Number(told) * HOUR_MS).toISOString(),
              },
        )
      }
    >
      <option value="">last alcohol: not told</option>
      {DRANK.map(([words, from]) => (
        <option key={from} value={from}>
          {words}
        </option>
      ))}
      <option value="none">none for a week, and none for five days after</option>
    </ChooseFrom>
  );
}
