import { assess, definitionOf, FAMILIES, isCharacterId, newFind } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { boardRows, markOf } from "./board-rows.ts";

const knowledge = readKnowledge();
const finds = [...seasonFinds(), newFind("0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10", "2026-09-14T10:00:00Z")];

describe("the board of evidence", () => {
  it("shows each danger that is asked for, tells how many it folds, and unfolds them all", () => {
    for (const find of finds) {
      const { dangers } = assess(find, knowledge);
      const last = dangers.at(-1)?.sheet;
      const { rows, current, folded } = boardRows(dangers, last, false);
      expect(current?.sheet).to.equal(last);
      expect(rows.map((danger) => danger.sheet)).to.include(last);
      const hidden = dangers.length - rows.length;
      if (hidden > 0) expect(folded).to.match(new RegExp(`^And ${hidden} more, `));
      else expect(folded).to.equal(undefined);
      expect(boardRows(dangers, last, true).rows).to.have.length(dangers.length);
    }
  });

  it("never folds a danger as ruled out that still stands", () => {
    for (const find of finds) {
      const { dangers } = assess(find, knowledge);
      const { rows, folded } = boardRows(dangers, undefined, false);
      const standing = dangers.filter((danger) => danger.status !== "ruled-out" && !rows.includes(danger));
      if (folded === undefined) expect(standing).to.deep.equal([]);
      else expect(/stand as well/.test(folded), find.label).to.equal(standing.length > 0);
    }
  });

  it("puts what a house rule sets aside last, and on the board", () => {
    for (const find of finds) {
      const { rows } = boardRows(assess(find, knowledge).dangers, undefined, false);
      const firstAside = rows.findIndex((danger) => danger.aside === true);
      if (firstAside >= 0) expect(rows.slice(firstAside).every((danger) => danger.aside === true)).to.equal(true);
    }
  });

  it("marks against before masked, and masked before for", () => {
    for (const find of finds)
      for (const danger of assess(find, knowledge).dangers)
        for (const family of FAMILIES) {
          const against = danger.points.filter((point) => point.family === family);
          const isMasked = danger.masks.some(
            ({ character }) => isCharacterId(character) && definitionOf(character).family === family,
          );
          const mark = markOf(danger, family);
          const isTwice = against.some((point) => point.again === true);
          if (isTwice) expect(mark).to.equal("twice");
          else if (against.length > 0) expect(mark).to.equal(against.some((point) => point.hard) ? "hard" : "soft");
          else if (isMasked) expect(mark).to.equal("masked");
          else expect(mark === "for").to.equal(danger.speaksFor.some((sign) => sign.family === family));
        }
  });
});
