/** All that was told, in the order of telling; a mistake is struck out and stays. */
import Button from "@mui/material/Button";
import { useAccount } from "./account-store.ts";
import { momentWords } from "./moments.ts";

export function WrittenDown() {
  const told = useAccount((state) => state.told);
  const strike = useAccount((state) => state.strike);
  const isKept = useAccount((state) => state.isKept);
  if (told.length === 0) return null;
  return (
    <section aria-labelledby="told">
      <h2 id="told">Written down</h2>
      {!isKept && (
        <p role="alert">
          <b>This device could not keep it.</b> It stands on this screen only: print it, or write it on paper.
        </p>
      )}
      <ul className="ill-told" data-testid="told">
        {told.map((one) => {
          const words =
            one.kind === "meal"
              ? `Eaten ${momentWords(one.eatenAt)}: ${one.what}`
              : `${one.who === "" ? "Felt" : one.who}: ${one.what}, since ${momentWords(one.since)}`;
          return (
            <li key={one.id}>
              {one.struckAt === undefined ? (
                <>
                  <span className="grow">{words}</span>
                  <Button variant="quiet" aria-label={`Strike out: ${words}`} onClick={() => strike(one.id)}>
                    strike out
                  </Button>
                </>
              ) : (
                <span>
                  <s>{words}</s> (struck {momentWords(one.struckAt)})
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
