/** Who is looking: several people may record one body, and where they differ it is unsure. */
import type { Change, Find, Observer } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { Choice } from "./choice.tsx";

interface ObserverSwitchProps {
  readonly find: Find;
  readonly onChange: (change: Change) => void;
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

export function ObserverSwitch({ find, onChange }: ObserverSwitchProps) {
  const { observer, observe } = useFind(useShallow(({ observer, observe }) => ({ observer, observe })));
  const [name, setName] = useState("");
  const observers = find.observers ?? [];
  const setObservers = (next: readonly Observer[]) =>
    onChange({
      kind: "set-find",
      field: "observers",
      value: next.length === 0 ? null : JSON.parse(JSON.stringify(next)),
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
  return (
    <Box component="section" aria-labelledby="observers" data-testid="observers" sx={{ pb: 2.75 }}>
      <Typography id="observers" variant="h3" component="h3">
        Who is looking
      </Typography>
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pb: 1 }}>
        Several people may look at one body. Where they differ, it counts as unsure.
      </Box>
      <Box
        sx={{
          display: "grid",
          gap: 1,
          gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(auto-fill, minmax(118px, 1fr))" },
        }}
      >
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
          <Choice
            quiet
            label={`${current.name ?? current.id} has no nose for this`}
            chosen={current.cannotSmell === true}
            onChoose={() =>
              setObservers(
                observers.map((one) => {
                  if (one.id !== current.id) return one;
                  const { cannotSmell, ...rest } = one;
                  return cannotSmell === true ? rest : { ...rest, cannotSmell: true };
                }),
              )
            }
          />
        )}
        <InputBase
          value={name}
          onChange={(event) => setName(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") add();
          }}
          onBlur={add}
          placeholder="add a name"
          inputProps={{ "aria-label": "Name of one more observer", maxLength: 80 }}
          sx={{ minHeight: TOUCH, px: 1.25, bgcolor: tone.paper, border: `1px solid ${tone.boneLine}` }}
        />
      </Box>
    </Box>
  );
}
