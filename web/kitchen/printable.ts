/** Text for the fonts that every PDF reader has: what they lack is written as near as it can be, and never left out silently. */

/** Letters that do not come apart into a plain one and its marks. */
const PLAIN: Readonly<Record<string, string>> = {
  ł: "l",
  Ł: "L",
  đ: "d",
  Đ: "D",
  "−": "-",
  "‑": "-",
  "≥": ">=",
  "≤": "<=",
  "→": "->",
  "✓": "x",
};
/** What Windows-1252 holds beside Latin 1. */
const BESIDE = "€‚ƒ„…†‡ˆ‰Š‹ŒŽ‘’“”•–—˜™š›œžŸ";

const isThere = (sign: string): boolean => {
  const code = sign.codePointAt(0) ?? 0;
  return (code >= 0x20 && code < 0x7f) || (code >= 0xa0 && code <= 0xff) || BESIDE.includes(sign);
};

export function printable(text: string): string {
  return [...text.replace(/\s/g, " ")]
    .map((sign) => {
      if (isThere(sign)) return sign;
      const known = PLAIN[sign];
      if (known !== undefined) return known;
      const [bare] = [...sign.normalize("NFD")];
      return bare !== undefined && isThere(bare) ? bare : "?";
    })
    .join("");
}
