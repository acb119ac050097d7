/** The page of the pairs of a danger and a sought kind that are hardest to tell apart. */
import { FAMILY_WORDS, type Knowledge, separabilities } from "@jittery-cap/core";

const PAIRS_TOLD = 40;
const FAMILIES_TOLD = 5;
const PER_CENT = 100;

/** The page in Markdown. Sorted by how often looking at everything once rules the danger out, the rarest first. */
export function hardestPairsPage(knowledge: Knowledge): string {
  const pairs = separabilities(knowledge);
  const nameOf = (id: string) => knowledge.byId.get(id)?.names.common ?? id;
  const rows = pairs.slice(0, PAIRS_TOLD).map(({ danger, sought, families, share }) => {
    const told = families
      .slice(0, FAMILIES_TOLD)
      .map(({ family, hard, power }) => {
        const words = `${FAMILY_WORDS[family]} ${Math.round(power * PER_CENT)}`;
        return hard ? `**${words}**` : words;
      })
      .join(", ");
    return `| ${nameOf(sought)} | ${nameOf(danger)} | ${(share * PER_CENT).toFixed(1)} % | ${told} |`;
  });
  return `# The hardest pairs

Of ${pairs.length} pairs of a danger and a sought kind, the ${PAIRS_TOLD} that the sheets tell apart least well: how often looking at
everything once at the sought kind brings the danger to two families of evidence with a hard one among them, and which
families do it (how many times in 100 one look speaks against the danger; hard ones in bold). Families are taken as
independent; masks and slips are left out, so the figure sorts and promises nothing. Written by \`npm run knowledge:lint\`.

| sought | danger | told apart | by |
| --- | --- | ---: | --- |
${rows.join("\n")}
`;
}
