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
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useState } from "react";
import { Choice } from "../find/choice.tsx";
import { entryOf } from "../find/observing.ts";
import { PIGMENTS, TOUCH, tone } from "../theme/tokens.ts";

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
    <Box>
      <Box
        role="group"
        aria-label={`What the print of ${body.id} shows`}
        sx={{ display: "grid", gap: 1, gridTemplateColumns: "repeat(3, 1fr)", maxWidth: 560 }}
      >
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
      </Box>
      {(result === "thick" || result === "thin") && (
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "1fr 1fr" }, mt: 1.25 }}>
          <Half body={body.id} half="black" chosen={halves.black} onPick={(state) => pick("black", state)} />
          <Half body={body.id} half="white" chosen={halves.white} onPick={(state) => pick("white", state)} />
        </Box>
      )}
      {entry?.states !== undefined && (
        <Box role="status" sx={{ pt: 1, fontWeight: 650 }}>
          Recorded: {entry.states.map((state) => stateWords("spore-print", state)).join(" or ")}
          {entry.method === "picture" ? ", from a picture: no confirmation" : entry.sure === false ? ", unsure" : ""}
          {result === "thin" ? ". So thin it counts as unsure." : "."}
        </Box>
      )}
    </Box>
  );
}

function Half({
  body,
  half,
  chosen,
  onPick,
}: {
  body: string;
  half: "black" | "white";
  chosen: string | undefined;
  onPick: (state: string) => void;
}) {
  const dark = half === "black";
  return (
    <Box
      role="group"
      aria-label={`Print of ${body} on the ${half} half`}
      data-half={half}
      sx={{
        bgcolor: dark ? tone.moss : tone.paper,
        color: dark ? tone.onDark : tone.ink,
        p: 1.5,
        border: `1px solid ${tone.moss}`,
      }}
    >
      <Box sx={{ fontWeight: 700, pb: 1 }}>On the {half} half</Box>
      <Box sx={{ display: "grid", gap: 0.75, gridTemplateColumns: "repeat(auto-fill, minmax(104px, 1fr))" }}>
        {CHARACTERS["spore-print"].states.map((state) => (
          <ButtonBase
            key={state}
            aria-pressed={chosen === state}
            data-state={state}
            onClick={() => onPick(state)}
            sx={{
              justifyContent: "flex-start",
              gap: 1,
              minHeight: TOUCH,
              px: 0.75,
              fontSize: "0.9375rem",
              lineHeight: 1.1,
              textAlign: "left",
              color: "inherit",
              fontWeight: chosen === state ? 750 : 450,
              outline: chosen === state ? `2px solid ${dark ? tone.onDark : tone.ink}` : undefined,
              outlineOffset: -2,
            }}
          >
            <Box
              aria-hidden="true"
              sx={{
                width: 26,
                height: 26,
                borderRadius: "50%",
                flex: "none",
                bgcolor: PIGMENTS[state],
                border: `1px solid ${dark ? tone.mossLine : tone.boneLine}`,
              }}
            />
            {stateWords("spore-print", state)}
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
