/** The dark half of a sheet: what it passes for, where and when it grows, how large, what may be done with it. */
import { REGIONS, type Sheet, unitShown } from "@jittery-cap/core";
import { Link } from "react-router";
import { comparePath, sheetPath } from "../addresses.ts";
import { usePreferences } from "../device/preferences.ts";
import type { OpenSheet, SheetLine } from "../worker/judge.worker.ts";
import { basisOf } from "./sheet-words.ts";

const MONTHS = ["J", "F", "M", "A", "M", "J", "J", "A", "S", "O", "N", "D"];
const MEASURE_WORDS = {
  capCm: ["cap", "cm"],
  stemLengthCm: ["stem length", "cm"],
  stemWidthMm: ["stem width", "mm"],
  thicknessMm: ["thickness", "mm"],
  sporeLengthUm: ["spore length", "µm"],
  sporeWidthUm: ["spore width", "µm"],
} as const;

export function SheetSide({ open }: { readonly open: OpenSheet }) {
  const { sheet, lookalikes, company } = open;
  const units = usePreferences((state) => state.units);
  return (
    <>
      {lookalikes.length > 0 && (
        <Side title="What passes for it, and what tells them apart">
          {lookalikes.map((other) => (
            <SheetLink key={other.id} to={comparePath(sheet.id, other.id)} line={other} />
          ))}
        </Side>
      )}
      {company.length > 0 && (
        <Side title="Found in its company" basis={basisOf(sheet, "company").words}>
          {company.map((other) => (
            <SheetLink key={other.id} to={sheetPath(other.id)} line={other} />
          ))}
        </Side>
      )}
      <Side title="Months, which sort and are no evidence" basis={basisOf(sheet, "months").words}>
        <Months sheet={sheet} />
      </Side>
      <Side title="Sizes" basis={basisOf(sheet, "sizes").words}>
        {Object.entries(MEASURE_WORDS).map(([measure, [words, unit]]) => {
          const range = sheet.sizes[measure as keyof typeof MEASURE_WORDS];
          const as = unitShown(unit, units);
          return range === undefined ? null : (
            <Pair key={measure} name={words}>
              {as.shown(range[0])} to {as.shown(range[1])} {as.unit}
            </Pair>
          );
        })}
        {sheet.elevationM !== undefined && (
          <Pair name="height">
            {sheet.elevationM[0]} to {sheet.elevationM[1]} m
          </Pair>
        )}
      </Side>
      {sheet.masks.length > 0 && (
        <Side title="What hides it, beyond what hides every kind" basis={basisOf(sheet, "masks").words}>
          {sheet.masks.map((mask) => (
            <div key={mask.why}>{mask.why}.</div>
          ))}
        </Side>
      )}
      <Side title="Handling" basis={basisOf(sheet, "handling").words}>
        <Pair name="parts">{sheet.handling.parts}</Pair>
        <Pair name="cooking">{sheet.handling.cooking}</Pair>
        {sheet.handling.alcohol !== undefined && <Pair name="alcohol">{sheet.handling.alcohol}</Pair>}
        {sheet.handling.containers !== undefined && <Pair name="basket">{sheet.handling.containers}</Pair>}
        <Pair name="keeping">
          {sheet.keeping.frost === "borne" ? "bears frost" : "lost by frost"}, {sheet.keeping.coldDays} days in the cold
        </Pair>
      </Side>
      <Side title="How much it stands for">
        <div>
          {sheet.genus.note} The shelf holds {sheet.genus.kindsKnown} of about {sheet.genus.kindsInGenus} kinds of{" "}
          {sheet.genus.name}.
        </div>
      </Side>
    </>
  );
}

/** "North America east". */
function regionWords(region: string): string {
  const words = region.replaceAll("-", " ").replace("north america", "north America").replace("rocky m", "Rocky M");
  return words.charAt(0).toUpperCase() + words.slice(1);
}

interface SideProps {
  readonly title: string;
  /** What it rests on. */
  readonly basis?: string;
  readonly children: React.ReactNode;
}

function Side({ title, basis, children }: SideProps) {
  return (
    <section className="side">
      <h2>
        <span className="grow">{title}</span>
        {basis !== undefined && <span className="plain faint small">{basis}</span>}
      </h2>
      <div className="soft">{children}</div>
    </section>
  );
}

function Pair({ name, children }: { readonly name: string; readonly children: React.ReactNode }) {
  return (
    <div className="pair">
      <span className="faint">{name}</span>
      <span>{children}</span>
    </div>
  );
}

function SheetLink({ to, line }: { readonly to: string; readonly line: SheetLine }) {
  return (
    <Link to={to} data-tier={line.tier} className="side-line">
      <span className="grow shelf-name">{line.common}</span>
      <span className="soft plain shelf-tier">{line.tier}</span>
    </Link>
  );
}

function Months({ sheet }: { readonly sheet: Sheet }) {
  return (
    <table className="months">
      <tbody>
        {REGIONS.filter((region) => sheet.months[region] !== undefined).map((region) => (
          <tr key={region}>
            <th scope="row">{regionWords(region)}</th>
            {MONTHS.map((month, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the twelve months have their places and nothing else
              <td key={index} data-fruits={sheet.months[region]?.includes(index + 1) === true}>
                {month}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
