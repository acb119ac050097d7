/** Somebody is ill: one column, large, for a stranger who is frightened. It needs no network, no find and no database. */
import { Link } from "react-router";
import { CallNow } from "./call-now.tsx";
import { Eaten } from "./eaten.tsx";
import { Felt } from "./felt.tsx";
import { OpenWindows } from "./open-windows.tsx";
import { ReadOut } from "./read-out.tsx";
import { useLogged } from "./use-logged.ts";
import { WrittenDown } from "./written-down.tsx";

export function IllView() {
  const logged = useLogged();
  return (
    <main className="ill">
      <h1>Somebody is ill after mushrooms</h1>
      <CallNow />
      <p className="ill-first">
        Do not wait for it to get worse, or better. <b>Feeling better is a stage of it</b>: with the liver poison people
        are sick after 6 to 24 hours, seem to recover on the second day, and the liver fails from then on. Treatment in
        hospital works best when it begins early.
      </p>
      <ul className="ill-do">
        <li>Everybody who ate is looked at, also those who feel well. So is a child or a dog that may have eaten.</li>
        <li>Unconscious: recovery position, nothing by mouth.</li>
        <li>Do not make anybody vomit. No home remedy. No alcohol.</li>
        <li>Keep leftovers, peelings, vomit, the raw one, the dried slice, and take them along.</li>
      </ul>
      <Eaten logged={logged} />
      <Felt />
      <WrittenDown />
      <OpenWindows />
      <ReadOut logged={logged} />
      <p className="ill-foot">
        This works without a network. It diagnoses nothing and treats nothing: doctors do. The hours are those of the
        clinical classification (White and others, Toxicon 157, 2019), from memory.
      </p>
      <p className="ill-foot">
        <Link to="/finds">The records of what was found</Link>
      </p>
    </main>
  );
}
