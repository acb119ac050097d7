/** If one thing seen were wrong: what would stand nearer, the gravest first; the rest at a touch. */
import type { CharacterId, IfWrong } from "@jittery-cap/core";
import { theKind } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { useState } from "react";
import { distanceWords } from "../standing/distance-words.ts";

const SHOWN_AT_FIRST = 1;
const NAMED = 3;

/** "the destroying angel would be 1 mistake away", the nearest first. */
export function consequenceWords({ nearer }: IfWrong): string {
  const named = nearer
    .slice(0, NAMED)
    .map(({ name, to }) => `${theKind(name)} ${to === 0 ? "would touch this find" : `would be ${distanceWords(to)}`}`);
  const more = nearer.length - named.length;
  return `${named.join("; ")}${more > 0 ? `; ${more} more would come nearer` : ""}`;
}

interface IfOneWereWrongProps {
  readonly wrongs: readonly IfWrong[] | undefined;
  readonly supposed: CharacterId | undefined;
  readonly onSuppose: (character: CharacterId | undefined) => void;
}

export function IfOneWereWrong({ wrongs, supposed, onSuppose }: IfOneWereWrongProps) {
  const [all, setAll] = useState(false);
  if (wrongs === undefined || wrongs.length === 0) return null;
  const shown = all ? wrongs : wrongs.slice(0, SHOWN_AT_FIRST);
  return (
    <section aria-label="If one thing seen were wrong" data-testid="if-wrong" className="wrong">
      <ul className="lines">
        {shown.map((wrong) => (
          <li key={wrong.character + wrong.body}>
            <button
              type="button"
              aria-pressed={supposed === wrong.character}
              onClick={() => onSuppose(supposed === wrong.character ? undefined : wrong.character)}
              className="wrong-one"
            >
              <b>If {wrong.what} were wrong</b>, <span className="soft">{consequenceWords(wrong)}.</span>
            </button>
          </li>
        ))}
      </ul>
      {wrongs.length > SHOWN_AT_FIRST && (
        <Button variant="quiet" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? "Only the gravest" : `And ${wrongs.length - SHOWN_AT_FIRST} other things that were seen`}
        </Button>
      )}
    </section>
  );
}
