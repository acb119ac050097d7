/** One mark of the evidence board; every mark has a shape and a word, none only a colour. */

export type MarkKind = "twice" | "hard" | "soft" | "masked" | "for";

const WORDS: Readonly<Record<MarkKind, string>> = {
  twice: "hard point against, seen twice",
  hard: "hard point against",
  soft: "soft point against",
  masked: "masked",
  for: "speaks for it",
};

export function Mark({ kind }: { readonly kind: MarkKind | undefined }) {
  if (kind === undefined) return null;
  return (
    <svg width="16" height="26" viewBox="1 0 16 26" role="img" aria-label={WORDS[kind]} className="mark">
      {kind === "twice" && (
        <>
          <rect x="3" y="2" width="5" height="22" className="mark-against" />
          <rect x="11" y="2" width="5" height="22" className="mark-against" />
        </>
      )}
      {kind === "hard" && <rect x="6.5" y="2" width="5" height="22" className="mark-against" />}
      {kind === "soft" && <rect x="8" y="2" width="2" height="22" className="mark-against" />}
      {kind === "masked" && <path d="M9 2v6M9 11v5M9 19v5" className="mark-masked" />}
      {kind === "for" && <circle cx="9" cy="13" r="4" className="mark-for" />}
    </svg>
  );
}
