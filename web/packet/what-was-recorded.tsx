/** What the finder recorded: covered until somebody has looked for themselves. */
import { type Body, type Find, figureOf, figureText } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import type { OpenPacket } from "../api/packets.ts";
import { under } from "../base.ts";
import { Drawing } from "../specimen/drawing.tsx";

const FIGURE = { height: 240, width: 330 } as const;

interface WhatWasRecordedProps {
  readonly token: string;
  readonly record: Find;
  readonly body: Body;
  readonly pictures: OpenPacket["pictures"];
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}

export function WhatWasRecorded({ token, record, body, pictures, isOpen, onOpen }: WhatWasRecordedProps) {
  const figure = figureOf(record, body);
  const scale = Math.min(FIGURE.height / (figure.top - figure.bottom), FIGURE.width / (figure.right - figure.left));
  return (
    <div className="dark-page scroll">
      <div className="packet-pictures">
        {pictures.map((picture) => (
          <img
            key={picture.id}
            src={under(`/api/packets/${token}/pictures/${picture.id}`)}
            alt={`${picture.part}${picture.body === undefined ? "" : ` of ${picture.body}`}`}
            height={120}
          />
        ))}
      </div>
      <h2 className="section-title">{isOpen ? "As it was recorded" : "What was recorded is covered"}</h2>
      {isOpen ? (
        <>
          <Drawing figure={figure} scale={scale} label={figureText(record, body)} />
          <p className="soft">{figureText(record, body)}</p>
          <Link href={under(`/api/packets/${token}/paper.pdf?size=A5`)}>The same on paper (PDF)</Link>
        </>
      ) : (
        <>
          <p className="soft">So that your look is your own. Uncover it when you have recorded what you see.</p>
          <Button onClick={onOpen}>Uncover it</Button>
        </>
      )}
    </div>
  );
}
