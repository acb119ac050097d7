/** What a station has besides its questions: the weather station and the place, the troop and its observers, a stopwatch. */
import { ObserverSwitch } from "./observer-switch.tsx";
import { PlaceBlock } from "./place-block.tsx";
import { QuickLook } from "./quick-look.tsx";
import type { ShownFind } from "./shown-find.ts";
import { StopwatchBlock } from "./stopwatch-block.tsx";
import { WeatherFromStation } from "./weather-from-station.tsx";

export function StationExtras(shown: ShownFind) {
  const { station, find, body, onChange, stopwatch } = shown;
  switch (station.id) {
    case "ground":
      return (
        <>
          <WeatherFromStation find={find} onChange={onChange} />
          <PlaceBlock find={find} onChange={onChange} />
        </>
      );
    case "bodies":
      return (
        <>
          <QuickLook find={find} body={body} onAddBody={shown.onAddBody} onAddLike={shown.onAddLike} />
          <ObserverSwitch find={find} onChange={onChange} />
        </>
      );
    case "foot":
    case "cut":
      return <StopwatchBlock stopwatch={stopwatch} />;
    default:
      return null;
  }
}
