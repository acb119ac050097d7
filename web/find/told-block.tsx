/** What is told about a body, the weather or the ground: no evidence of kind, but of what can be trusted. */
import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import type { ReactNode } from "react";
import { TOUCH, tone } from "../theme/tokens.ts";
import { Choice } from "./choice.tsx";

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
}

/** A heading with a row of words to choose from. */
export function ToldBlock({ title, hint, options, chosen, onChoose, name }: ToldBlockProps) {
  return (
    <Block title={title} hint={hint} name={name}>
      <Box
        role="group"
        aria-label={title}
        sx={{
          display: "grid",
          gap: 1,
          gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(auto-fill, minmax(104px, 1fr))" },
        }}
      >
        {options.map((option) => (
          <Choice
            key={option.value}
            quiet
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
  readonly fields: readonly {
    readonly key: string;
    readonly label: string;
    readonly unit: string;
    readonly value: number | undefined;
  }[];
  readonly onSet: (key: string, value: number | null) => void;
}

/** A heading with numbers to enter; a number is taken when the field is left. */
export function NumberBlock({ title, hint, name, fields, onSet }: NumberBlockProps) {
  return (
    <Block title={title} hint={hint} name={name}>
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
  children,
}: {
  title: string;
  hint?: string | undefined;
  name: string;
  children: ReactNode;
}) {
  return (
    <Box component="section" data-told={name} sx={{ pb: 2.75 }}>
      <Box sx={{ pb: 1 }}>
        <Typography variant="h3" component="h3">
          {title}
        </Typography>
        {hint !== undefined && <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>{hint}</Box>}
      </Box>
      {children}
    </Box>
  );
}
