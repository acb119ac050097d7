/** Sizes from a picture with something of known size in it: two ends of that, two ends of the part. */
import { cmOf, inchesOf, type Length, lengthBy, type Raster, type Spot } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { Choice } from "../find/choice.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";
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

export function SizePanel({ body, onChange }: ShownTest) {
  const [raster, setRaster] = useState<Raster>();
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  const [knownText, setKnown] = useState("");
  const [inches, setInches] = useState(false);
  const [measure, setMeasure] = useState<(typeof MEASURES)[number]>(MEASURES[0]);
  const typed = Number(knownText.replace(",", "."));
  const knownCm = inches ? cmOf(typed) : typed;
  const [s1, s2, e1, e2] = spots;
  const length = ((): Length | undefined => {
    if (s1 === undefined || s2 === undefined || e1 === undefined || e2 === undefined || !(knownCm > 0))
      return undefined;
    try {
      return lengthBy([e1, e2], [s1, s2], knownCm);
    } catch {
      return undefined;
    }
  })();
  const words = (cm: number) => (inches ? `${inchesOf(cm).toFixed(2)} in` : `${cm.toFixed(1)} cm`);
  const record = () => {
    if (length === undefined) return;
    const value = Math.round(length.cm * measure.perCm * 10) / 10;
    onChange({
      kind: "set-body",
      body: body.id,
      field: "measures",
      value: JSON.parse(JSON.stringify({ ...body.measures, [measure.id]: value })),
    });
    onChange({ kind: "set-body", body: body.id, field: "measuredBy", value: "picture" });
  };
  return (
    <>
      <Typography variant="h2" component="h1">
        Size of {body.id} from a picture
      </Typography>
      <Typography sx={{ color: tone.inkSoft, pb: 1.5 }}>
        Lay a ruler or a coin beside it, at the same height, and take both from straight above.
      </Typography>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", pb: 1.5 }}>
        <Choice quiet label="centimetres" state="cm" chosen={!inches} onChoose={() => setInches(false)} />
        <Choice quiet label="inches" state="in" chosen={inches} onChoose={() => setInches(true)} />
        <InputBase
          value={knownText}
          onChange={(event) => setKnown(event.target.value)}
          placeholder="size of the scale"
          endAdornment={<Box sx={{ color: tone.inkSoft }}>{inches ? "in" : "cm"}</Box>}
          inputProps={{ inputMode: "decimal", "aria-label": `Size of the scale, ${inches ? "inches" : "cm"}` }}
          sx={{ minHeight: TOUCH, px: 1.25, width: 200, bgcolor: tone.paper, border: `1px solid ${tone.boneLine}` }}
        />
      </Box>
      <PictureSource
        onPicture={(picture) => {
          setRaster(picture);
          setSpots([]);
        }}
        simulated={false}
      />
      {raster !== undefined && (
        <>
          <Box sx={{ color: tone.inkSoft, pb: 1 }}>{ENDS_WORDS[spots.length] ?? "All four ends are marked."}</Box>
          <MarkedPicture
            raster={raster}
            marks={spots.map((at, index) => ({ name: ENDS[index] ?? "", at }))}
            lines={[
              ...(s1 !== undefined && s2 !== undefined ? ([[s1, s2]] as const) : []),
              ...(e1 !== undefined && e2 !== undefined ? ([[e1, e2]] as const) : []),
            ]}
            label="The picture; touch the four ends in turn"
            onMark={(at) => setSpots(spots.length === ENDS.length ? [...spots.slice(0, 2), at] : [...spots, at])}
          />
          <ButtonBase
            onClick={() => setSpots([])}
            sx={{ minHeight: TOUCH, color: tone.inkSoft, textDecoration: "underline" }}
          >
            Mark them anew
          </ButtonBase>
        </>
      )}
      <Box role="group" aria-label="What is measured" sx={{ display: "flex", gap: 1, flexWrap: "wrap", py: 1 }}>
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
      </Box>
      {length !== undefined && (
        <Box
          role="status"
          data-testid="length"
          sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap", pb: 3 }}
        >
          <Box sx={{ fontSize: "2rem", fontWeight: 750 }}>
            {words(length.cm)}{" "}
            <Box component="span" sx={{ color: tone.inkSoft, fontWeight: 450, fontSize: "1.25rem" }}>
              ± {words(length.plusMinusCm)}
            </Box>
          </Box>
          <ButtonBase
            onClick={record}
            sx={{ minHeight: TOUCH, px: 2, bgcolor: tone.ink, color: tone.bone, fontWeight: 750 }}
          >
            Record as {measure.label}
          </ButtonBase>
        </Box>
      )}
      {length === undefined && raster !== undefined && spots.length === ENDS.length && (
        <Box role="alert" sx={{ color: tone.rust, pb: 2 }}>
          Tell the size of the scale, and mark its two ends apart.
        </Box>
      )}
    </>
  );
}
