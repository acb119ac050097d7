/** A find as it is drawn in its line of the log. */
import { type Find, figureOf } from "@jittery-cap/core";
import { useContext, useEffect, useMemo, useRef } from "react";
import { Drawing } from "../specimen/drawing.tsx";
import { PassingContext } from "./passing.ts";

const PICTURE = { height: 62, width: 64 } as const;

/** The body that stands for its find: a kept one before others. */
function figureOfFind(find: Find) {
  const body = find.bodies.find((one) => one.keep !== false) ?? find.bodies[0];
  return body === undefined ? undefined : figureOf(find, body, 0);
}

/** Drawn when somebody can see it: while its line only goes by, it is as long on its way as the words of three lines. */
export function LogPicture({ find }: { readonly find: Find }) {
  const isPassing = useContext(PassingContext);
  const wasDrawn = useRef(false);
  const isDrawn = wasDrawn.current || !isPassing;
  const figure = useMemo(() => (isDrawn ? figureOfFind(find) : undefined), [find, isDrawn]);
  useEffect(() => {
    wasDrawn.current = isDrawn;
  }, [isDrawn]);
  if (figure === undefined) return null;
  const { top, bottom, left, right } = figure;
  return <Drawing figure={figure} scale={Math.min(PICTURE.height / (top - bottom), PICTURE.width / (right - left))} />;
}
