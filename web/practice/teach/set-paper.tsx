/** A set on paper: a sheet for each find as it would be seen, and the answers apart, on a page of their own. */
import { ROUTES } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { useParams } from "react-router";
import { valueOrNothing } from "../../api/client.ts";
import { VERDICT_WORDS } from "../../standing/verdict-words.ts";
import type { WholeState, WholeTold } from "../../worker/practice-room.ts";
import { askResult, askWhole } from "../ask-practice.ts";
import { MadeFigure } from "../made-figure.tsx";
import { NoExercise } from "../practice-frame.tsx";
import "../practice.css";
import "./teach.css";

interface PaperFind {
  readonly state: WholeState;
  readonly told: WholeTold;
}

/** Looks that a sheet of paper tells: those that are quickly had; a print and the heat are for who asks. */
const MINUTES_TOLD = 2;

async function paperOf(sheet: string, seed: string): Promise<PaperFind> {
  const bare = await askWhole(sheet, seed, []);
  const looks = bare.offered
    .filter(
      (look) =>
        look.body !== undefined && look.test !== "put-aside" && look.waitHours === 0 && look.minutes <= MINUTES_TOLD,
    )
    .map(({ test, body }) => ({ test, ...(body === undefined ? {} : { body }) }));
  const [state, told] = await Promise.all([
    askWhole(sheet, seed, looks),
    askResult(sheet, seed, looks, { verdict: "hold", sure: 0 }),
  ]);
  return { state, told };
}

export function SetPaper() {
  const { id = "" } = useParams();
  const [name, setName] = useState<string>();
  const [finds, setFinds] = useState<readonly PaperFind[]>();
  const [isFailed, setFailed] = useState(false);
  useEffect(() => {
    const fetchAll = async () => {
      const round = await valueOrNothing(ROUTES.readRound, { params: { id } });
      if (round === undefined) throw new Error("no round");
      setName(round.name);
      const all: PaperFind[] = [];
      for (const { sheet, seed } of round.items) all.push(await paperOf(sheet, seed));
      setFinds(all);
    };
    fetchAll().catch(() => setFailed(true));
  }, [id]);
  return (
    <main data-half="light" className="page scroll practice-paper">
      <h1 className="view-title">{name ?? "The set on paper"}</h1>
      {finds === undefined ? (
        <NoExercise state={isFailed ? "failed" : "looking"} />
      ) : (
        <>
          <Button variant="contained" className="not-printed" onClick={() => window.print()}>
            Print it
          </Button>
          {finds.map(({ state }, index) => (
            <section key={state.find.bodies[0]?.id === undefined ? index : `${index}`} className="practice-paper-find">
              <h2 className="section-title">Find {index + 1}</h2>
              <p>{state.conditions.join(" · ")}</p>
              <div className="practice-paper-bodies">
                {state.find.bodies.map((body) => (
                  <MadeFigure key={body.id} find={state.find} body={body} />
                ))}
              </div>
              <ul className="lines">
                {state.taken.map((look) => (
                  <li key={`${look.test} ${look.body}`} className="line practice-look-taken">
                    <b>{look.text}</b>
                    <span>{look.saw}</span>
                  </li>
                ))}
              </ul>
              <p className="strong">Leave it ☐ Hold ☐ Basket ☐ Nearest danger: ____________________ , __ away</p>
            </section>
          ))}
          <section className="practice-paper-find" data-testid="paper-answers">
            <h2 className="section-title">Answers, to be kept apart</h2>
            <ol>
              {finds.map(({ told }, index) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a find of a set has no name but its place
                <li key={index}>
                  <b>{told.kind.common}</b> <span className="scientific">{told.kind.scientific}</span>:{" "}
                  {VERDICT_WORDS[told.verdict].toLowerCase()} by what is on the sheet; nearest {told.nearest[0]?.common}
                  , {told.least} away.
                </li>
              ))}
            </ol>
            <p>These are made finds. Nothing here permits anything.</p>
          </section>
        </>
      )}
    </main>
  );
}
