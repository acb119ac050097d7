import { expect } from "chai";
import { type Application, startApplication, untilSaved, untilVerdict } from "./application.ts";
import { idOf } from "./every-view.ts";

describe("deciding with others", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  it("two people differ, and the find goes to hold; somebody with a link sees no answer and no place", async () => {
    const { page, context } = await application.open();
    const id = idOf("chanterelles");
    await page.goto(`${application.address}/finds/${id}/decide`);
    await untilVerdict(page, "basket");
    await page.getByRole("button", { name: "Ask somebody who knows" }).click();
    const link = page.getByTestId("second-eyes").getByRole("link", { name: /\/packet\// });
    await link.waitFor();
    const other = await application.open();
    await other.page.goto((await link.getAttribute("href")) ?? "");
    await other.page.getByRole("heading", { name: "What do you see?" }).waitFor();
    const text = (await other.page.textContent("body")) ?? "";
    for (const hidden of ["Basket", "mistakes away", "Ammerbog", "chanterelles by"])
      expect(text, hidden).not.to.contain(hidden);
    // what was recorded stays covered until somebody asks for it
    const recorded = other.page.getByRole("img", { name: /^Body A, .*cap shape/ });
    expect(await recorded.count()).to.equal(0);
    await other.page.getByRole("button", { name: "Under", exact: true }).click();
    await other.page.locator('[data-character="underside"] [data-state="gills"]').click();
    await other.page.getByLabel("Your name").fill("Ilva Marrund");
    await other.page.getByRole("button", { name: "I had it in my hand" }).click();
    await other.page.getByRole("button", { name: /^Send what I saw, 1 look/ }).click();
    await other.page.getByText(/Sent\. Thank you/).waitFor();
    await other.page.getByRole("button", { name: "Uncover it" }).click();
    await recorded.waitFor();
    await other.context.close();
    await page.reload();
    const said = page.locator('[data-opinion="in-hand"]');
    await said.getByText(/you ridges, they gills/).waitFor();
    await said.getByRole("button", { name: "Take it into the record" }).click();
    await page
      .locator('[data-verdict="hold"][data-state="fresh"], [data-verdict="leave"][data-state="fresh"]')
      .first()
      .waitFor();
    // the record with both looks is with the server
    await page.waitForFunction(
      async (address) => JSON.stringify(await (await fetch(address)).json()).includes('"by"'),
      `${application.address}/api/documents/${id}`,
    );
    // undone again for the tests behind this one
    await page.goto(`${application.address}/finds/${id}/record/under`);
    await page
      .locator('[data-verdict="hold"][data-state="fresh"], [data-verdict="leave"][data-state="fresh"]')
      .first()
      .waitFor();
    await page.keyboard.press("z");
    await untilVerdict(page, "basket");
    await untilSaved(page);
    await context.close();
  });

  it("a simulated person and two books are noted, and the simulated one fulfils nothing", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/decide`);
    const eyes = page.getByTestId("second-eyes");
    await eyes.getByRole("button", { name: "Ask somebody who knows" }).click();
    await eyes.getByRole("button", { name: "Somebody simulated, who differs" }).click();
    await eyes
      .locator('[data-opinion="simulated"]')
      .getByText(/fulfils nothing/)
      .waitFor();
    await eyes.getByText("Nobody has had it in the hand besides you.").waitFor();
    await eyes.getByLabel("Title of a book").fill("A book of the lakes");
    await eyes.getByRole("button", { name: "It agrees" }).click();
    await eyes.getByText(/1 of two books agrees/).waitFor();
    // a packet that is taken back is gone from the page, and its link leads nowhere
    const link = (await eyes.getByRole("link", { name: /\/packet\// }).getAttribute("href")) ?? "";
    await eyes.getByRole("button", { name: "Take it back" }).click();
    await eyes.locator("[data-packet]").waitFor({ state: "detached" });
    const { pathname } = new URL(link);
    expect(
      (await page.request.get(`${application.address}/api${pathname.replace("/packet/", "/packets/")}`)).status(),
    ).to.equal(404);
    await context.close();
  });

  it("a stricter ending wants its reason", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("chanterelles")}/decide`);
    await untilVerdict(page, "basket");
    await page.getByLabel("Ending of A").selectOption("left-to-grow");
    await page.getByLabel("Ending of B").selectOption("left-to-grow");
    expect(await page.getByRole("button", { name: "Decide, and freeze it" }).isDisabled()).to.equal(true);
    await page.getByLabel("Reason for A").fill("too few of them");
    await page.getByLabel("Reason for B").fill("too few of them");
    await page.getByRole("button", { name: "Decide, and freeze it" }).click();
    await page.getByText(/left to grow on \(too few of them\)/).waitFor();
    await context.close();
  });

  it("a change of house rules answers anew and shows which open finds turn; the woodtuft wants experience", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/rules`);
    await page.locator('[data-state="fresh"]').first().waitFor();
    await page.locator('[data-rule="smallBrown"] [data-state="known"]').click();
    await page
      .getByRole("alert")
      .getByText(/no funeral bell that you looked at/)
      .waitFor();
    await page.locator('[data-rule="distance"] [data-state="3"]').click();
    await page.getByTestId("turned").waitFor();
    await page.locator('[data-rule="distance"] [data-state="3"][aria-pressed="true"]').waitFor();
    await page.getByRole("button", { name: /My first years/ }).click();
    await page.locator('[data-rule="larvae"] [data-state="none"][aria-pressed="true"]').waitFor();
    await page.getByTestId("turned").waitFor();
    await context.close();
  });

  it("what is not known is shown as not known, and never as nothing", async () => {
    const { page, context } = await application.open();
    await page.route(/\/api\/(documents(\?|$)|live)/, (route) => route.abort());
    await page.goto(`${application.address}/finds/${idOf("pale one")}/rules`);
    await page.locator('[data-state="fresh"]').first().waitFor();
    await page.locator('[data-rule="larvae"] [data-state="none"]').click();
    await page
      .getByTestId("turned")
      .getByText(/is not known/)
      .waitFor();
    await page.route("**/api/decisions", (route) => route.abort());
    await page.goto(`${application.address}/kitchen/basket`);
    await page
      .getByRole("alert")
      .getByText(/Hold it all/)
      .waitFor();
    await page.getByText("Not known", { exact: true }).waitFor();
    expect(await page.getByText(/^\d+ bod(y|ies)$/).count()).to.equal(0);
    // while the answer is still worked out no danger is counted away
    await page.route("**/judge.worker*", () => undefined);
    await page.goto(`${application.address}/finds/${idOf("pale one")}/record/foot`);
    await page
      .getByText(/not known yet/)
      .first()
      .waitFor();
    await context.close();
  });

  it("writes all finds without their places, and says what a format cannot carry", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/files`);
    const save = async (name: string) => {
      await page.getByRole("button", { name, exact: true }).click();
      const [download] = await Promise.all([
        page.waitForEvent("download"),
        page.getByRole("button", { name: "Write the file" }).click(),
      ]);
      const chunks: Buffer[] = [];
      for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
      return Buffer.concat(chunks).toString("utf8");
    };
    const json = await save("our own JSON");
    expect(JSON.parse(json)).to.have.length.greaterThan(5);
    expect(json).not.to.contain('"lat"').and.not.to.contain("Skirrow");
    // one's own file brings nothing twice
    const all = (JSON.parse(json) as unknown[]).length;
    const reread = { name: "finds.json", mimeType: "application/json", buffer: Buffer.from(json) };
    await page.getByLabel("File with finds").setInputFiles(reread);
    await page.getByTestId("brought").getByText(`0 new, ${all} already here, 0 here and different.`).waitFor();
    expect(await page.getByRole("button", { name: /^Take over/ }).count()).to.equal(0);
    await save("GPX waypoints");
    await page
      .getByTestId("losses")
      .getByText(/Not carried/)
      .first()
      .waitFor();
    await page.getByLabel("File with finds").setInputFiles({
      name: "finds.json",
      mimeType: "application/json",
      buffer: Buffer.from('{"format":"jittery-cap/find","version":1,"id":"x","bodies":[]}'),
    });
    await page
      .getByRole("alert")
      .getByText(/Nothing was taken.*bodies/)
      .waitFor();
    await context.close();
  });
});
