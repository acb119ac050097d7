/** What is told about a body, the weather or the ground: no evidence of kind, but of what can be trusted. */
import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import type { ReactNode } from "react";
import { TOUCH, tone } from "../theme/tokens.ts";
import { Choice } from "./choice.tsx";
import { blockId } from "./use-bench.ts";

interface Option {
  readonly value: string;
  readonly label: string;
}

interface ToldBlockProps {
  readonly title: string;
  readonly hint?: string | undefined;
  readonly options: readonly Option[];
  readonly chosen: readonly string[];
  readonly onChoose: (value: string) => void;
  readonly name: string;
  readonly active: boolean;
  /** Drawings of the options, where they can be drawn. */
  readonly pictureOf?: ((value: string) => ReactNode) | undefined;
}

/** A heading with a row of words to choose from. */
export function ToldBlock({ title, hint, options, chosen, onChoose, name, active, pictureOf }: ToldBlockProps) {
  return (
    <Block title={title} hint={hint} name={name} active={active}>
      <Box
        role="group"
        aria-label={title}
        sx={{
          display: "grid",
          gap: 1,
          gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(auto-fill, minmax(104px, 1fr))" },
        }}
      >
        {options.map((option, index) => (
          <Choice
            key={option.value}
            quiet
            digit={active ? String((index + 1) % 10) : undefined}
            drawing={pictureOf?.(option.value)}
            label={option.label}
            chosen={chosen.includes(option.value)}
            state={option.value}
            onChoose={() => onChoose(option.value)}
          />
        ))}
      </Box>
    </Block>
  );
}

interface NumberBlockProps {
  readonly title: string;
  readonly hint?: string;
  readonly name: string;
  readonly active: boolean;
  readonly fields: readonly {
    readonly key: string;
    readonly label: string;
    readonly unit: string;
    readonly value: number | undefined;
  }[];
  readonly onSet: (key: string, value: number | null) => void;
}

/** A heading with numbers to enter; a number is taken when the field is left. */
export function NumberBlock({ title, hint, name, active, fields, onSet }: NumberBlockProps) {
  return (
    <Block title={title} hint={hint} name={name} active={active}>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        {fields.map((field) => (
          <Box
            key={field.key}
            component="label"
            sx={{
              display: "flex",
              flexDirection: "column",
              flex: "1 1 104px",
              fontSize: "0.9375rem",
              color: tone.inkSoft,
            }}
          >
            {field.label}
            <InputBase
              key={field.value ?? "none"}
              defaultValue={field.value ?? ""}
              endAdornment={<Box sx={{ color: tone.inkSoft, pl: 0.5 }}>{field.unit}</Box>}
              inputProps={{ inputMode: "decimal", "aria-label": `${field.label}, ${field.unit}` }}
              onKeyDown={(event) => {
                // taken with enter, so that the keys go on
                if (event.key === "Enter" && event.target instanceof HTMLElement) event.target.blur();
              }}
              onBlur={(event) => {
                const text = event.target.value.trim().replace(",", ".");
                const value = text === "" ? null : Number(text);
                if (value === null ? field.value !== undefined : Number.isFinite(value) && value !== field.value)
                  onSet(field.key, value);
              }}
              sx={{
                minHeight: TOUCH,
                px: 1.25,
                bgcolor: tone.paper,
                border: `1px solid ${tone.boneLine}`,
                fontSize: "1.0625rem",
                "&.Mui-focused": { borderColor: tone.ink },
              }}
            />
          </Box>
        ))}
      </Box>
    </Block>
  );
}

function Block({
  title,
  hint,
  name,
  active,
  children,
}: {
  title: string;
  hint?: string | undefined;
  name: string;
  active: boolean;
  children: ReactNode;
}) {
  return (
    <Box component="section" id={blockId(name)} data-told={name} sx={{ pb: 2.75, scrollMarginTop: 12 }}>
      <Box sx={{ pb: 1, borderLeft: `4px solid ${active ? tone.ink : "transparent"}`, ml: -1.75, pl: 1.25 }}>
        <Typography variant="h3" component="h3">
          {title}
        </Typography>
        {hint !== undefined && <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>{hint}</Box>}
      </Box>
      {children}
    </Box>
  );
}
