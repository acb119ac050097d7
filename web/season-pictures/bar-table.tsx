/** A table of which every number is a bar as well, and leads to its finds. */
import type { Counted, Crossed } from "@jittery-cap/core/season";
import { tableCsv } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { Link } from "react-router";
import { theseFinds } from "../addresses.ts";
import { saveFile } from "../exchange/save-file.ts";

interface BarTableProps<Row extends string | number, Column extends string | number> {
  readonly of: Crossed<Row, Column>;
  readonly head: string;
  readonly wordsOf: (row: Row) => string;
  readonly unit: (value: number) => string;
  readonly file: string;
}

export function BarTable<Row extends string | number, Column extends string | number>({
  of,
  head,
  wordsOf,
  unit,
  file,
}: BarTableProps<Row, Column>) {
  const cells = of.rows.flatMap((row) => of.columns.flatMap((column) => of.at(row, column)?.value ?? []));
  const most = Math.max(1, ...cells);
  return (
    <>
      <div className="table-scroll">
        <table className="figures">
          <thead>
            <tr>
              <th>{head}</th>
              {of.columns.map((column) => (
                <th key={column}>{column}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {of.rows.map((row) => (
              <tr key={row}>
                <th>{wordsOf(row)}</th>
                {of.columns.map((column) => (
                  <td key={column}>
                    <Bar counted={of.at(row, column)} most={most} unit={unit} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button
        variant="quiet"
        className="not-printed"
        onClick={() =>
          saveFile(
            tableCsv(
              [head, ...of.columns.map(String)],
              of.rows.map((row) => [wordsOf(row), ...of.columns.map((column) => of.at(row, column)?.value ?? 0)]),
            ),
            file,
            "text/csv",
          )
        }
      >
        For other programs
      </Button>
    </>
  );
}

/** A number with its bar. */
export function Bar({
  counted,
  most,
  unit,
}: {
  readonly counted: Counted | undefined;
  readonly most: number;
  readonly unit: (value: number) => string;
}) {
  if (counted === undefined || counted.finds.length === 0) return <span className="soft">none</span>;
  return (
    <>
      <Link className="number-link" to={theseFinds(counted.finds)}>
        {unit(counted.value)}
      </Link>
      <span className="table-bar" style={{ width: `${(counted.value / most) * 100}%` }} />
    </>
  );
}
