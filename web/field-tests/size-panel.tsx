/** Sizes from a picture with something of known size in it: two ends of that, two ends of the part. */

import { cmOf, inchesOf, type Length, lengthBy, type Raster, type Spot } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { usePreferences } from "../device/preferences.ts";
import { useSession } from "../session/session-context.tsx";
import { Choice } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";
import { MarkedPicture } from "./marked-picture.tsx";
import { PictureSource } from "./picture-source.tsx";
import type { ShownTest } from "./shown-test.ts";

const MEASURES = [
  { id: "capCm", label: "cap across", perCm: 1 },
  { id: "stemLengthCm", label: "stem length", perCm: 1 },
  { id: "stemWidthMm", label: "stem width", perCm: 10 },
  { id: "thicknessMm", label: "thickness", perCm: 10 },
] as const;
const ENDS = ["scale 1", "scale 2", "end 1", "end 2"] as const;
const ENDS_WORDS = [
  "Touch one end of the scale: a ruler's mark, a coin's edge.",
  "Touch its other end.",
  "Touch one end of what is measured.",
  "Touch its other end.",
];

/** The length between the last two of four spots, where the first two are so far apart; undefined where that cannot be. */
function lengthFrom([s1, s2, e1, e2]: readonly Spot[], knownCm: number): Length | undefined {
  if (s1 === undefined || s2 === undefined || e1 === undefined || e2 === undefined || !(knownCm > 0)) return undefined;
  try {
    return lengthBy([e1, e2], [s1, s2], knownCm);
  } catch {
    return undefined;
  }
}

export function SizePanel({ body }: ShownTest) {
  const { changeTogether } = useSession();
  const [raster, setRaster] = useState<Raster>();
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  const [knownText, setKnown] = useState("");
  const [inches, setInches] = useState(usePreferences((state) => state.units.length) === "in");
  const [measure, setMeasure] = useState<(typeof MEASURES)[number]>(MEASURES[0]);
  const typed = Number(knownText.replace(",", "."));
  const knownCm = inches ? cmOf(typed) : typed;
  const length = lengthFrom(spots, knownCm);
  const words = (cm: number) => (inches ? `${inchesOf(cm).toFixed(2)} in` : `${cm.toFixed(1)} cm`);
  const record = () => {
    if (length === undefined) return;
    const value = Math.round(length.cm * measure.perCm * 10) / 10;
    changeTogether([
      { kind: "set-body", body: body.id, field: "measures", value: { ...body.measures, [measure.id]: value } },
      { kind: "set-body", body: body.id, field: "measuredBy", value: "picture" },
    ]);
  };
  return (
    <>
      <Typography variant="h2" component="h1">
        Size of {body.id} from a picture
      </Typography>
      <Typography className="soft below-2">
        Lay a ruler or a coin beside it, at the same height, and take both from straight above.
      </Typography>
      <div className="actions below-2">
        <Choice quiet label="centimetres" state="cm" chosen={!inches} onChoose={() => setInches(false)} />
        <Choice quiet label="inches" state="in" chosen={inches} onChoose={() => setInches(true)} />
        <TextField
          value={knownText}
          onChange={(event) => setKnown(event.target.value)}
          placeholder="size of the scale"
          sx={{ width: 200 }}
          slotProps={{
            htmlInput: { inputMode: "decimal", "aria-label": `Size of the scale, ${inches ? "inches" : "cm"}` },
            input: { endAdornment: inches ? "in" : "cm" },
          }}
        />
      </div>
      <PictureSource
        onPicture={(picture) => {
          setRaster(picture);
          setSpots([]);
        }}
        simulated={false}
      />
      {raster !== undefined && <FourEnds raster={raster} spots={spots} onSpots={setSpots} />}
      <Choices label="What is measured" className="actions around">
        {MEASURES.map((one) => (
          <Choice
            key={one.id}
            quiet
            label={one.label}
            state={one.id}
            chosen={measure.id === one.id}
            onChoose={() => setMeasure(one)}
          />
        ))}
      </Choices>
      {length !== undefined && (
        <div role="status" data-testid="length" className="actions below-3">
          <span className="measured">
            {words(length.cm)} <span className="soft plain larger">± {words(length.plusMinusCm)}</span>
          </span>
          <Button variant="contained" onClick={record}>
            Record as {measure.label}
          </Button>
        </div>
      )}
      {length === undefined && raster !== undefined && spots.length === ENDS.length && (
        <div role="alert" className="danger-ink below-2">
          Tell the size of the scale, and mark its two ends apart.
        </div>
      )}
    </>
  );
}

interface FourEndsProps {
  readonly raster: Raster;
  readonly spots: readonly Spot[];
  readonly onSpots: (spots: readonly Spot[]) => void;
}

function FourEnds({ raster, spots, onSpots }: FourEndsProps) {
  const [s1, s2, e1, e2] = spots;
  return (
    <>
      <div className="soft below">{ENDS_WORDS[spots.length] ?? "All four ends are marked."}</div>
      <MarkedPicture
        raster={raster}
        marks={spots.map((at, index) => ({ name: ENDS[index] ?? "", at }))}
        lines={[
          ...(s1 !== undefined && s2 !== undefined ? ([[s1, s2]] as const) : []),
          ...(e1 !== undefined && e2 !== undefined ? ([[e1, e2]] as const) : []),
        ]}
        label="The picture; touch the four ends in turn"
        onMark={(at) => onSpots(spots.length === ENDS.length ? [...spots.slice(0, 2), at] : [...spots, at])}
      />
      <Button variant="quiet" onClick={() => onSpots([])}>
        Mark them anew
      </Button>
    </>
  );
}
