/** The evidence board: each danger against the families of evidence, and what stands behind the chosen one. */
import { type CharacterId, definitionOf, FAMILIES, FAMILY_WORDS, type Family, type IfWrong } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import useMediaQuery from "@mui/material/useMediaQuery";
import { useState } from "react";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { distanceWords } from "../standing/distance-words.ts";
import { WIDE } from "../theme/tokens.ts";
import type { EvidenceTold } from "../worker/judge.worker.ts";
import { boardRows, type Danger, markOf } from "./board-rows.ts";
import { DangerDetail } from "./danger-detail.tsx";
import { IfOneWereWrong } from "./if-one-were-wrong.tsx";
import { Mark, type MarkKind } from "./mark.tsx";

interface EvidenceBoardProps {
  /** What is known of each danger; undefined while it is worked out. */
  readonly told: EvidenceTold | "failed" | undefined;
  readonly chosen: string | undefined;
  readonly onChoose: (sheet: string) => void;
  /** What would follow if one thing seen were wrong; undefined while it is worked out. */
  readonly wrongs: readonly IfWrong[] | undefined;
  /** The look that is supposed to be wrong: its column is lit. */
  readonly supposed: CharacterId | undefined;
  readonly onSuppose: (character: CharacterId | undefined) => void;
}

const SHOWN: readonly Family[] = FAMILIES.filter((family) => family !== "spore-size");
const LEGEND: Readonly<Record<MarkKind, string>> = {
  hard: "hard point",
  twice: "seen twice",
  soft: "soft point",
  masked: "masked today",
  for: "speaks for it",
};

export function EvidenceBoard(props: EvidenceBoardProps) {
  const { told, chosen, onChoose, wrongs, supposed, onSuppose } = props;
  const wide = useMediaQuery(WIDE);
  const evidence = told === "failed" ? undefined : told;
  const [isOpen, setIsOpen] = useState(false);
  const [all, setAll] = useState(false);
  const { rows, current, folded } = boardRows(evidence?.dangers ?? [], chosen, all);
  const lit = supposed === undefined ? undefined : definitionOf(supposed).family;
  return (
    <div className={wide ? "board-all" : isOpen ? "board-open" : "board-folded"}>
      {wide ? (
        <div className="board-head">What speaks against each danger</div>
      ) : (
        <button type="button" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)} className="board-head">
          What speaks against each danger
          <span aria-hidden="true">{isOpen ? "−" : "+"}</span>
        </button>
      )}
      <ScrollRegion label="Evidence" className="below-2">
        <div className="board-legend">
          {(["hard", "twice", "soft", "masked", "for"] as const).map((kind) => (
            <span key={kind}>
              <Mark kind={kind} /> {LEGEND[kind]}
            </span>
          ))}
          <span>empty: not looked at</span>
        </div>
        <table className="board">
          <thead>
            <tr>
              <th scope="col" className="board-name">
                <span className="unseen">Danger</span>
              </th>
              <th scope="col" className="board-count">
                <span className="unseen">Mistakes away</span>
              </th>
              {SHOWN.map((family) => (
                <th key={family} scope="col" className="board-family" data-wrong={lit === family}>
                  <span>{FAMILY_WORDS[family]}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((danger) => (
              <BoardRow
                key={danger.sheet}
                danger={danger}
                isChosen={danger === current}
                lit={lit}
                onChoose={() => onChoose(danger.sheet)}
              />
            ))}
          </tbody>
        </table>
        {evidence === undefined && (
          <p role="status" className="board-under">
            {told === "failed"
              ? "What speaks against each danger could not be worked out on this device. The answer beside this stands."
              : "Working out what speaks against each danger."}
          </p>
        )}
        {(folded !== undefined || all) && (
          <div className="board-under">
            <Button variant="quiet" aria-expanded={all} onClick={() => setAll(!all)} data-testid="unfold-board">
              {folded === undefined ? "Only the nearest" : folded}
            </Button>
          </div>
        )}
        <IfOneWereWrong wrongs={wrongs} supposed={supposed} onSuppose={onSuppose} />
        {current !== undefined && <DangerDetail danger={current} beside={evidence?.seems} />}
      </ScrollRegion>
    </div>
  );
}

interface BoardRowProps {
  readonly danger: Danger;
  readonly isChosen: boolean;
  readonly lit: Family | undefined;
  readonly onChoose: () => void;
}

function BoardRow({ danger, isChosen, lit, onChoose }: BoardRowProps) {
  return (
    <tr
      data-danger={danger.sheet}
      data-mistakes={danger.mistakes}
      data-tier={danger.tier}
      data-near={danger.mistakes < 2}
      data-chosen={isChosen}
    >
      <th scope="row">
        <button type="button" aria-pressed={isChosen} onClick={onChoose} className="board-danger">
          {danger.name}
          <span className="unseen">, {distanceWords(danger.mistakes)}</span>
          {danger.aside === true && <span className="soft small block-text">set aside</span>}
        </button>
      </th>
      <td className="board-mistakes">{danger.mistakes}</td>
      {SHOWN.map((family) => (
        <td key={family} className="board-mark" data-wrong={lit === family}>
          <Mark kind={markOf(danger, family)} />
        </td>
      ))}
    </tr>
  );
}
