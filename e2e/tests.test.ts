import { expect } from "chai";
import ICAL from "ical.js";
import type { Page } from "playwright-core";
import sharp from "sharp";
import {
  type Application,
  choose,
  findIdOf,
  newFind,
  PALE_ON_GRASS,
  PALE_ON_GRASS_FURTHER,
  PHONE,
  record,
  recordFootAndNose,
  startApplication,
  station,
  tell,
  untilSaved,
  untilVerdict,
} from "./application.ts";
import { idOf } from "./every-view.ts";

interface Recorded {
  readonly bodies: readonly {
    readonly id: string;
    readonly print?: {
      readonly readAt?: string;
      readonly result?: string;
      readonly cap?: string;
      readonly paper?: string;
    };
    readonly measures?: Record<string, unknown>;
    readonly measuredBy?: string;
    readonly seen?: readonly {
      readonly character: string;
      readonly states?: string[];
      readonly sure?: boolean;
      readonly method?: string;
      readonly speed?: string;
    }[];
  }[];
}

describe("the tests", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  const recorded = async (page: Page): Promise<Recorded> => {
    const id = /finds\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? "";
    const response = await page.request.get(`${application.address}/api/documents/${id}`);
    return ((await response.json()) as { content: Recorded }).content;
  };
  const looks = (find: Recorded, body: string, character: string) =>
    find.bodies.find((one) => one.id === body)?.seen?.filter((entry) => entry.character === character) ?? [];
  const print = (page: Page, body: string) => page.locator(`[data-print="${body}"]`);
  const lay = async (page: Page, body: string) => {
    await print(page, body)
      .getByRole("button", { name: `Lay the cap of ${body}` })
      .click();
    await print(page, body).getByRole("button", { name: "It lies, the cup is over it" }).click();
    await print(page, body)
      .getByText(/under its cup/)
      .waitFor();
  };

  it("three prints: laid, waited for, one read under warm light, one white on black, one that shows nothing", async () => {
    const { page, context } = await application.open();
    await page.clock.install({ time: new Date("2026-10-03T18:00:00+02:00") });
    // three bodies of the button-like kind; gills of the old one would do, but no print under a cup lets it through
    await newFind(application, page);
    await tell(page, "age", "young");
    await record(page, [...PALE_ON_GRASS, ...PALE_ON_GRASS_FURTHER]);
    await recordFootAndNose(page);
    for (const age of ["mature", "old"]) {
      await page.keyboard.press("b");
      await page.locator('[data-station="bodies"]').waitFor();
      await tell(page, "age", age);
      await tell(page, "keep", "false");
    }
    await page.getByRole("link", { name: "Tests" }).click();
    for (const body of ["A", "B", "C"]) await lay(page, body);
    await untilVerdict(page, "hold");
    await print(page, "A")
      .getByText(/Leave it lie\. First look today 22:00; as a rule tomorrow 06:00\./)
      .waitFor();

    // the hours go along as a calendar, read back by an independent parser
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: "Take the hours along as a calendar" }).click(),
    ]);
    const chunks: Buffer[] = [];
    for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
    const calendar = new ICAL.Component(ICAL.parse(Buffer.concat(chunks).toString("utf8")));
    expect(calendar.getAllSubcomponents("vevent")).to.have.length(3);

    await page.clock.fastForward(13 * 3_600_000);
    await print(page, "A").and(page.locator('[data-stage="due"]')).waitFor();
    await page
      .getByTestId("print-reminder")
      .getByText(/The print of A is due/)
      .waitFor();

    // C shows nothing: no result, never a pass
    await print(page, "C").getByRole("button", { name: "nothing shows" }).click();
    await print(page, "C")
      .getByText(/never a pass/)
      .waitFor();
    // A: chocolate on the white half
    await print(page, "A").getByRole("button", { name: "it lies thick" }).click();
    await print(page, "A").locator('[data-print-half="white"] [data-state="chocolate-brown"]').click();
    await untilVerdict(page, "hold");
    // B is read from a picture under warm light
    await print(page, "B").getByRole("button", { name: "it lies thick" }).click();
    await untilSaved(page);
    await page.getByRole("link", { name: "Colour", exact: true }).click();
    await page.getByRole("button", { name: /^Body B/ }).click();
    await page.getByLabel("Simulated picture").selectOption("chocolate-brown");
    const reading = page.getByTestId("reading");
    await reading
      .getByText(/chocolate brown/)
      .first()
      .waitFor();
    expect(await reading.getAttribute("data-refused")).to.equal(null);
    // a picture alone is no confirmation
    await reading.getByRole("button", { name: /Only from the picture/ }).click();
    await untilSaved(page);
    expect(looks(await recorded(page), "B", "spore-print")[0]).to.deep.include({ method: "picture" });
    await reading.getByRole("button", { name: /I see it so too/ }).click();
    await untilVerdict(page, "basket");
    await untilSaved(page);
    const basket = await recorded(page);
    expect(looks(basket, "B", "spore-print")[0]).to.deep.include({ method: "eye", states: ["chocolate-brown"] });
    expect(looks(basket, "C", "spore-print")).to.deep.equal([]);
    expect(basket.bodies[2]?.print?.result).to.equal("none");

    // the same print white on the black half turns the find
    await page.getByRole("link", { name: "Prints", exact: true }).click();
    await print(page, "A").locator('[data-print-half="white"] [data-state="chocolate-brown"]').click();
    await print(page, "A").locator('[data-print-half="black"] [data-state="white"]').click();
    await page
      .locator('[data-verdict="leave"], [data-verdict="hold"]')
      .and(page.locator('[data-state="fresh"]'))
      .first()
      .waitFor();
    await untilSaved(page);
    expect(looks(await recorded(page), "A", "spore-print")[0]).to.deep.equal({
      character: "spore-print",
      states: ["white"],
    });
    await context.close();
  });

  it("refuses a white print on the white half of a picture, and a file that is no picture", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("orange cluster")}/tests/colour`);
    const card = `<svg width="300" height="160"><rect width="150" height="160" fill="#191919"/><rect x="150" width="150" height="160" fill="#efefec"/><circle cx="225" cy="80" r="34" fill="#ecebe5"/></svg>`;
    await page.getByLabel("Picture to measure on").setInputFiles({
      name: "white.png",
      mimeType: "image/png",
      buffer: await sharp(Buffer.from(card)).png().toBuffer(),
    });
    // nothing is found by itself: the person marks black, white, deposit
    const picture = page.getByTestId("marked-picture");
    await picture.waitFor();
    const box = await picture.boundingBox();
    if (box === null) throw new Error("no picture");
    for (const [x, y] of [
      [0.1, 0.1],
      [0.92, 0.1],
      [0.75, 0.5],
    ] as const)
      await picture.click({ position: { x: box.width * x, y: box.height * y } });
    await page.locator('[data-testid="reading"][data-refused="white-on-white"]').waitFor();
    await page.getByText("Read the black half.").waitFor();
    await page.getByLabel("Picture to measure on").setInputFiles({
      name: "notes.png",
      mimeType: "image/png",
      buffer: Buffer.from("not a picture"),
    });
    await page.getByText("notes.png is no picture that can be read.").waitFor();
    await context.close();
  });

  it("the run of stain and nose ends at chrome, and says leave; the clock goes along", async () => {
    const { page, context } = await application.open(PHONE);
    await newFind(application, page);
    await tell(page, "age", "mature");
    await station(page, "Under");
    await choose(page, "underside", "gills");
    await page.goto(`${application.address}/finds/${findIdOf(page)}/tests/stain`);
    const step = (name: string) => page.locator(`[data-step="${name}"]`);
    await step("scratch-cap").locator('[data-state="none"]').first().click();
    await step("nick-foot").and(page.locator('[data-step-state="open"]')).waitFor();
    await step("nick-foot").getByRole("button", { name: "Start the clock" }).click();
    await step("nick-foot").getByRole("button", { name: "It turns now" }).click();
    await step("nick-foot")
      .getByRole("button", { name: /It turned after 0:0/ })
      .waitFor();
    await step("nick-foot").locator('[data-character="stain-base"] [data-state="chrome-yellow"]').click();
    await page
      .getByTestId("run-ended")
      .getByText(/Chrome yellow: leave it/)
      .waitFor();
    await step("nose").and(page.locator('[data-step-state="skipped"]')).waitFor();
    await untilVerdict(page, "leave");
    await untilSaved(page);
    expect(looks(await recorded(page), "A", "stain-base")[0]).to.deep.include({
      states: ["chrome-yellow"],
      speed: "at-once",
    });
    await context.close();
  });

  it("a stain in two pictures tells when it began, and is recorded as from pictures", async () => {
    const { page, context } = await application.open();
    await page.clock.install();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/tests/colour`);
    await page.getByRole("button", { name: "nicked foot turns" }).click();
    const series = page.getByTestId("stain-series");
    await series.getByRole("button", { name: "Start the clock" }).click();
    for (const [wait, colour] of [
      [2000, "#e9e2cc"],
      [34_000, "#e0bd22"],
    ] as const) {
      await page.clock.runFor(wait);
      const card = `<svg width="300" height="160"><rect width="150" height="160" fill="#191919"/><rect x="150" width="150" height="160" fill="#efefec"/><circle cx="225" cy="80" r="34" fill="${colour}"/></svg>`;
      await page.getByLabel("Picture to measure on").setInputFiles({
        name: "foot.png",
        mimeType: "image/png",
        buffer: await sharp(Buffer.from(card)).png().toBuffer(),
      });
      const picture = page.getByTestId("marked-picture");
      await picture.waitFor();
      await page.clock.runFor(1000);
      const box = await picture.boundingBox();
      if (box === null) throw new Error("no picture");
      for (const [mark, x, y] of [
        ["black", 0.1, 0.1],
        ["white", 0.92, 0.1],
        ["deposit", 0.75, 0.5],
      ] as const) {
        await page.getByRole("button", { name: mark, exact: true }).click();
        await picture.click({ position: { x: box.width * x, y: box.height * y } });
      }
      await series.getByRole("button", { name: /^Keep this picture/, disabled: false }).click();
    }
    await series.getByText(/It turned chrome yellow, first seen after \d\d s/).waitFor();
    await series.getByRole("button", { name: /Record it as read from pictures/ }).click();
    await untilSaved(page);
    expect(looks(await recorded(page), "A", "stain-base")[0]).to.deep.include({
      states: ["chrome-yellow"],
      method: "picture",
      speed: "within-a-minute",
    });
    await context.close();
  });

  it("measures a cap by a coin in the picture, with how far it may be wrong", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/tests/size`);
    await page.getByLabel("Size of the scale, cm").fill("2,5");
    await page.getByLabel("Picture to measure on").setInputFiles({
      name: "cap.png",
      mimeType: "image/png",
      buffer: await sharp({ create: { width: 600, height: 400, channels: 3, background: "#cfc8b2" } })
        .png()
        .toBuffer(),
    });
    const picture = page.getByTestId("marked-picture");
    await picture.waitFor();
    const box = await picture.boundingBox();
    if (box === null) throw new Error("no picture");
    for (const x of [0.1, 0.3, 0.1, 0.9]) await picture.click({ position: { x: box.width * x, y: box.height * 0.5 } });
    await page
      .getByTestId("length")
      .getByText(/10\.0 cm/)
      .waitFor();
    await page.getByRole("button", { name: "Record as cap across" }).click();
    await untilSaved(page);
    const [body] = (await recorded(page)).bodies;
    expect(body?.measures?.capCm).to.be.closeTo(10, 0.1);
    expect(body?.measuredBy).to.equal("picture");
    await context.close();
  });

  it("takes spores as they are pasted, tells them in the books' way, and names the line that is wrong", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("white ones in an arc")}/tests/spores`);
    const field = page.getByLabel("Lengths and widths of spores, µm");
    await field.fill("7.1 x 4.8\nlong x 5");
    await page
      .getByRole("alert")
      .getByText(/line 2/)
      .waitFor();
    await field.fill("length;width\n7,1;4,8\n7,9;5,2\n8,3;5,1");
    await page
      .getByTestId("spores")
      .getByText(/7\.2–8\.3/)
      .waitFor();
    await page.getByRole("button", { name: "Record the spores" }).click();
    await untilSaved(page);
    const find = await recorded(page);
    expect(find.bodies[0]?.measures?.sporeLengthUm).to.deep.equal([7.1, 7.9, 8.3]);
    await context.close();
  });

  it("says that for deadly company it is every one", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("pale one")}/tests/batch`);
    await page.getByLabel("Bodies in the troop").fill("20");
    await page.getByTestId("batch").getByText("19").first().waitFor();
    await page.getByText("20 (every one)").waitFor();
    await page.getByText("For deadly company it is every one.").waitFor();
    await page.getByLabel("Bodies in the troop").fill("many");
    await page
      .getByRole("alert")
      .getByText(/whole number/)
      .waitFor();
    await context.close();
  });

  it("lists every print under way, of whatever find", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/prints`);
    await page.getByRole("link", { name: "B of orange cluster on the dead willow" }).click();
    await page.locator('[data-test-view="prints"]').waitFor();
    await context.close();
  });
});
