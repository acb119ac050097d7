/** Pictures of one part, as a memory: they confirm nothing, and the screen says so. */
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { memo, useCallback, useEffect, useRef, useState } from "react";
import { uuidv7 } from "uuidv7";
import type { PicturePart } from "../device/device.ts";
import { deliver } from "../device/outbox.ts";
import { keepPicture, type ShownPicture, setPictureAway, shownPictures } from "../device/pictures.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import type { StationId } from "./stations.ts";

interface PictureStripProps {
  readonly findId: string;
  readonly body: string;
  readonly station: StationId;
}

const PART_OF: Partial<Record<StationId, PicturePart>> = {
  ground: "ground",
  cap: "top",
  under: "under",
  stem: "stem",
  foot: "foot",
  cut: "cut",
  print: "print",
};
const HEIGHT = 92;

export const PictureStrip = memo(function PictureStrip({ findId, body, station }: PictureStripProps) {
  const part = PART_OF[station];
  const input = useRef<HTMLInputElement>(null);
  const [pictures, setPictures] = useState<readonly ShownPicture[]>([]);
  const [away, setAway] = useState<ShownPicture>();
  const load = useCallback(() => void shownPictures(findId).then(setPictures), [findId]);
  useEffect(load, [load]);
  if (part === undefined) return null;
  const here = pictures.filter((one) => one.part === part && (part === "ground" || one.body === body));

  const take = async (files: FileList | null) => {
    for (const file of files ?? [])
      await keepPicture({
        id: uuidv7(),
        findId,
        part,
        body: part === "ground" ? undefined : body,
        takenAt: new Date().toISOString(),
        file,
      });
    load();
    await deliver(findId);
    load();
  };
  const put = async (picture: ShownPicture, isAway: boolean) => {
    await setPictureAway(findId, picture, isAway);
    setAway(isAway ? picture : undefined);
    load();
    void deliver(findId);
  };

  return (
    <Box
      component="section"
      aria-label="Pictures"
      data-testid="pictures"
      sx={{ pb: 3, borderTop: `1px solid ${tone.boneLine}`, pt: 1.5 }}
    >
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "flex-start" }}>
        {here.map((picture) => (
          <Thumbnail key={picture.id} picture={picture} onAway={() => void put(picture, true)} />
        ))}
        <ButtonBase
          onClick={() => input.current?.click()}
          sx={{
            minHeight: TOUCH,
            px: 1.5,
            border: `1px solid ${tone.boneLine}`,
            bgcolor: tone.paper,
            "&:hover": { borderColor: tone.ink },
          }}
        >
          Take a picture
        </ButtonBase>
        <input
          ref={input}
          type="file"
          accept="image/*"
          capture="environment"
          multiple
          hidden
          aria-label="Picture"
          onChange={(event) => {
            void take(event.target.files);
            event.target.value = "";
          }}
        />
        <Box sx={{ flex: "1 1 180px", color: tone.inkSoft, fontSize: "0.9375rem", alignSelf: "center" }}>
          {away === undefined ? (
            "A memory. A picture confirms nothing: cameras change colours."
          ) : (
            <>
              Put away.{" "}
              <ButtonBase
                onClick={() => void put(away, false)}
                sx={{ font: "inherit", fontWeight: 700, textDecoration: "underline", minHeight: TOUCH - 12 }}
              >
                Bring it back
              </ButtonBase>
            </>
          )}
        </Box>
      </Box>
    </Box>
  );
});

function Thumbnail({ picture, onAway }: { picture: ShownPicture; onAway: () => void }) {
  const [url, setUrl] = useState(typeof picture.source === "string" ? picture.source : undefined);
  useEffect(() => {
    if (typeof picture.source === "string") return setUrl(picture.source);
    const made = URL.createObjectURL(picture.source);
    setUrl(made);
    return () => URL.revokeObjectURL(made);
  }, [picture.source]);
  const where = `${picture.part}${picture.body === undefined ? "" : ` of ${picture.body}`}`;
  return (
    <Box component="figure" data-picture={picture.id} sx={{ m: 0, fontSize: "0.875rem", color: tone.inkSoft }}>
      {url !== undefined && (
        <a href={url} target="_blank" rel="noreferrer">
          <img
            src={url}
            alt={`Picture: ${where}`}
            height={HEIGHT}
            style={{ display: "block", maxWidth: 160, objectFit: "cover" }}
          />
        </a>
      )}
      <Box
        component="figcaption"
        sx={{ display: "flex", gap: 1, alignItems: "center", justifyContent: "space-between" }}
      >
        <span>{picture.refused ?? (picture.onDeviceOnly ? "here only" : "kept")}</span>
        <ButtonBase
          onClick={onAway}
          aria-label={`Put away the picture of the ${where}`}
          sx={{ minHeight: 32, textDecoration: "underline" }}
        >
          put away
        </ButtonBase>
      </Box>
    </Box>
  );
}
