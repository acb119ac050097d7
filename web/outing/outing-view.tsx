/** Outing: on the way where one is under way, else its beginning. On a phone it is dark whole. */
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { Trail } from "../layout/trail.tsx";
import { timeWords } from "../season/local-day.ts";
import { useCommonNames } from "../sheets/use-common-names.ts";
import { Begin } from "./begin.tsx";
import { Going } from "./going.tsx";
import { nameOf, useOuting, type WholeOuting } from "./use-outing.ts";
import "./outing.css";

export function OutingView() {
  const outing = useOuting();
  return (
    <div className="outing-page">
      <main data-half="dark" className="outing-dark">
        <Trail />
        <ScrollRegion label="The outing" className="outing">
          {outing === undefined ? (
            <p className="soft">Looking whether one is under way.</p>
          ) : outing === null ? (
            <Begin />
          ) : (
            <Going outing={outing} />
          )}
        </ScrollRegion>
      </main>
      <aside data-half="light" aria-label="So far" className="outing-light">
        {outing === null || outing === undefined ? <Before /> : <SoFar outing={outing} />}
      </aside>
    </div>
  );
}

function SoFar({ outing: { finds, content } }: { readonly outing: WholeOuting }) {
  const names = useCommonNames();
  return (
    <>
      <h2 className="said">So far</h2>
      {finds.length === 0 && <p className="soft">Nothing is found yet.</p>}
      <ul className="lines">
        {finds.map(({ id, content: find }, index) => (
          <li key={id} className="open-line">
            <Link to={findPath(id)}>
              {timeWords(Date.parse(find.foundAt ?? content.begunAt))} {nameOf(find, index, names)}
            </Link>
          </li>
        ))}
      </ul>
      {content.nothing.length > 0 && (
        <p className="soft above">
          Looked and found nothing, {content.nothing.length === 1 ? "once" : `${content.nothing.length} times`}.
        </p>
      )}
    </>
  );
}

function Before() {
  return (
    <>
      <h2 className="said">Before you go</h2>
      <p>
        <Link to="/outing/plan" className="strong">
          Plan the day
        </Link>
        : what is likely, what else stands there, what to carry, the order of the places.
      </p>
      <p className="soft above">
        A visit on which nothing is found is worth as much as a basket: without it no record can say when to go.
      </p>
    </>
  );
}
