/** What else stands there: the deadly kinds of the month and the ground, each with its drawing and the one look that tells it. */
import { CHARACTER_WORDS, stateWords, wordList } from "@jittery-cap/core";
import type { DangerThere, TellingLook } from "@jittery-cap/core/season";
import { Link } from "react-router";
import { comparePath, sheetPath } from "../addresses.ts";
import { useShelf } from "../sheets/use-shelf.ts";
import { Drawing } from "../specimen/drawing.tsx";

const SHOWN = 6;
const WORDS = ["No", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine", "Ten"];
const FRAME = { width: 52, height: 62 } as const;

interface WhatStandsProps {
  readonly dangers: readonly DangerThere[];
  readonly nameOf: (id: string) => string;
  /** "in late November, under spruce and birch" */
  readonly where: string;
}

export function WhatStands({ dangers, nameOf, where }: WhatStandsProps) {
  const grave = dangers.filter(({ sheet, isAtHome }) => sheet.tier === "deadly" && isAtHome).length;
  const strangers = dangers.filter(({ sheet, isAtHome }) => sheet.tier === "deadly" && !isAtHome).length;
  const shown = dangers.slice(0, SHOWN);
  const asked = shown.map(({ sheet, takenFor }) => ({ id: sheet.id, takenFor: takenFor[0] }));
  const told = useShelf(JSON.stringify(asked), (remote) => remote.toldDangers(asked));
  const byId = new Map(told.state === "told" ? told.reply.map((one) => [one.id, one]) : []);
  return (
    <>
      <p className="soft">What else stands there {where}</p>
      <h2 className="said">
        {WORDS[grave] ?? grave} that {grave === 1 ? "kills" : "kill"}
      </h2>
      <ul className="lines">
        {shown.map(({ sheet, takenFor }) => {
          const one = byId.get(sheet.id);
          const [sought] = takenFor;
          return (
            <li key={sheet.id} className="danger-there" data-there={sheet.id}>
              <span className="danger-picture" data-half="light">
                {one?.figure !== undefined && (
                  <Drawing
                    figure={one.figure}
                    scale={Math.min(
                      FRAME.width / (one.figure.right - one.figure.left),
                      FRAME.height / (one.figure.top - one.figure.bottom),
                    )}
                  />
                )}
              </span>
              <span>
                <Link to={sheetPath(sheet.id)} className="strong">
                  {sheet.names.common}
                </Link>{" "}
                <span className="scientific soft">{sheet.names.scientific}</span>
                <span className="soft block-text">
                  {one?.look !== undefined && sought !== undefined ? (
                    <>
                      taken for the {nameOf(sought)}:{" "}
                      <Link to={comparePath(sheet.id, sought)}>{lookWords(one.look)}</Link>
                    </>
                  ) : (
                    one?.mark
                  )}
                </span>
              </span>
            </li>
          );
        })}
      </ul>
      {dangers.length > SHOWN && (
        <p className="soft above">
          {dangers.length - SHOWN} more that are poisonous may stand there
          {strangers > 0 && `, ${strangers} deadly ones of other continents among them, which travel`}. Whatever is
          found is told from all of them.
        </p>
      )}
    </>
  );
}

/** "foot: sac, and not plain" */
function lookWords({ character, ofDanger, ofSought }: TellingLook): string {
  const plain = Object.entries(CHARACTER_WORDS).find(([id]) => id === character)?.[1].plain ?? character;
  const states = (all: readonly string[]) => wordList(all.slice(0, 2).map((state) => stateWords(character, state)));
  return `${plain}, ${states(ofDanger)} against ${states(ofSought)}`;
}
