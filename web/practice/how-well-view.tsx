/** How well: by danger with intervals, how sure against how often right, day by day. Nothing is told from a few tries. */
import { calibrationOf, dangersFare, type Try } from "@jittery-cap/core/trainer";
import Button from "@mui/material/Button";
import { Link } from "react-router";
import { sheetPath } from "../addresses.ts";
import { CalibrationLine } from "./calibration-line.tsx";
import { History } from "./history.tsx";
import { PracticeFrame } from "./practice-frame.tsx";
import { shareWords } from "./practice-words.ts";
import { usePractice } from "./use-practice.ts";
import { useSheetLines } from "./use-sheet-lines.ts";
import { Weakest } from "./weakest.tsx";

export function HowWellView() {
  const practice = usePractice();
  const tries = practice?.tries ?? [];
  return (
    <PracticeFrame
      label="How well"
      isLow
      light={
        <>
          <h1 className="view-title">{titleOf(tries)}</h1>
          {tries.length === 0 ? (
            <p className="lead-in">
              {practice === undefined
                ? "Looking at what you practised."
                : "Nothing was tried yet. After some tries it stands here what you let through, and how sure you were."}{" "}
              <Link to="/practice/next">Begin</Link>
            </p>
          ) : (
            <Figures tries={tries} />
          )}
        </>
      }
      dark={<Weakest tries={tries} />}
    />
  );
}

function titleOf(tries: readonly Try[]): string {
  const through = tries.filter((one) => one.isLetThrough === true).length;
  if (tries.length === 0) return "How well";
  return through === 0 ? "Nothing let through" : `${through} let through`;
}

function Figures({ tries }: { readonly tries: readonly Try[] }) {
  const { nameOf, isDanger, isKnown } = useSheetLines();
  const fares = isKnown ? dangersFare(tries, isDanger) : [];
  const calibration = calibrationOf(tries);
  const whole = tries.filter((one) => one.exercise === "whole");
  return (
    <>
      <p className="lead-in">
        {tries.length} {tries.length === 1 ? "try" : "tries"}, {whole.length} of them whole finds. Nothing here permits
        anything, and no house rule changes by it.
      </p>
      <section className="section" aria-labelledby="by-danger">
        <h2 id="by-danger" className="section-title">
          By danger
        </h2>
        {fares.length === 0 ? (
          <p className="soft">No danger was met yet.</p>
        ) : (
          <div className="table-scroll">
            <table className="figures">
              <thead>
                <tr>
                  <th scope="col">Danger</th>
                  <th scope="col">In the basket</th>
                  <th scope="col">Taken for another</th>
                </tr>
              </thead>
              <tbody>
                {fares.map(({ sheet, letThrough, confused }) => (
                  <tr key={sheet} data-danger={sheet}>
                    <th scope="row">
                      <Link to={sheetPath(sheet)}>{nameOf(sheet)}</Link>
                    </th>
                    <td>{letThrough.of === 0 ? "not met whole" : shareWords(letThrough)}</td>
                    <td>{confused.of === 0 ? "not set beside another" : shareWords(confused)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </section>
      <section className="section" aria-labelledby="sure">
        <h2 id="sure" className="section-title">
          How sure, and how often right
        </h2>
        <CalibrationLine calibration={calibration} />
      </section>
      <History tries={tries} />
      <Button className="above-2 not-printed" onClick={() => window.print()}>
        Print it
      </Button>
    </>
  );
}
