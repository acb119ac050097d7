/** Where it stood: from the device, from the simulated walk, or left out. It never leaves this record by itself. */
import type { Change, Find } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { useState } from "react";
import { devicePosition, type Position, positionChanges, simulatedPosition } from "../device/surroundings.ts";
import { ChooseRegion } from "../layout/choose-region.tsx";
import { useSession } from "../session/session-context.tsx";

/** The place in words: where, how exactly, how high. */
function placeWords({ lat, lon, accuracyM, elevationM }: NonNullable<Find["place"]>): string | undefined {
  if (lat === undefined || lon === undefined) return undefined;
  const parts = [
    `${lat.toFixed(4)}, ${lon.toFixed(4)}`,
    accuracyM === undefined ? undefined : `within ${accuracyM} m`,
    elevationM === undefined ? undefined : `${elevationM} m up`,
  ];
  return parts.filter((part) => part !== undefined).join(" · ");
}

export function PlaceBlock({ find }: { readonly find: Find }) {
  const { changeTogether } = useSession();
  const [said, setSaid] = useState<string>();
  const set = (changes: readonly Change[]) => changeTogether(changes);
  const take = async (position: Promise<Position | string>) => {
    setSaid("Asking.");
    const found = await position;
    if (typeof found === "string") return setSaid(found);
    setSaid(undefined);
    set(positionChanges(found));
  };
  const words = placeWords(find.place ?? {});
  return (
    <section aria-label="The place" data-testid="place" className="block">
      <div className="block-title">
        <h2>The place</h2>
      </div>
      <div role="status" className="section-about">
        {said ?? words ?? "Not recorded. It may be left out."}
      </div>
      <div className="actions below">
        <ChooseRegion
          region={find.place?.region}
          none="part of the world not told"
          onChoose={(region) => set([{ kind: "set-place", field: "region", value: region ?? null }])}
        />
      </div>
      <div className="actions">
        <Button onClick={() => void take(devicePosition())}>Where I stand</Button>
        <Button onClick={() => void take(simulatedPosition(new Date()))}>A simulated walk</Button>
        {words !== undefined && <Button onClick={() => set(positionChanges(undefined))}>Leave it out</Button>}
      </div>
    </section>
  );
}
