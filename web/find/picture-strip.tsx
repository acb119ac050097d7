/** Pictures of one part, as a memory: they confirm nothing, and the screen says so. */

import type { PicturePart } from "@jittery-cap/core/documents";
import PhotoCamera from "@mui/icons-material/PhotoCamera";
import Button from "@mui/material/Button";
import { useLiveQuery } from "dexie-react-hooks";
import { lazy, memo, Suspense, useEffect, useRef, useState } from "react";
import { uuidv7 } from "uuidv7";
import { useSharedFind } from "../circles/use-shared.ts";
import { keepPicture, type ShownPicture, setPictureAway, shownPictures } from "../documents/pictures.ts";
import type { StationId } from "../specimen/stations.ts";

const SharedPictures = lazy(() =>
  import("../circles/shared-pictures.tsx").then((module) => ({ default: module.SharedPictures })),
);

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
const NO_PICTURES: readonly ShownPicture[] = [];

/** The pictures of a part, by whose find it is: of another's none are taken, and none put away. */
export const PictureStrip = memo(function PictureStrip({ findId, body, station }: PictureStripProps) {
  const part = PART_OF[station];
  const isAnothers = useSharedFind(findId) !== undefined;
  if (part === undefined) return null;
  if (!isAnothers) return <OwnPictures findId={findId} body={body} part={part} />;
  return (
    <Suspense fallback={null}>
      <SharedPictures findId={findId} body={body} part={part} />
    </Suspense>
  );
});

interface OwnPicturesProps {
  readonly findId: string;
  readonly body: string;
  readonly part: PicturePart;
}

function OwnPictures({ findId, body, part }: OwnPicturesProps) {
  const input = useRef<HTMLInputElement>(null);
  const pictures = useLiveQuery(() => shownPictures(findId), [findId]) ?? NO_PICTURES;
  const [away, setAway] = useState<ShownPicture>();
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
  };
  const put = async (picture: ShownPicture, isAway: boolean) => {
    await setPictureAway(picture.id, isAway);
    setAway(isAway ? picture : undefined);
  };

  return (
    <section aria-label="Pictures" data-testid="pictures" className="pictures">
      {here.map((picture) => (
        <Thumbnail key={picture.id} picture={picture} onAway={() => void put(picture, true)} />
      ))}
      <Button startIcon={<PhotoCamera />} onClick={() => input.current?.click()}>
        Take a picture
      </Button>
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
      <span className="soft small" style={{ flex: "1 1 180px", alignSelf: "center" }}>
        {away === undefined ? (
          "A memory. A picture confirms nothing: cameras change colours."
        ) : (
          <>
            Put away.{" "}
            <Button variant="quiet" onClick={() => void put(away, false)}>
              Bring it back
            </Button>
          </>
        )}
      </span>
    </section>
  );
}

interface ThumbnailProps {
  readonly picture: ShownPicture;
  readonly onAway: () => void;
}

function Thumbnail({ picture, onAway }: ThumbnailProps) {
  const [url, setUrl] = useState(typeof picture.source === "string" ? picture.source : undefined);
  useEffect(() => {
    if (typeof picture.source === "string") return setUrl(picture.source);
    const made = URL.createObjectURL(picture.source);
    setUrl(made);
    return () => URL.revokeObjectURL(made);
  }, [picture.source]);
  const where = `${picture.part}${picture.body === undefined ? "" : ` of ${picture.body}`}`;
  return (
    <figure data-picture={picture.id} className="picture">
      {url !== undefined && (
        <a href={url} target="_blank" rel="noreferrer">
          <img src={url} alt={`Picture: ${where}`} height={HEIGHT} />
        </a>
      )}
      <figcaption>
        <span>{picture.refused ?? (picture.onDeviceOnly ? "here only" : "kept")}</span>
        <Button variant="quiet" onClick={onAway} aria-label={`put away the picture of the ${where}`}>
          put away
        </Button>
      </figcaption>
    </figure>
  );
}
