/** What a person may have of a kind, and why not; what can be told of how it went before. */
import { type Eater, type KindInPot, kindKey, type Share } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { keepPerson } from "./household.ts";

export function OneShare({
  share,
  pot,
  eater,
}: {
  readonly share: Share;
  readonly pot: readonly KindInPot[];
  readonly eater: Eater;
}) {
  const handling = pot.find((one) => kindKey(one.handling.kinds) === share.kind)?.handling;
  const name = handling?.name ?? share.kind;
  const isNew = share.refusals.length === 1 && share.refusals[0] === "new-kind";
  const canTell = share.refusals.some((one) => one === "new-kind" || one === "second-new-kind");
  const hadIt = (trouble: boolean) =>
    keepPerson({
      ...eater,
      had: [
        ...(eater.had ?? []).filter(({ kind }) => handling?.kinds.includes(kind) !== true),
        ...(handling?.kinds ?? []).map((kind) => ({ kind, trouble })),
      ],
    });
  return (
    <div data-share={share.kind} data-most={share.most}>
      <div className={share.most === 0 ? "stands" : undefined}>
        {name}: {share.most === 0 ? "none" : isNew ? "a tablespoon and no more" : `up to ${share.most} g`}
      </div>
      {share.why !== undefined && <div className="soft small">{share.why}</div>}
      {canTell && (
        <div className="actions">
          <Button
            variant="quiet"
            onClick={() => void hadIt(false)}
            aria-label={`${eater.name} has had ${name} before, without trouble`}
          >
            has had it, no trouble
          </Button>
          <Button
            variant="quiet"
            onClick={() => void hadIt(true)}
            aria-label={`${eater.name} had trouble with ${name}`}
          >
            had trouble
          </Button>
        </div>
      )}
    </div>
  );
}
