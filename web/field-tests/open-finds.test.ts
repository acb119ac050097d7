import { laidPrints } from "@jittery-cap/core";
import { expect } from "chai";
import { seasonFinds } from "../../demo/season.ts";
import { openToday } from "../log/log-dark.tsx";
import { isOpen } from "./open-finds.ts";

describe("finds of which something is open", () => {
  it("are all those with a print that nobody has read, and all of the last days", () => {
    const finds = seasonFinds();
    for (const day of ["2026-09-07", "2026-09-20", "2026-10-02", "2026-11-26"]) {
      const now = new Date(`${day}T18:00:00Z`);
      const open = finds.filter((find) => isOpen(find, now));
      expect(openToday(open, now)).to.deep.equal(openToday(finds, now));
      const waiting = (of: typeof finds) =>
        of.flatMap((find) => laidPrints(find, now)).filter((print) => print.stage !== "read");
      expect(waiting(open)).to.deep.equal(waiting(finds));
    }
    expect(finds.some((find) => !isOpen(find, new Date("2027-01-10T18:00:00Z")))).to.equal(true);
  });

  it("are not what is no record", () => {
    for (const content of [null, 7, "find", {}, { bodies: "A" }, { bodies: [null] }])
      expect(isOpen(content, new Date("2026-09-07T18:00:00Z"))).to.equal(false);
  });
});
