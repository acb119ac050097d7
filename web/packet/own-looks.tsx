/** What somebody who was asked sees for themselves, station by station. */
import { type Body, type Change, type CharacterId, type Find, isCharacterId } from "@jittery-cap/core";
import { useState } from "react";
import { BodiesRow } from "../specimen/bodies-row.tsx";
import { CharacterBlock } from "../specimen/character-block.tsx";
import { Choice } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";
import { STATIONS } from "../specimen/stations.ts";

/** Stations whose characters are asked of somebody else; the ground is told by the finder. */
const ASKED = STATIONS.filter((station) => station.id !== "ground" && station.id !== "bodies");

const charactersOf = (station: (typeof ASKED)[number] | undefined): CharacterId[] =>
  station?.questions.flatMap((question) =>
    question.kind === "character" && isCharacterId(question.character) ? [question.character] : [],
  ) ?? [];

interface OwnLooksProps {
  /** The record with their own looks and no others. */
  readonly find: Find;
  readonly body: Body;
  readonly onBody: (body: string) => void;
  readonly onChange: (change: Change) => void;
}

export function OwnLooks({ find, body, onBody, onChange }: OwnLooksProps) {
  const [station, setStation] = useState<string>("cap");
  return (
    <>
      {find.bodies.length > 1 && <BodiesRow find={find} chosen={body.id} onChoose={onBody} height={60} words={false} />}
      <Choices label="Where to look" className="packet-stations">
        {ASKED.map((one) => (
          <Choice
            key={one.id}
            quiet
            label={one.name}
            state={one.id}
            chosen={station === one.id}
            onChoose={() => setStation(one.id)}
          />
        ))}
      </Choices>
      {charactersOf(ASKED.find((one) => one.id === station)).map((character) => (
        <CharacterBlock
          key={`${body.id} ${character}`}
          find={find}
          body={body}
          character={character}
          active={false}
          stakes={[]}
          masks={[]}
          onActivate={() => undefined}
          onChange={onChange}
        />
      ))}
    </>
  );
}
