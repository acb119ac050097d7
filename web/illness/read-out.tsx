/** What is read out on the telephone, or printed for the hospital. */
import { hospitalPaper, type LoggedMeal, messageOf } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { useNow } from "../field-tests/use-now.ts";
import { useAccount } from "./account-store.ts";
import { momentWords } from "./moments.ts";

export function ReadOut({ logged }: { readonly logged: readonly LoggedMeal[] }) {
  const now = useNow();
  const told = useAccount((state) => state.told);
  const text = messageOf(told, now, momentWords);
  const named = new Set(told.flatMap((one) => (one.kind === "meal" && one.struckAt === undefined ? [one.logged] : [])));
  const finds = logged.filter(({ id }) => named.has(id)).flatMap((meal) => meal.finds);
  const [isFailed, setFailed] = useState(false);
  const paper = async () => {
    try {
      const [{ hospitalPdf }, { saveFile }] = await Promise.all([
        import("./hospital-pdf.ts"),
        import("../exchange/save-file.ts"),
      ]);
      saveFile(
        await hospitalPdf(
          hospitalPaper(told, logged, { now: new Date(), at: momentWords, dateOf: (iso) => new Date(iso) }),
          // the device's database may be broken: the paper is made without pictures then
          async (id) => (await import("./picture-file.ts")).pictureFile(id),
        ),
        "for-the-hospital.pdf",
        "application/pdf",
      );
      setFailed(false);
    } catch {
      setFailed(true);
    }
  };
  return (
    <section aria-labelledby="read-out">
      <h2 id="read-out">To read out on the telephone</h2>
      {finds.length > 0 && (
        <p data-testid="ask-who-knows">
          For somebody who knows fungi, without the answer:{" "}
          {finds.map(({ find }, index) => (
            <span key={find.id}>
              {index > 0 ? ", " : ""}
              <Link to={findPath(find.id, "decide")}>{find.label ?? "the find"}</Link>
            </span>
          ))}
        </p>
      )}
      <p className="ill-message" data-testid="message">
        {text}
      </p>
      <div className="ill-fields">
        <Button size="large" onClick={() => void navigator.clipboard?.writeText(text)}>
          Copy it
        </Button>
        <Button size="large" onClick={() => void paper()}>
          Paper for the hospital, as a file
        </Button>
        {isFailed && <p role="alert">The file could not be made here. Print this page, or show it.</p>}
        <Button size="large" onClick={() => window.print()}>
          Print this page for the hospital
        </Button>
      </div>
    </section>
  );
}
