/** Finds to and from other programs. */
import Typography from "@mui/material/Typography";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { ReadFile } from "./read-file.tsx";
import { WriteFile } from "./write-file.tsx";

export function ExchangeView() {
  return (
    <SplitCard
      width="narrow"
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              To and from other programs
            </Typography>
            <WriteFile />
            <ReadFile />
          </div>
        </>
      }
      dark={
        <div className="dark-page">
          <Typography variant="h1" component="p">
            Judged here
          </Typography>
          <p className="lead-in">
            A file's word for an answer is never taken. What comes in is judged by the sheets of this shelf, like
            everything else, and by your house rules; nothing that was here is written over.
          </p>
        </div>
      }
    />
  );
}
