/** Spores under the microscope: typed, pasted or from a file; in the books' notation, beside the sheets. */

import { readSpores, sporeStatistics } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { useFind } from "../session/session-context.tsx";
import { useShelf } from "../sheets/use-shelf.ts";
import { Choices } from "../specimen/choices.tsx";
import type { ShownTest } from "./shown-test.ts";
import { SporesChart } from "./spores-chart.tsx";

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
      sporeLengthUm: [...typed.lengths],
      ...(typed.widths.length > 0 ? { sporeWidthUm: [...typed.widths] } : {}),
    };
    onChange({ kind: "set-body", body: body.id, field: "measures", value: measures });
  };
  return (
    <>
      <Typography variant="h2" component="h1">
        Spores of {body.id}
      </Typography>
      <Typography className="soft below-2">
        A spore a line, length and width in µm: “8.1 x 4.9”. Pasted tables and CSV files are understood.
      </Typography>
      <div className="spores">
        <div>
          <TextField
            multiline
            minRows={10}
            maxRows={16}
            fullWidth
            value={text}
            onChange={(event) => setText(event.target.value)}
            slotProps={{ htmlInput: { "aria-label": "Lengths and widths of spores, µm", spellCheck: false } }}
          />
          <Button variant="quiet" onClick={() => file.current?.click()}>
            From a CSV file
          </Button>
          <input
            ref={file}
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            hidden
            aria-label="CSV file of spores"
            onChange={(event) => void event.target.files?.[0]?.text().then(setText)}
          />
        </div>
        <div>
          {typed?.ok === false && (
            <div role="alert" className="danger-ink strong">
              {typed.fault}
            </div>
          )}
          {statistics !== undefined && (
            <div role="status" data-testid="spores" className="strong large">
              {statistics.notation}
              <div className="plain soft">
                mean {statistics.length.mean.toFixed(2)} ± {statistics.length.standardDeviation.toFixed(2)}
                {statistics.width === undefined
                  ? ""
                  : ` × ${statistics.width.mean.toFixed(2)} ± ${statistics.width.standardDeviation.toFixed(2)}`}{" "}
                µm; 5 to 95 of 100 spores in the range, the extremes in brackets
              </div>
            </div>
          )}
          {points.length > 0 && <SporesChart points={points} beside={beside} />}
          {statistics !== undefined && shown.length > 0 && (
            <Choices label="The sheet beside it" className="actions around">
              {shown.map((one) => (
                <ToggleButton
                  key={one.id}
                  value={one.id}
                  selected={one.id === beside?.id}
                  onChange={() => setChosen(one.id)}
                >
                  {one.common}
                </ToggleButton>
              ))}
            </Choices>
          )}
          {statistics !== undefined && (
            <Button variant="contained" onClick={record}>
              Record the spores
            </Button>
          )}
        </div>
      </div>
    </>
  );
}
