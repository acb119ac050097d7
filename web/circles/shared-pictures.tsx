/** Pictures of another's find: the server's, for as long as it is shared. This device keeps none of them. */
import { CIRCLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import type { PicturePart } from "@jittery-cap/core/documents";
import { useEffect, useState } from "react";
import { addressOf, valueOrNothing } from "../api/client.ts";
import { useShared } from "./use-shared.ts";

type Told = ReplyOf<(typeof CIRCLE_ROUTES)["listSharedPictures"]>["pictures"];

interface SharedPicturesProps {
  readonly findId: string;
  readonly body: string;
  readonly part: PicturePart;
}

const HEIGHT = 92;

export function SharedPictures({ findId, body, part }: SharedPicturesProps) {
  const [pictures, setPictures] = useState<Told>([]);
  // whatever others did may have brought one, or taken one away
  const told = useShared((shared) => shared.told);
  useEffect(() => {
    let isOver = told < 0;
    void valueOrNothing(CIRCLE_ROUTES.listSharedPictures, { params: { id: findId } }).then((heard) => {
      if (!isOver) setPictures(heard?.pictures ?? []);
    });
    return () => {
      isOver = true;
    };
  }, [findId, told]);
  const here = pictures.filter((one) => one.part === part && (part === "ground" || one.body === body));
  if (here.length === 0) return null;
  return (
    <section aria-label="Pictures" data-testid="pictures" className="pictures">
      {here.map(({ id }) => {
        const source = addressOf(CIRCLE_ROUTES.showSharedPicture, { params: { id: findId, picture: id } });
        return (
          <figure key={id} data-picture={id} className="picture">
            <a href={source} target="_blank" rel="noreferrer">
              <img src={source} alt={`Picture: ${part}${part === "ground" ? "" : ` of ${body}`}`} height={HEIGHT} />
            </a>
          </figure>
        );
      })}
      <span className="soft small" style={{ flex: "1 1 180px", alignSelf: "center" }}>
        Somebody else's pictures. They confirm nothing: cameras change colours.
      </span>
    </section>
  );
}
