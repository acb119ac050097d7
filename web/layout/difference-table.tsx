/** Two records of one find beside each other, line by line where they differ. */
import Table from "@mui/material/Table";
import TableBody from "@mui/material/TableBody";
import TableCell from "@mui/material/TableCell";
import TableHead from "@mui/material/TableHead";
import TableRow from "@mui/material/TableRow";

interface DifferenceTableProps {
  readonly lines: readonly { readonly what: string; readonly mine: string; readonly theirs: string }[];
  /** What the two records are called. */
  readonly mine: string;
  readonly theirs: string;
  /** Said where no line tells it. */
  readonly about?: string | undefined;
  readonly testId?: string;
}

export function DifferenceTable({ lines, mine, theirs, about, testId }: DifferenceTableProps) {
  return (
    <Table data-testid={testId}>
      <TableHead>
        <TableRow>
          <TableCell>Where they differ</TableCell>
          <TableCell>{mine}</TableCell>
          <TableCell>{theirs}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map((line) => (
          <TableRow key={line.what}>
            <TableCell component="th" scope="row">
              {line.what}
            </TableCell>
            <TableCell className="strong">{line.mine}</TableCell>
            <TableCell className="strong">{line.theirs}</TableCell>
          </TableRow>
        ))}
        {about !== undefined && (
          <TableRow>
            <TableCell colSpan={3}>{about}</TableCell>
          </TableRow>
        )}
      </TableBody>
    </Table>
  );
}
