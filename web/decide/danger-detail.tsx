/** The chosen danger in words: what speaks against it, what is masked, what speaks for it. */
import type { DangerAnswer } from "@jittery-cap/core";
import { Link } from "react-router";
import { comparePath, sheetPath } from "../addresses.ts";
import { distanceWords } from "../standing/distance-words.ts";

interface DangerDetailProps {
  readonly danger: DangerAnswer;
  /** The kind to set it beside. */
  readonly beside: string | undefined;
}

export function DangerDetail({ danger, beside }: DangerDetailProps) {
  const masks = danger.masks.filter((mask, index) => danger.masks.findIndex((one) => one.why === mask.why) === index);
  return (
    <section aria-label={danger.name} data-testid="danger-detail" className="detail">
      <h2>
        {danger.name.charAt(0).toUpperCase() + danger.name.slice(1)}{" "}
        <span className="scientific soft plain">{danger.scientific}</span>
        <span className="block-text plain soft">
          {danger.tier}
          {danger.syndrome === undefined ? "" : `, ${danger.syndrome}`} · {distanceWords(danger.mistakes)}, nearest to{" "}
          {danger.body}
        </span>
      </h2>
      {danger.aside === true && (
        <div>Set aside by the house rule: it is not known from this part of the world. It is not ruled out.</div>
      )}
      <Lines title="Against it" lines={danger.points.map(pointWords)} empty="Nothing that was seen." />
      {masks.length > 0 && <Lines title="Hidden today" lines={masks.map((mask) => mask.why)} />}
      <Lines title="For it" lines={danger.speaksFor.map((sign) => sign.text)} empty="Nothing that was seen." />
      <div className="detail-links">
        <Link to={sheetPath(danger.sheet)}>Read its sheet</Link>
        {beside !== undefined && (
          <Link to={comparePath(beside, danger.sheet)}>What tells it from what this seems to be</Link>
        )}
      </div>
    </section>
  );
}

const pointWords = ({ text, again }: DangerAnswer["points"][number]): string =>
  again === true ? `${text} (seen twice: it counts as two mistakes)` : text;

interface LinesProps {
  readonly title: string;
  readonly lines: readonly string[];
  readonly empty?: string;
}

function Lines({ title, lines, empty }: LinesProps) {
  return (
    <div className="small">
      <b>{title}.</b>{" "}
      <span className="soft">
        {lines.length === 0
          ? empty
          : `${lines.map((line) => line.charAt(0).toUpperCase() + line.slice(1)).join(". ")}.`}
      </span>
    </div>
  );
}
