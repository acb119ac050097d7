/** Reads finds from a file: first what it brings beside what is here, then what the person takes over. */
import { type Find, readFrom, sourceOf } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useRef, useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { device } from "../documents/device.ts";
import { isReadable, readRow } from "../documents/documents.ts";
import { match } from "../documents/sync.ts";
import { DifferenceTable } from "../layout/difference-table.tsx";
import { Section } from "../layout/section.tsx";
import { useLongWork, WorkUnderWay } from "./long-work.tsx";
import { type Incoming, sortOut } from "./sort-out.ts";
import { takeOver } from "./take-over.ts";

/** So many faults of a file are told; the first ones tell what kind of file it is. */
const TOLD_FAULTS = 8;

/** What is here under the ids of some finds. */
async function knownOf(finds: readonly Find[]): Promise<ReadonlyMap<string, Find>> {
  const rows = await device.documents.bulkGet(finds.map((one) => one.id));
  return new Map(
    rows.flatMap((row) => {
      const read = row === undefined || row.kind !== "find" ? undefined : readRow("find", row);
      return read !== undefined && isReadable(read) && !read.archived ? [[read.id, read.content] as const] : [];
    }),
  );
}

export function ReadFile() {
  const input = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const [brought, setBrought] = useState<readonly Incoming[]>();
  const [apart, setApart] = useState<ReadonlySet<string>>(new Set());
  const [taken, setTaken] = useState<readonly Find[]>();
  const work = useLongWork();

  const read = async (file: File | undefined) => {
    if (file === undefined) return;
    setTaken(undefined);
    setBrought(undefined);
    setApart(new Set());
    const content = new Uint8Array(await file.arrayBuffer());
    const source = sourceOf(file.name, content);
    if (source === undefined) return setFaults([`${file.name} does not tell what it is.`]);
    const parsed = readFrom(source, content);
    if (!parsed.ok)
      return setFaults(parsed.faults.slice(0, TOLD_FAULTS).map((fault) => `${fault.path}: ${fault.message}`));
    setFaults([]);
    // what other devices have recorded since is here as well, where the server can be asked
    await match();
    const here = await knownOf(parsed.value);
    setBrought(sortOut(parsed.value, (id) => here.get(id)));
  };
  const chosen = (brought ?? []).filter((one) => one.kind === "new" || apart.has(one.find.id));
  const take = () =>
    work.begin(async (tell, signal) => {
      const made: Find[] = [];
      for (const one of chosen) {
        signal.throwIfAborted();
        made.push(await takeOver(one));
        setTaken([...made]);
        tell(made.length, chosen.length);
      }
      setBrought(undefined);
    });
  const turn = (id: string) =>
    setApart(new Set(apart.has(id) ? [...apart].filter((one) => one !== id) : [...apart, id]));
  return (
    <Section
      title="Read finds from a file"
      about="First it is shown what the file brings; nothing is taken over before you say so."
    >
      <Button onClick={() => input.current?.click()}>Choose a file</Button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label="File with finds"
        onChange={(event) => {
          void read(event.target.files?.[0]);
          event.target.value = "";
        }}
      />
      {faults.length > 0 && <Faulty faults={faults} />}
      {brought !== undefined && <Brought brought={brought} apart={apart} onTurn={turn} />}
      {chosen.length > 0 && work.state.kind !== "working" && (
        <Button variant="contained" onClick={take}>
          Take over {chosen.length === 1 ? "1 find" : `${chosen.length} finds`}
        </Button>
      )}
      <WorkUnderWay work={work} what="finds taken over" />
      {taken !== undefined && <Taken finds={taken} />}
    </Section>
  );
}

function Faulty({ faults }: { readonly faults: readonly string[] }) {
  return (
    <Alert severity="error" sx={{ mt: 1 }}>
      Nothing was taken.{" "}
      {faults.map((fault) => (
        <div key={fault}>{fault}</div>
      ))}
    </Alert>
  );
}

function Taken({ finds }: { readonly finds: readonly Find[] }) {
  return (
    <div role="status" data-testid="taken" className="above">
      {finds.length === 1 ? "1 find" : `${finds.length} finds`} taken:
      {finds.map((find) => (
        <div key={find.id}>
          <Link component={RouterLink} to={findPath(find.id)}>
            {find.label ?? "a find without a name"}
          </Link>
        </div>
      ))}
    </div>
  );
}

interface BroughtProps {
  readonly brought: readonly Incoming[];
  /** Ids of the differing finds that are taken as finds of their own. */
  readonly apart: ReadonlySet<string>;
  readonly onTurn: (id: string) => void;
}

function Brought({ brought, apart, onTurn }: BroughtProps) {
  const count = (kind: Incoming["kind"]) => brought.filter((one) => one.kind === kind).length;
  return (
    <div data-testid="brought" className="above">
      <p role="status" className="strong">
        {count("new")} new, {count("same")} already here, {count("changed")} here and different.
      </p>
      <ul className="lines">
        {brought.map((one) => (
          <li key={one.find.id} data-brought={one.kind} className="line around">
            <b>{one.find.label ?? "a find without a name"}</b>{" "}
            <span className="soft">
              {one.kind === "new" ? "new" : one.kind === "same" ? "already here" : "here already, and different"}
            </span>
            {one.kind === "changed" && (
              <>
                <DifferenceTable lines={one.lines} mine="Here" theirs="In the file" />
                <Button variant="quiet" aria-pressed={apart.has(one.find.id)} onClick={() => onTurn(one.find.id)}>
                  {apart.has(one.find.id) ? "Leave what is here alone" : "Take the file's as a find of its own"}
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
