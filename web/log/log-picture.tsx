/** A find as it is drawn in its line of the log. */
import { type Find, figureOf } from "@jittery-cap/core";
import { useMemo } from "react";
import { Drawing } from "../specimen/drawing.tsx";

const PICTURE = { height: 62, width: 64 } as const;

/** The body that stands for its find: a kept one before others. */
function figureOfFind(find: Find) {
  const body = find.bodies.find((one) => one.keep !== false) ?? find.bodies[0];
  return body === undefined ? undefined : figureOf(find, body, 0);
}

export function LogPicture({ find }: { readonly find: Find }) {
  const figure = useMemo(() => figureOfFind(find), [find]);
  if (figure === undefined) return null;
  const { top, bottom, left, right } = figure;
  return <Drawing figure={figure} scale={Math.min(PICTURE.height / (top - bottom), PICTURE.width / (right - left))} />;
}
