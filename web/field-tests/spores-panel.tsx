/** Spores under the microscope: typed, pasted or from a file; in the books' notation, beside the sheets. */
import { readSpores, sporeStatistics } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { ReferenceArea, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from "recharts";
import { useShelf } from "../sheets/use-shelf.ts";
import { useFind } from "../state/find-state.ts";
import { FONT, TOUCH, tone } from "../theme/tokens.ts";
import type { ShownTest } from "./shown-test.ts";

/** So many sheets are set beside the cloud. */
const BESIDE = 6;

export function SporesPanel({ body, onChange }: ShownTest) {
  const answer = useFind((state) => state.answer);
  const known = body.measures?.sporeLengthUm ?? [];
  const [text, setText] = useState(() =>
    known
      .map((length, index) =>
        [length, body.measures?.sporeWidthUm?.[index]].filter((one) => one !== undefined).join(" x "),
      )
      .join("\n"),
  );
  const [chosen, setChosen] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  const typed = text.trim() === "" ? undefined : readSpores(text);
  const statistics = typed?.ok === true ? sporeStatistics(typed.lengths, typed.widths) : undefined;
  const ids = [
    ...(answer?.candidates.filter((one) => one.fits).map((one) => one.sheet) ?? []),
    ...(answer?.dangers.map((one) => one.sheet) ?? []),
  ].slice(0, BESIDE * 3);
  const boxes = useShelf(ids.join(), (remote) => remote.sporeBoxes(ids));
  const shown = boxes.state === "told" ? boxes.reply.slice(0, BESIDE) : [];
  const beside = shown.find((one) => one.id === chosen) ?? shown[0];
  const points =
    typed?.ok === true && typed.widths.length > 0
      ? typed.lengths.map((length, index) => ({ length, width: typed.widths[index] ?? 0 }))
      : [];
  const record = () => {
    if (typed?.ok !== true) return;
    const measures = {
      ...body.measures,
      sporeLengthUm: typed.lengths,
      ...(typed.widths.length > 0 ? { sporeWidthUm: typed.widths } : {}),
    };
    onChange({ kind: "set-body", body: body.id, field: "measures", value: JSON.parse(JSON.stringify(measures)) });
  };
  const reach = (of: "length" | "width", end: 0 | 1, values: readonly number[]) => {
    const all = [...values, ...(beside === undefined ? [] : [beside[of][end]])];
    return end === 0 ? Math.floor(Math.min(...all)) - 1 : Math.ceil(Math.max(...all)) + 1;
  };
  return (
    <>
      <Typography variant="h2" component="h1">
        Spores of {body.id}
      </Typography>
      <Typography sx={{ color: tone.inkSoft, pb: 1.5 }}>
        A spore a line, length and width in µm: “8.1 x 4.9”. Pasted tables and CSV files are understood.
      </Typography>
      <Box sx={{ display: "grid", gap: 2.5, gridTemplateColumns: { xs: "1fr", md: "220px 1fr" } }}>
        <Box>
          <InputBase
            multiline
            minRows={10}
            maxRows={16}
            value={text}
            onChange={(event) => setText(event.target.value)}
            inputProps={{ "aria-label": "Lengths and widths of spores, µm", spellCheck: false }}
            sx={{
              width: "100%",
              p: 1.25,
              bgcolor: tone.paper,
              border: `1px solid ${tone.boneLine}`,
              alignItems: "flex-start",
              fontVariantNumeric: "tabular-nums",
            }}
          />
          <ButtonBase
            onClick={() => file.current?.click()}
            sx={{ minHeight: TOUCH, color: tone.ink, textDecoration: "underline" }}
          >
            From a CSV file
          </ButtonBase>
          <input
            ref={file}
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            hidden
            aria-label="CSV file of spores"
            onChange={(event) => void event.target.files?.[0]?.text().then(setText)}
          />
        </Box>
        <Box sx={{ minWidth: 0 }}>
          {typed?.ok === false && (
            <Box role="alert" sx={{ color: tone.rust, fontWeight: 600 }}>
              {typed.fault}
            </Box>
          )}
          {statistics !== undefined && (
            <Box role="status" data-testid="spores" sx={{ fontSize: "1.1875rem", fontWeight: 700, lineHeight: 1.35 }}>
              {statistics.notation}
              <Box sx={{ fontWeight: 450, fontSize: "1rem", color: tone.inkSoft }}>
                mean {statistics.length.mean.toFixed(2)} ± {statistics.length.deviation.toFixed(2)}
                {statistics.width === undefined
                  ? ""
                  : ` × ${statistics.width.mean.toFixed(2)} ± ${statistics.width.deviation.toFixed(2)}`}{" "}
                µm; 5 to 95 of 100 spores in the range, the extremes in brackets
              </Box>
            </Box>
          )}
          {points.length > 0 && (
            <Box
              sx={{ height: 270, pt: 1.5 }}
              role="img"
              aria-label={`Lengths and widths of ${points.length} spores${beside === undefined ? "" : ` beside the ${beside.common}, ${beside.length.join(" to ")} by ${beside.width.join(" to ")} µm`}`}
            >
              <ResponsiveContainer>
                <ScatterChart margin={{ top: 8, right: 12, bottom: 22, left: 0 }}>
                  <XAxis
                    type="number"
                    dataKey="length"
                    domain={[
                      reach(
                        "length",
                        0,
                        points.map((one) => one.length),
                      ),
                      reach(
                        "length",
                        1,
                        points.map((one) => one.length),
                      ),
                    ]}
                    tick={{ fill: tone.inkSoft, fontFamily: FONT.text }}
                    stroke={tone.inkSoft}
                    label={{ value: "length, µm", position: "insideBottom", offset: -14, fill: tone.inkSoft }}
                  />
                  <YAxis
                    type="number"
                    dataKey="width"
                    width={52}
                    domain={[
                      reach(
                        "width",
                        0,
                        points.map((one) => one.width),
                      ),
                      reach(
                        "width",
                        1,
                        points.map((one) => one.width),
                      ),
                    ]}
                    tick={{ fill: tone.inkSoft, fontFamily: FONT.text }}
                    stroke={tone.inkSoft}
                    label={{ value: "width, µm", angle: -90, position: "insideLeft", offset: 14, fill: tone.inkSoft }}
                  />
                  {beside !== undefined && (
                    <ReferenceArea
                      x1={beside.length[0]}
                      x2={beside.length[1]}
                      y1={beside.width[0]}
                      y2={beside.width[1]}
                      fill={tone.ochre}
                      fillOpacity={0.18}
                      stroke={tone.rust}
                      strokeDasharray="5 4"
                    />
                  )}
                  <Scatter data={points} fill={tone.plum} isAnimationActive={false} />
                </ScatterChart>
              </ResponsiveContainer>
            </Box>
          )}
          {statistics !== undefined && shown.length > 0 && (
            <Box
              role="group"
              aria-label="The sheet beside it"
              sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, pt: 1 }}
            >
              {shown.map((one) => (
                <ButtonBase
                  key={one.id}
                  aria-pressed={one.id === beside?.id}
                  onClick={() => setChosen(one.id)}
                  sx={{
                    minHeight: TOUCH - 8,
                    px: 1.25,
                    border: `1px solid ${one.id === beside?.id ? tone.ink : tone.boneLine}`,
                    bgcolor: tone.paper,
                    fontWeight: one.id === beside?.id ? 750 : 450,
                    fontSize: "0.9375rem",
                  }}
                >
                  {one.common}
                </ButtonBase>
              ))}
            </Box>
          )}
          {statistics !== undefined && (
            <ButtonBase
              onClick={record}
              sx={{ mt: 2, mb: 3, minHeight: TOUCH, px: 2, bgcolor: tone.ink, color: tone.bone, fontWeight: 750 }}
            >
              Record the spores
            </ButtonBase>
          )}
        </Box>
      </Box>
    </>
  );
}
