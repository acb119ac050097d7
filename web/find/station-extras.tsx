/** What a station has besides its questions: the weather station and the place, the troop and its observers, a stopwatch. */
import { useSession } from "../session/session-context.tsx";
import { ObserverSwitch } from "../specimen/observer-switch.tsx";
import { StopwatchBlock } from "../specimen/stopwatch-block.tsx";
import { NoteField } from "./note-field.tsx";
import { PlaceBlock } from "./place-block.tsx";
import { QuickLook } from "./quick-look.tsx";
import type { ShownFind } from "./shown-find.ts";
import { WeatherFromStation } from "./weather-from-station.tsx";

export function StationExtras(shown: ShownFind) {
  const { station, find, body, onChange, stopwatch } = shown;
  const { observe } = useSession();
  switch (station.id) {
    case "ground":
      return (
        <>
          <WeatherFromStation find={find} />
          <PlaceBlock find={find} />
          <NoteField
            label="A note on the find"
            note={find.note}
            onSet={(value) => onChange({ kind: "set-find", field: "note", value })}
          />
        </>
      );
    case "bodies":
      return (
        <>
          <QuickLook find={find} body={body} onAddBody={shown.onAddBody} onAddLike={shown.onAddLike} />
          <NoteField
            key={body.id}
            label={`A note on ${body.id}`}
            note={body.note}
            onSet={(value) => onChange({ kind: "set-body", body: body.id, field: "note", value })}
          />
          <ObserverSwitch find={find} onChange={onChange} onObserve={observe} />
        </>
      );
    case "foot":
    case "cut":
      return <StopwatchBlock stopwatch={stopwatch} />;
    default:
      return null;
  }
}
