import { expect } from "chai";
import { type Application, DESK, PHONE, startApplication } from "./application.ts";
import { seriousFindings } from "./axe.ts";
import { untilShown, VIEWS, visit } from "./every-view.ts";
import { faultsAtEveryWidth } from "./every-width.ts";

describe("every view with two seasons in it", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("seasons");
  });
  after(() => application.stop());

  for (const [size, name] of [
    [DESK, "on a desk, made narrower and wider, is cut nowhere, is broad enough for a thumb, and"],
    [PHONE, "on a phone"],
  ] as const)
    describe(name, () => {
      // one page for all: what was fetched and compiled for one view is there for the next
      let shared: Awaited<ReturnType<Application["open"]>>;
      before(async () => {
        shared = await application.open(size);
      });
      after(() => shared.context.close());
      // a test for each: a slow machine is then slow, and not wrong
      for (const [view, path] of VIEWS)
        it(`has nothing that axe holds serious: ${view}`, async () => {
          await visit(shared.page, application, path);
          await untilShown(shared.page, path);
          expect(await seriousFindings(shared.page)).to.deep.equal([]);
          if (size === DESK) expect(await faultsAtEveryWidth(shared.page, path)).to.deep.equal([]);
        });
    });
});
