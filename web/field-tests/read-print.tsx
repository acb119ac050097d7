/** A print read by eye: how thick it lies, and its colour on the black half and on the white. */

import {
  type Body,
  CHARACTERS,
  type Change,
  type Find,
  printEntry,
  type SporePrint,
  stateWords,
} from "@jittery-cap/core";
import { useState } from "react";
import { Choice } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";
import { entryOf } from "../specimen/observing.ts";
import { PIGMENTS } from "../theme/tokens.ts";

interface ReadPrintProps {
  readonly find: Find;
  readonly body: Body;
  readonly onPrint: (print: SporePrint) => void;
  readonly onChange: (change: Change) => void;
}

const RESULTS = [
  { id: "thick", label: "it lies thick" },
  { id: "thin", label: "a breath of it" },
  { id: "none", label: "nothing shows" },
] as const;

export function ReadPrint({ body, onPrint, onChange }: ReadPrintProps) {
  const { print } = body;
  const entry = entryOf(body, "spore-print");
  const known = entry?.sure === false ? undefined : entry?.states?.[0];
  const [halves, setHalves] = useState<{ black: string | undefined; white: string | undefined }>({
    black: known,
    white: known,
  });
  const result = print?.readAt === undefined ? undefined : print.result;
  const setResult = (next: (typeof RESULTS)[number]["id"]) => {
    onPrint({ ...print, readAt: new Date().toISOString(), result: next });
    // what shows nothing says nothing: a colour told before goes
    if (next === "none" && entry !== undefined) onChange({ kind: "unsee", body: body.id, character: "spore-print" });
  };
  const pick = (half: "black" | "white", state: string) => {
    const next = { ...halves, [half]: halves[half] === state ? undefined : state };
    setHalves(next);
    const made = printEntry(next);
    onChange(
      made === undefined
        ? { kind: "unsee", body: body.id, character: "spore-print" }
        : { kind: "observe", body: body.id, character: "spore-print", entries: [made] },
    );
  };
  return (
    <div>
      <Choices label={`What the print of ${body.id} shows`} className="print-results">
        {RESULTS.map((one) => (
          <Choice
            key={one.id}
            quiet
            label={one.label}
            state={one.id}
            chosen={result === one.id}
            onChoose={() => setResult(one.id)}
          />
        ))}
      </Choices>
      {(result === "thick" || result === "thin") && (
        <div className="halves">
          <Half body={body.id} half="black" chosen={halves.black} onPick={(state) => pick("black", state)} />
          <Half body={body.id} half="white" chosen={halves.white} onPick={(state) => pick("white", state)} />
        </div>
      )}
      {entry?.states !== undefined && (
        <div role="status" className="above strong">
          Recorded: {entry.states.map((state) => stateWords("spore-print", state)).join(" or ")}
          {entry.method === "picture" ? ", from a picture: no confirmation" : entry.sure === false ? ", unsure" : ""}
          {result === "thin" ? ". So thin it counts as unsure." : "."}
        </div>
      )}
    </div>
  );
}

interface HalfProps {
  readonly body: string;
  readonly half: "black" | "white";
  readonly chosen: string | undefined;
  readonly onPick: (state: string) => void;
}

function Half({ body, half, chosen, onPick }: HalfProps) {
  return (
    <div data-print-half={half}>
      {/* biome-ignore lint/a11y/useSemanticElements: a fieldset would be drawn with a frame */}
      <div
        role="group"
        aria-label={`Print of ${body} on the ${half} half`}
        data-half={half === "black" ? "dark" : "light"}
        className="half"
      >
        <div className="strong below">On the {half} half</div>
        <div className="half-states">
          {CHARACTERS["spore-print"].states.map((state) => (
            <button
              key={state}
              type="button"
              aria-pressed={chosen === state}
              data-state={state}
              onClick={() => onPick(state)}
              className="half-state"
            >
              <span aria-hidden="true" className="dab" style={{ background: PIGMENTS[state] }} />
              {stateWords("spore-print", state)}
            </button>
          ))}
        </div>
      </div>
    </div>
  );
}
