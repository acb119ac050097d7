/** Record: the specimen, its stations, and the dark half that answers every touch. */
import useMediaQuery from "@mui/material/useMediaQuery";
import useEventCallback from "@mui/utils/useEventCallback";
import { useState } from "react";
import { SplitCard } from "../layout/split-card.tsx";
import { useOpenFind } from "../session/session-context.tsx";
import { WIDE } from "../theme/tokens.ts";
import { DeskFind } from "./desk-find.tsx";
import { KeyHelp } from "./key-help.tsx";
import { PhoneFind } from "./phone-find.tsx";
import { StandingDangers } from "./standing-dangers.tsx";
import { useBench } from "./use-bench.ts";
import { useGoingOn } from "./use-going-on.ts";
import { useKeys } from "./use-keys.ts";

export function FindView() {
  const wide = useMediaQuery(WIDE);
  const find = useOpenFind();
  const bench = useBench(find);
  const { body, station, order, answer, current, onAction, goTo } = bench;
  /** The question of which several states are told: nothing goes on by itself while it is on the screen. */
  const [several, setSeveral] = useState<string>();
  const isSeveral = several !== undefined && several === current;
  const here = wide || isSeveral ? undefined : { station: station.id, body: body.id, item: current };
  const onChange = useEventCallback(useGoingOn(here, goTo));
  const turnAlso = useEventCallback(() => bench.setAlsoOpen(!bench.alsoOpen));
  const turnSeveral = useEventCallback(() => setSeveral(isSeveral ? undefined : current));
  const help = useEventCallback(() => bench.setHelp(true));
  const noHelp = useEventCallback(() => bench.setHelp(false));
  const move = useEventCallback(bench.move);
  const undoHere = useEventCallback(bench.undoHere);
  const goToTest = useEventCallback(bench.goToTest);
  useKeys(onAction);
  const shown = {
    find,
    body,
    station,
    order,
    alsoOpen: bench.alsoOpen,
    onAlso: turnAlso,
    answer,
    active: current,
    onActivate: bench.setActive,
    onChange,
    onBody: bench.setBodyId,
    onAddBody: bench.addBody,
    onAddLike: bench.addLike,
    stopwatch: bench.stopwatch,
  };
  return (
    <>
      <SplitCard
        isHeld
        light={
          wide ? (
            <DeskFind {...shown} onHelp={help} />
          ) : (
            <PhoneFind {...shown} onMove={move} onUndo={undoHere} isSeveral={isSeveral} onSeveral={turnSeveral} />
          )
        }
        dark={<StandingDangers onGo={goToTest} canCompare />}
      />
      <KeyHelp open={bench.help} onClose={noHelp} />
    </>
  );
}
