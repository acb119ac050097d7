/** What other observers saw of a character; where they differ it counts as unsure, and the screen says so. */
import { type Body, type CharacterId, type Find, stateWords, wordList } from "@jittery-cap/core";
import { useObserver } from "./observer.ts";
import { entryOf, othersOf } from "./observing.ts";

interface OtherLooksProps {
  readonly find: Find;
  readonly body: Body;
  readonly character: CharacterId;
}

export function OtherLooks({ find, body, character }: OtherLooksProps) {
  const observer = useObserver();
  const others = othersOf(body, character, observer);
  if (others.length === 0) return null;
  const mine = entryOf(body, character, observer)?.states;
  const seen = others.flatMap((entry) => (entry.states === undefined ? [] : [entry.states]));
  const sets = new Set([...seen, ...(mine === undefined ? [] : [mine])].map((states) => [...states].sort().join()));
  return (
    <div className="others" data-testid={`others-${character}`}>
      {others.map((entry) => (
        <div key={`${entry.by ?? ""} ${entry.at ?? ""}`}>
          <b>{find.observers?.find((one) => one.id === entry.by)?.name ?? entry.by ?? "the finder"}</b>:{" "}
          {entry.states === undefined
            ? `not looked, ${entry.unseen}`
            : wordList(
                entry.states.map((state) => stateWords(character, state)),
                "and",
              )}
        </div>
      ))}
      {sets.size > 1 && <div className="stands">They differ: it counts as unsure.</div>}
    </div>
  );
}
