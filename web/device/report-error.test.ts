import { expect } from "chai";
import { reportOf } from "./report-error.ts";

describe("an error told to the server", () => {
  it("says what failed and where in the code", () => {
    const report = reportOf("delivery", new TypeError("version is not a number"));
    expect(report.where).to.equal("delivery");
    expect(report.message).to.equal("TypeError: version is not a number");
    expect(report.stack).to.contain("report-error.test.ts");
    expect(reportOf("page", "thrown text")).to.deep.equal({ where: "page", message: "thrown text" });
  });

  it("holds no place, and is never long", () => {
    const { message, stack } = reportOf("page", new Error(`lat 61.20314, lon -24.11825 ${"x".repeat(9000)}`));
    expect(message).not.to.match(/61\.2|24\.1/);
    expect(stack).not.to.match(/61\.2|24\.1/);
    expect(message.length).to.be.at.most(500);
    expect(stack?.length).to.be.at.most(4000);
  });
});
