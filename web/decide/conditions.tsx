/** What has to happen before anything is cooked, and how the kinds that it may be are handled. */
import { CONDITION_WORDS, theKind } from "@jittery-cap/core";
import { Section } from "../layout/section.tsx";
import type { ShownAnswer } from "../standing/shown-answer.ts";

interface ConditionsProps {
  readonly answer: ShownAnswer;
  /** Codes of the conditions that are met. */
  readonly met: ReadonlySet<string>;
}

/** How what may be kept is handled, in words; kinds that are handled alike are told together. */
function handlingWords(answer: ShownAnswer): ReadonlyMap<string, readonly string[]> {
  const told = new Map<string, string[]>();
  for (const { name, parts, cooking, warnings } of answer.handling ?? []) {
    const words = `${parts}; ${cooking}. ${warnings.join(" ")}`.trim();
    told.set(words, [...(told.get(words) ?? []), name]);
  }
  return told;
}

export function Conditions({ answer, met }: ConditionsProps) {
  if (answer.conditions === undefined) return null;
  return (
    <Section title="Before anything is cooked">
      <ol className="conditions">
        {answer.conditions.map((code) => (
          <li key={code} data-condition={code} data-met={met.has(code)}>
            {CONDITION_WORDS[code]} {met.has(code) && <b>Done.</b>}
          </li>
        ))}
      </ol>
      {[...handlingWords(answer)].map(([words, names]) => (
        <p key={words} data-handling className="measure">
          <b>If it is {names.map(theKind).join(" or ")}:</b> {words}
        </p>
      ))}
    </Section>
  );
}
