/** Who is looking: several people may record one body, and where they differ it is unsure. */
import type { Change, Find, Observer } from "@jittery-cap/core";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useSharedFind } from "../circles/use-shared.ts";
import { Choice } from "./choice.tsx";
import type { Smell } from "./nose.ts";
import { NoseChoice } from "./nose-choice.tsx";
import { useObserver } from "./observer.ts";

interface ObserverSwitchProps {
  readonly find: Find;
  readonly onChange: (change: Change) => void;
  readonly onObserve: (observer: string | undefined) => void;
}

/** An id out of a name: letters and digits, with a number where it is taken. */
export function observerId(name: string, taken: readonly string[]): string {
  const plain =
    name
      .normalize("NFKD")
      .replace(/[^A-Za-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .toLowerCase()
      .slice(0, 40) || "observer";
  let id = plain;
  for (let number = 2; taken.includes(id); number++) id = `${plain}-${number}`;
  return id;
}

export function ObserverSwitch({ find, onChange, onObserve: observe }: ObserverSwitchProps) {
  const observer = useObserver();
  const isAnothers = useSharedFind(find.id) !== undefined;
  const [name, setName] = useState("");
  const [isNoseOpen, setNoseOpen] = useState(false);
  const observers = find.observers ?? [];
  const setObservers = (next: readonly Observer[]) =>
    onChange({
      kind: "set-find",
      field: "observers",
      value: next.length === 0 ? null : [...next],
    });
  const add = () => {
    const trimmed = name.trim();
    if (trimmed === "") return;
    const id = observerId(
      trimmed,
      observers.map((one) => one.id),
    );
    setObservers([...observers, { id, name: trimmed }]);
    observe(id);
    setName("");
  };
  const current = observers.find((one) => one.id === observer);
  const changeCurrent = (next: Observer) => setObservers(observers.map((one) => (one.id === next.id ? next : one)));
  // whoever looks at another's find looks under their own name
  if (isAnothers) return null;
  return (
    <section aria-labelledby="observers" data-testid="observers" className="block">
      <div className="block-title">
        <h2 id="observers">Who is looking</h2>
      </div>
      <div className="section-about">Several people may look at one body. Where they differ, it counts as unsure.</div>
      <div className="choices">
        <Choice quiet label="the finder" chosen={observer === undefined} onChoose={() => observe(undefined)} />
        {observers.map((one) => (
          <Choice
            key={one.id}
            quiet
            label={one.name ?? one.id}
            chosen={observer === one.id}
            state={one.id}
            onChoose={() => observe(one.id)}
          />
        ))}
        {current !== undefined && (
          <NoseOf
            observer={current}
            isOpen={isNoseOpen}
            onOpen={() => setNoseOpen(!isNoseOpen)}
            onChange={changeCurrent}
          />
        )}
        <TextField
          value={name}
          onChange={(event) => setName(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") add();
          }}
          onBlur={add}
          placeholder="add a name"
          slotProps={{ htmlInput: { "aria-label": "Name of one more observer", maxLength: 80 } }}
        />
      </div>
      {current !== undefined && isNoseOpen && (
        <div className="above">
          <NoseChoice
            label={`Smells that ${current.name ?? current.id} has met`}
            known={current.smellsKnown ?? []}
            onKnow={(known) => changeCurrent(withNose(current, known))}
          />
        </div>
      )}
    </section>
  );
}

interface NoseOfProps {
  readonly observer: Observer;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
  readonly onChange: (observer: Observer) => void;
}

function NoseOf({ observer, isOpen, onOpen, onChange }: NoseOfProps) {
  const { cannotSmell, ...rest } = observer;
  const name = observer.name ?? observer.id;
  return (
    <>
      <Choice
        quiet
        label={`${name} has no nose for this`}
        chosen={cannotSmell === true}
        onChoose={() => onChange(cannotSmell === true ? rest : { ...rest, cannotSmell: true })}
      />
      <Choice
        quiet
        label={`smells that ${name} has met: ${observer.smellsKnown?.length ?? "all"}`}
        chosen={isOpen}
        onChoose={onOpen}
      />
    </>
  );
}

/** An observer who has met these smells; without any, all of them. */
function withNose({ smellsKnown: _before, ...one }: Observer, known: readonly Smell[]): Observer {
  return known.length === 0 ? one : { ...one, smellsKnown: [...known] };
}
