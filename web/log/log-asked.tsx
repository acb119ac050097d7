/** What is asked of the log: words, outcome, year, what is still open, and in which order. */
import { ENDING_WORDS } from "@jittery-cap/core";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useLiveQuery } from "dexie-react-hooks";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { type LogQuery, type Outcome, yearsOfFinds } from "./find-lines.ts";

interface LogAskedProps {
  readonly query: LogQuery;
  readonly onAsk: (query: LogQuery) => void;
}

const OUTCOMES = Object.keys(ENDING_WORDS) as Exclude<Outcome, "undecided">[];

export function LogAsked({ query, onAsk }: LogAskedProps) {
  const years = useLiveQuery(yearsOfFinds) ?? [];
  const ask = (change: Partial<LogQuery>) => onAsk({ ...query, ...change });
  return (
    <search className="log-asked">
      <OutlinedInput
        size="small"
        value={query.words}
        placeholder="name, place or kind"
        onChange={(event) => ask({ words: event.target.value })}
        inputProps={{ "aria-label": "Search the finds", type: "search" }}
      />
      <ChooseFrom
        label="What became of it"
        value={query.hasOpenPrint ? "print" : (query.outcome ?? "")}
        onChange={(value) =>
          ask({
            hasOpenPrint: value === "print",
            outcome: [...OUTCOMES, "undecided" as const].find((one) => one === value),
          })
        }
      >
        <option value="">any ending</option>
        <option value="undecided">not decided yet</option>
        <option value="print">a print not read yet</option>
        {OUTCOMES.map((one) => (
          <option key={one} value={one}>
            {ENDING_WORDS[one]}
          </option>
        ))}
      </ChooseFrom>
      <ChooseFrom
        label="Year"
        value={query.year ?? ""}
        onChange={(value) => ask({ year: value === "" ? undefined : value })}
      >
        <option value="">any year</option>
        {years.map((year) => (
          <option key={year}>{year}</option>
        ))}
      </ChooseFrom>
      <ChooseFrom
        label="Order"
        value={query.order}
        onChange={(value) => ask({ order: value === "earliest" ? "earliest" : "latest" })}
      >
        <option value="latest">latest first</option>
        <option value="earliest">earliest first</option>
      </ChooseFrom>
    </search>
  );
}
