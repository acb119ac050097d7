/** Decide: the answer, what is done next and what becomes of each body on the light half; the board of evidence on the dark one. */
import type { CharacterId, ConditionCode } from "@jittery-cap/core";
import { conditionsMet } from "@jittery-cap/core";
import Link from "@mui/material/Link";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { ShareFind } from "../circles/share-find.tsx";
import type { ShownOpinion } from "../documents/opinions.ts";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { StateOfView } from "../layout/state-of-view.tsx";
import { Trail } from "../layout/trail.tsx";
import { useFind, useOpenFind } from "../session/session-context.tsx";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";
import { askEvidence, askIfWrong } from "../worker/judge.ts";
import { Bodies } from "./bodies.tsx";
import { Conditions } from "./conditions.tsx";
import { DecidedLine } from "./decided-line.tsx";
import { EndingsPanel } from "./endings-panel.tsx";
import { EvidenceBoard } from "./evidence-board.tsx";
import { SecondEyes } from "./second-eyes.tsx";
import { useAsked } from "./use-asked.ts";
import { useDecisions } from "./use-decisions.ts";
import { Way } from "./way.tsx";

const NONE_MET: ReadonlySet<ConditionCode> = new Set();
const isTold = <Reply extends object>(said: Reply | "failed" | undefined): said is Reply => typeof said === "object";

export function DecideView() {
  const find = useOpenFind();
  const answer = useFind((state) => state.answer);
  const answerState = useFind((state) => state.answerState);
  const [chosen, setChosen] = useState<string>();
  const [supposed, setSupposed] = useState<CharacterId>();
  const [opinions, setOpinions] = useState<readonly ShownOpinion[]>([]);
  const wrongs = useAsked(find, askIfWrong);
  const told = useAsked(find, askEvidence);
  const decisions = useDecisions(find);
  // until it is known what the answer rests on nobody has met a condition
  const met = isTold(told) && answer !== undefined ? conditionsMet(find, { ...answer, ...told }, opinions) : NONE_MET;
  // an answer to another state of the record is no answer here
  if (answer === undefined || answerState !== "fresh")
    return <StateOfView status="open" isFailed={answerState === "failed"} />;
  return (
    <SplitCard
      width="wide"
      darkFirst={false}
      light={
        <>
          <Trail />
          <ScrollRegion label="The answer" className="page">
            <h1 className="verdict-large" data-verdict={answer.verdict} data-state={answerState}>
              {VERDICT_WORDS[answer.verdict]}
            </h1>
            <div className="soft above">{find.label ?? "this find"}</div>
            <DecidedLine find={find} decisions={decisions} />
            <ul aria-label="Reasons" className="reasons">
              {answer.reasons.map((reason) => (
                <li key={reason.code + reason.text} data-reason={reason.code}>
                  {reason.text}
                  {reason.code === "house-rule" && (
                    <>
                      {" "}
                      <Link component={RouterLink} to={findPath(find.id, "rules")}>
                        The rule
                      </Link>
                    </>
                  )}
                </li>
              ))}
            </ul>
            <Way answer={answer} find={find} />
            <EndingsPanel find={find} answer={answer} decisions={decisions} />
            <Conditions answer={answer} met={met} />
            <Bodies answer={answer} find={find} />
            <SecondEyes find={find} onHeard={setOpinions} />
            <ShareFind findId={find.id} />
            <p>
              <Link component={RouterLink} to={findPath(find.id, "rules")}>
                The house rules behind this answer
              </Link>
            </p>
            <p className="soft small">
              Sheets of edition {answer.edition}. The answer knows only the kinds on this shelf, and gives no leave to
              eat anything.
            </p>
          </ScrollRegion>
        </>
      }
      dark={
        <EvidenceBoard
          told={told}
          chosen={chosen}
          onChoose={setChosen}
          wrongs={isTold(wrongs) ? wrongs : undefined}
          supposed={supposed}
          onSuppose={setSupposed}
        />
      }
    />
  );
}
