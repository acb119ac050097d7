/** The person's own limits for a day, counted down; the program does not know the law. */
import { type Carried, canonicalJson, countLimits, type Limit, ofDay } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { PlainSelect } from "../card/plain-select.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";

interface LimitsProps {
  /** Undefined where what is carried is not known: then nothing is counted. */
  readonly carried: readonly Carried[] | undefined;
  readonly limits: readonly Limit[];
  readonly onSet: (limits: readonly Limit[]) => void;
}

export function Limits({ carried: known, limits, onSet }: LimitsProps) {
  const carried = known ?? [];
  const [text, setText] = useState("");
  const [kind, setKind] = useState("all");
  const [place, setPlace] = useState("");
  const places = [...new Set(carried.flatMap((one) => (one.place === undefined ? [] : [one.place])))].sort();
  const kinds = [...new Set(carried.flatMap((one) => one.kinds))].sort();
  const dayOf = (moment: string) => new Date(moment).toDateString();
  const states = countLimits(ofDay(carried, new Date().toDateString(), dayOf), limits);
  const add = (unit: "grams" | "pieces") => {
    const value = Number(text.replace(",", "."));
    if (!(value > 0) || (unit === "pieces" && !Number.isInteger(value))) return;
    const limit: Limit = { kind, ...(place === "" ? {} : { place }), [unit]: value };
    if (limits.every((one) => canonicalJson(one) !== canonicalJson(limit))) onSet([...limits, limit]);
    setText("");
  };
  return (
    <Box component="section" aria-label="Limits" data-testid="limits">
      <Typography variant="h3" component="h2">
        Your limits for a day
      </Typography>
      <Box sx={{ color: tone.onDarkSoft, fontSize: "0.9375rem", pb: 1 }}>
        Enter what the law of the place and its owner allow. The program does not know the law.
      </Box>
      {states.map((state, index) => (
        <Box
          key={canonicalJson(state.limit)}
          data-over={state.over}
          sx={{
            display: "flex",
            gap: 1.5,
            alignItems: "center",
            minHeight: TOUCH,
            borderTop: `1px solid ${tone.mossLine}`,
          }}
        >
          <Box sx={{ color: tone.onDarkSoft }}>
            {state.limit.place === undefined ? "" : `${state.limit.place}, `}
            {state.limit.kind === "all" ? "together" : state.limit.kind.replaceAll("-", " ")}
          </Box>
          <Box sx={{ flex: 1, color: state.over ? tone.salmon : tone.onDark, fontWeight: state.over ? 750 : 450 }}>
            {known === undefined
              ? "not known"
              : state.limit.grams === undefined
                ? `${state.pieces} of ${state.limit.pieces} pieces`
                : `${state.grams} of ${state.limit.grams} g${state.unweighed > 0 ? `, ${state.unweighed} not weighed` : ""}`}
            {state.over ? ": over it" : ""}
          </Box>
          <ButtonBase
            onClick={() => onSet(limits.filter((_one, at) => at !== index))}
            sx={{ minHeight: TOUCH, color: tone.onDarkSoft, textDecoration: "underline" }}
          >
            drop
          </ButtonBase>
        </Box>
      ))}
      <Box sx={{ display: "flex", gap: 1, pt: 1, flexWrap: "wrap" }}>
        <InputBase
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder="how much"
          inputProps={{ inputMode: "decimal", "aria-label": "A limit" }}
          sx={{ width: 120, minHeight: TOUCH, px: 1.25, bgcolor: tone.paper, color: tone.ink }}
        />
        <PlainSelect label="Of what" value={kind} onChange={setKind}>
          <option value="all">all together</option>
          {kinds.map((one) => (
            <option key={one} value={one}>
              {one.replaceAll("-", " ")}
            </option>
          ))}
        </PlainSelect>
        <PlainSelect label="Where" value={place} onChange={setPlace}>
          <option value="">anywhere</option>
          {places.map((one) => (
            <option key={one} value={one}>
              {one}
            </option>
          ))}
        </PlainSelect>
        {(["grams", "pieces"] as const).map((unit) => (
          <ButtonBase
            key={unit}
            onClick={() => add(unit)}
            sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.onDarkSoft}`, color: tone.onDark }}
          >
            {unit}
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
