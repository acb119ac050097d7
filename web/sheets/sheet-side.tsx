/** The dark half of a sheet: what it passes for, where and when it grows, how large, what may be done with it. */
import { REGIONS, type Sheet } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import { Link } from "react-router";
import { TOUCH, tone } from "../theme/tokens.ts";
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
  return (
    <>
      {lookalikes.length > 0 && (
        <Side title="What passes for it, and what tells them apart">
          {lookalikes.map((other) => (
            <Beside key={other.id} sheet={sheet.id} other={other} />
          ))}
        </Side>
      )}
      {company.length > 0 && (
        <Side title="Found in its company" basis={basisOf(sheet, "company").words}>
          {company.map((other) => (
            <DarkLine key={other.id} to={`/sheet/${other.id}`} line={other} />
          ))}
        </Side>
      )}
      <Side title="Months, which sort and are no evidence" basis={basisOf(sheet, "months").words}>
        <Months sheet={sheet} />
      </Side>
      <Side title="Sizes" basis={basisOf(sheet, "sizes").words}>
        {Object.entries(MEASURE_WORDS).map(([measure, [words, unit]]) => {
          const range = sheet.sizes[measure as keyof typeof MEASURE_WORDS];
          return range === undefined ? null : (
            <Pair key={measure} name={words}>
              {range[0]} to {range[1]} {unit}
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
            <Box key={mask.why}>{mask.why}.</Box>
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
        <Box>
          {sheet.genus.note} The shelf holds {sheet.genus.kindsKnown} of about {sheet.genus.kindsInGenus} kinds of{" "}
          {sheet.genus.name}.
        </Box>
      </Side>
    </>
  );
}

/** "North America east". */
function regionWords(region: string): string {
  const words = region.replaceAll("-", " ").replace("north america", "north America").replace("rocky m", "Rocky M");
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function Side({ title, basis, children }: { title: string; basis?: string; children: React.ReactNode }) {
  return (
    <Box component="section" sx={{ px: { xs: 2.5, md: 3 }, py: 1.75, borderTop: `1px solid ${tone.mossLine}` }}>
      <Box component="h2" sx={{ m: 0, pb: 0.5, fontSize: "1rem", fontWeight: 700, display: "flex", gap: 2 }}>
        <span style={{ flex: 1 }}>{title}</span>
        {basis !== undefined && (
          <span style={{ fontWeight: 450, color: tone.onDarkFaint, fontSize: "0.9375rem" }}>{basis}</span>
        )}
      </Box>
      <Box sx={{ color: tone.onDarkSoft, lineHeight: 1.45 }}>{children}</Box>
    </Box>
  );
}

function Pair({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "108px 1fr", columnGap: 1.5 }}>
      <span style={{ color: tone.onDarkFaint }}>{name}</span>
      <span>{children}</span>
    </Box>
  );
}

function Beside({ sheet, other }: { sheet: string; other: SheetLine }) {
  return <DarkLine to={`/compare/${sheet}/${other.id}`} line={other} />;
}

function DarkLine({ to, line }: { to: string; line: SheetLine }) {
  return (
    <Box
      component={Link}
      to={to}
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1.5,
        minHeight: TOUCH - 8,
        color: tone.onDark,
        textUnderlineOffset: 4,
        fontWeight: line.tier === "deadly" ? 750 : 500,
      }}
    >
      <span style={{ flex: 1 }}>{line.common}</span>
      <span style={{ color: line.tier === "deadly" ? tone.salmon : tone.onDarkSoft, fontWeight: 450 }}>
        {line.tier}
      </span>
    </Box>
  );
}

function Months({ sheet }: { sheet: Sheet }) {
  return (
    <Box component="table" sx={{ borderCollapse: "collapse", fontSize: "0.9375rem" }}>
      <tbody>
        {REGIONS.filter((region) => sheet.months[region] !== undefined).map((region) => (
          <tr key={region}>
            <Box component="th" scope="row" sx={{ fontWeight: 450, textAlign: "left", pr: 1.5, whiteSpace: "nowrap" }}>
              {regionWords(region)}
            </Box>
            {MONTHS.map((month, index) => {
              const fruits = sheet.months[region]?.includes(index + 1) === true;
              return (
                <Box
                  component="td"
                  // biome-ignore lint/suspicious/noArrayIndexKey: the twelve months have their places and nothing else
                  key={index}
                  sx={{
                    width: 19,
                    textAlign: "center",
                    p: 0,
                    color: fruits ? tone.moss : tone.onDarkFaint,
                    bgcolor: fruits ? tone.onDarkSoft : "transparent",
                    border: `1px solid ${tone.mossLine}`,
                    fontWeight: fruits ? 700 : 400,
                  }}
                >
                  {month}
                </Box>
              );
            })}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
