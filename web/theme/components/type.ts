/** The scale of type: field reading, glare, tired eyes. */
import type { ThemeOptions } from "@mui/material/styles";
import { FONT } from "../tokens.ts";

declare module "@mui/material/styles" {
  interface TypographyVariants {
    verdict: React.CSSProperties;
    lead: React.CSSProperties;
    small: React.CSSProperties;
    scientific: React.CSSProperties;
  }
  interface TypographyVariantsOptions {
    verdict?: React.CSSProperties;
    lead?: React.CSSProperties;
    small?: React.CSSProperties;
    scientific?: React.CSSProperties;
  }
}
declare module "@mui/material/Typography" {
  interface TypographyPropsVariantOverrides {
    verdict: true;
    lead: true;
    small: true;
    scientific: true;
  }
}

export const TYPE = {
  fontFamily: FONT.text,
  fontSize: 16,
  htmlFontSize: 16,
  h1: { fontSize: "3.1rem", fontWeight: 800, letterSpacing: "-0.03em", lineHeight: 1 },
  h2: { fontSize: "1.5rem", fontWeight: 750, letterSpacing: "-0.015em", lineHeight: 1.15 },
  h3: { fontSize: "1.125rem", fontWeight: 700, lineHeight: 1.25 },
  /** The answer, where it is what the view is for. */
  verdict: { fontFamily: FONT.text, fontSize: "3.4rem", fontWeight: 800, letterSpacing: "-0.03em", lineHeight: 1 },
  /** What stands first in a view besides its title. */
  lead: { fontFamily: FONT.text, fontSize: "1.125rem", lineHeight: 1.4 },
  body1: { fontSize: "1.0625rem", lineHeight: 1.45 },
  body2: { fontSize: "1rem", lineHeight: 1.4 },
  /** What explains. */
  small: { fontFamily: FONT.text, fontSize: "0.9375rem", lineHeight: 1.35 },
  caption: { fontSize: "0.875rem", lineHeight: 1.35 },
  /** Scientific names, and nothing else. */
  scientific: { fontFamily: FONT.name, fontStyle: "italic", fontSize: "0.9375rem" },
  button: { textTransform: "none", fontWeight: 650, fontSize: "1rem" },
} as const satisfies ThemeOptions["typography"];

export const typeComponents: ThemeOptions["components"] = {
  MuiTypography: {
    defaultProps: {
      variantMapping: { verdict: "h1", lead: "p", small: "div", scientific: "span" },
    },
  },
  MuiLink: {
    defaultProps: { color: "inherit", underline: "always" },
    styleOverrides: { root: { textUnderlineOffset: "0.15em" } },
  },
};
