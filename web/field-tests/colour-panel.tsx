/** Colour from a picture beside the split card: black, white and the deposit are marked, then it is read in the worker. */

import {
  CHARACTER_WORDS,
  type Marks,
  type Raster,
  READABLE,
  type Readable,
  type Reading,
  type Spot,
} from "@jittery-cap/core";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Choice } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";
import { askShelf } from "../worker/judge.ts";
import { MarkedPicture } from "./marked-picture.tsx";
import { PictureSource } from "./picture-source.tsx";
import { ReadingShown } from "./reading-shown.tsx";
import type { ShownTest } from "./shown-test.ts";
import { StainSeries } from "./stain-series.tsx";

const ASKED = ["black", "white", "deposit"] as const;
type Asked = (typeof ASKED)[number];
const ASKED_WORDS: Readonly<Record<Asked, string>> = {
  black: "Touch a bare spot of the black half.",
  white: "Touch a bare spot of the white half.",
  deposit: "Touch the middle of the deposit.",
};
/** Radius of the disc that a touch marks, as a share of the picture's shorter side. */
const DISC_SHARE = 0.1;

/** What is read where all is marked; undefined until then, and while it is read. */
function useReading(raster: Raster | undefined, marks: Partial<Marks>, character: Readable) {
  const [reading, setReading] = useState<Reading | "failed">();
  useEffect(() => {
    setReading(undefined);
    const { black, white, deposit, radius } = marks;
    if (
      raster === undefined ||
      black === undefined ||
      white === undefined ||
      deposit === undefined ||
      radius === undefined
    )
      return;
    let overtaken = false;
    askShelf((remote) => remote.readColour(raster, { black, white, deposit, radius }, character)).then(
      (read) => overtaken || setReading(read),
      () => overtaken || setReading("failed"),
    );
    return () => {
      overtaken = true;
    };
  }, [raster, marks, character]);
  return reading;
}

export function ColourPanel({ body, onChange }: ShownTest) {
  const [character, setCharacter] = useState<Readable>("spore-print");
  const [raster, setRaster] = useState<Raster>();
  const [marks, setMarks] = useState<Partial<Marks>>({});
  const [asked, setAsked] = useState<Asked>("black");
  const reading = useReading(raster, marks, character);

  const begin = async (picture: Raster) => {
    setRaster(picture);
    setMarks({});
    setAsked("black");
    const found = await askShelf((remote) => remote.findCard(picture)).catch(() => undefined);
    if (found === undefined) return;
    // a proposal never overrules what a person marked while it was looked for
    setMarks((made) => (Object.keys(made).length === 0 ? found : made));
    setAsked("deposit");
  };
  const mark = (at: Spot) => {
    if (raster === undefined) return;
    const next = {
      ...marks,
      [asked]: at,
      ...(asked === "deposit" ? { radius: marks.radius ?? Math.min(raster.width, raster.height) * DISC_SHARE } : {}),
    };
    setMarks(next);
    setAsked(ASKED.find((one) => next[one] === undefined) ?? "deposit");
  };

  return (
    <>
      <Typography variant="h2" component="h1">
        Colour of {body.id} from a picture
      </Typography>
      <Typography className="soft below-2">
        Lay the print or the cut beside the split card and take both in one picture. The card puts the light right.
      </Typography>
      <Choices label="What is read" className="actions below-2">
        {READABLE.map((one) => (
          <Choice
            key={one}
            quiet
            label={CHARACTER_WORDS[one].plain}
            state={one}
            chosen={character === one}
            onChoose={() => setCharacter(one)}
          />
        ))}
      </Choices>
      <PictureSource onPicture={(picture) => void begin(picture)} simulated={character === "spore-print"} />
      {raster !== undefined && (
        <MarkingPlaces raster={raster} marks={marks} asked={asked} onAsk={setAsked} onMark={mark} />
      )}
      {reading === "failed" && <div role="alert">The picture could not be read. It counts for nothing.</div>}
      {reading !== undefined && reading !== "failed" && (
        <ReadingShown reading={reading} body={body} character={character} onChange={onChange} />
      )}
      {character.startsWith("stain-") && (
        <StainSeries
          character={character}
          body={body}
          lab={reading === undefined || reading === "failed" ? undefined : reading.lab}
          onChange={onChange}
        />
      )}
    </>
  );
}

interface MarkingPlacesProps {
  readonly raster: Raster;
  readonly marks: Partial<Marks>;
  readonly asked: Asked;
  readonly onAsk: (asked: Asked) => void;
  readonly onMark: (at: Spot) => void;
}

function MarkingPlaces({ raster, marks, asked, onAsk, onMark }: MarkingPlacesProps) {
  const shown = ASKED.flatMap((name) => {
    const at = marks[name];
    return at === undefined
      ? []
      : [{ name, at, ...(name === "deposit" && marks.radius !== undefined ? { radius: marks.radius } : {}) }];
  });
  return (
    <>
      <Choices label="What the next touch marks" className="actions below">
        {ASKED.map((one) => (
          <Choice key={one} quiet label={one} state={one} chosen={asked === one} onChoose={() => onAsk(one)} />
        ))}
        <span className="soft">{ASKED_WORDS[asked]}</span>
      </Choices>
      <MarkedPicture raster={raster} marks={shown} label="The picture; touch it to mark a place" onMark={onMark} />
    </>
  );
}
