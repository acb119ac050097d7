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

/** What was measured, a spore a line, as it is typed. */
const asTyped = ({ sporeLengthUm = [], sporeWidthUm }: NonNullable<ShownTest["body"]["measures"]>): string =>
  sporeLengthUm
    .map((length, index) => [length, sporeWidthUm?.[index]].filter((one) => one !== undefined).join(" x "))
    .join("\n");

/** The sheets that are set beside the cloud: what fits first, then the nearest dangers. */
function useBeside() {
  const answer = useFind((state) => state.answer);
  const [chosen, choose] = useState<string>();
  const ids = [
    ...(answer?.candidates.filter((one) => one.fits).map((one) => one.sheet) ?? []),
    ...(answer?.dangers.map((one) => one.sheet) ?? []),
  ].slice(0, BESIDE * 3);
  const boxes = useShelf(ids.join(), (remote) => remote.sporeBoxes(ids));
  const shown = boxes.state === "told" ? boxes.reply.slice(0, BESIDE) : [];
  return { shown, beside: shown.find((one) => one.id === chosen) ?? shown[0], choose };
}

export function SporesPanel({ body, onChange }: ShownTest) {
  const [text, setText] = useState(() => asTyped(body.measures ?? {}));
  const typed = text.trim() === "" ? undefined : readSpores(text);
  return (
    <>
      <Typography variant="h2" component="h1">
        Spores of {body.id}
      </Typography>
      <Typography className="soft below-2">
        A spore a line, length and width in µm: “8.1 x 4.9”. Pasted tables and CSV files are understood.
      </Typography>
      <div className="spores">
        <TypedSpores text={text} onText={setText} />
        <div>
          {typed?.ok === false && (
            <div role="alert" className="danger-ink strong">
              {typed.fault}
            </div>
          )}
          {typed?.ok === true && <Measured {...typed} body={body} onChange={onChange} />}
        </div>
      </div>
    </>
  );
}

interface TypedSporesProps {
  readonly text: string;
  readonly onText: (text: string) => void;
}

function TypedSpores({ text, onText }: TypedSporesProps) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <div>
      <TextField
        multiline
        minRows={10}
        maxRows={16}
        fullWidth
        value={text}
        onChange={(event) => onText(event.target.value)}
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
        onChange={(event) => void event.target.files?.[0]?.text().then(onText)}
      />
    </div>
  );
}

interface MeasuredProps extends Pick<ShownTest, "body" | "onChange"> {
  readonly lengths: readonly number[];
  readonly widths: readonly number[];
}

/** The books' notation of what was measured, its cloud beside a sheet's, and the touch that records it. */
function Measured({ lengths, widths, body, onChange }: MeasuredProps) {
  const { shown, beside, choose } = useBeside();
  const { notation, length, width } = sporeStatistics(lengths, widths);
  const points = widths.length > 0 ? lengths.map((one, index) => ({ length: one, width: widths[index] ?? 0 })) : [];
  const record = () => {
    const measures = {
      ...body.measures,
      sporeLengthUm: [...lengths],
      ...(widths.length > 0 ? { sporeWidthUm: [...widths] } : {}),
    };
    onChange({ kind: "set-body", body: body.id, field: "measures", value: measures });
  };
  return (
    <>
      <div role="status" data-testid="spores" className="strong large">
        {notation}
        <div className="plain soft">
          mean {spread(length)}
          {width === undefined ? "" : ` × ${spread(width)}`} µm; 5 to 95 of 100 spores in the range, the extremes in
          brackets
        </div>
      </div>
      {points.length > 0 && <SporesChart points={points} beside={beside} />}
      {shown.length > 0 && (
        <Choices label="The sheet beside it" className="actions around">
          {shown.map((one) => (
            <ToggleButton key={one.id} value={one.id} selected={one.id === beside?.id} onChange={() => choose(one.id)}>
              {one.common}
            </ToggleButton>
          ))}
        </Choices>
      )}
      <Button variant="contained" onClick={record}>
        Record the spores
      </Button>
    </>
  );
}

const spread = ({ mean, standardDeviation }: { readonly mean: number; readonly standardDeviation: number }): string =>
  `${mean.toFixed(2)} ± ${standardDeviation.toFixed(2)}`;
