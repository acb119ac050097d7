import { expect } from "chai";
import { type Application, startApplication } from "./application.ts";
import { tileArchive } from "./tile-archive.ts";
import { until } from "./told.ts";

describe("the season", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("seasons");
  });
  after(() => application.stop());

  it("leads from any number to its finds, by keyboard, and tells the hills as a table", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/season/pictures`);
    const hill = page.locator('[data-hill="boletus-edulis"]');
    await hill.waitFor();
    const number = hill.getByRole("link").first();
    const count = Number(await number.textContent());
    await number.focus();
    await page.keyboard.press("Enter");
    await page.getByTestId("these-finds").waitFor();
    expect(await page.getByTestId("these-finds").locator("li").count()).to.equal(count);
    await page.goBack();
    await page.getByRole("button", { name: "As a table" }).click();
    await page.getByTestId("weeks-table").getByRole("rowheader", { name: "penny bun" }).waitFor();
    await context.close();
  });

  it("shows its outings as lines, in a calendar, on a map and as a table, each with the same finds", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/season/log`);
    await page.locator("[data-outing]").first().waitFor();
    await page.getByRole("button", { name: "Calendar" }).click();
    await page.getByRole("region", { name: "September" }).getByRole("link").first().waitFor();
    await page.getByRole("button", { name: "Map" }).click();
    await page.getByTestId("on-the-map").waitFor();
    const finds = /(\d+) finds/.exec((await page.getByTestId("on-the-map").textContent()) ?? "")?.[1];
    await page.getByRole("button", { name: "Table" }).click();
    const cells = page.locator(".figures tbody tr td:nth-child(4)");
    await cells.first().waitFor();
    const sum = (await cells.allTextContents()).reduce((all, one) => all + Number(one), 0);
    expect(String(sum)).to.equal(finds);
    await context.close();
  });

  it("draws a base map of the person's own, keeps it over a reload, and asks no other server for anything", async () => {
    const { page, context } = await application.open();
    const strangers: string[] = [];
    page.on("request", (request) => {
      if (!request.url().startsWith(application.address) && !/^(blob|data):/.test(request.url()))
        strangers.push(request.url());
    });
    await page.goto(`${application.address}/season/log/map`);
    const own = page.getByLabel("A base map of your own");
    await own.setInputFiles({
      name: "no.pmtiles",
      mimeType: "application/octet-stream",
      buffer: Buffer.from("no archive"),
    });
    await page
      .getByRole("alert")
      .getByText(/is no tile archive/)
      .waitFor();
    await own.setInputFiles({ name: "lake.pmtiles", mimeType: "application/octet-stream", buffer: tileArchive() });
    await page.getByText("Base map: lake.pmtiles").waitFor();
    /** How blue the first tile is in its middle; the lake of the archive covers it whole. */
    const blue = async () => {
      await page.locator(".map canvas.leaflet-tile-loaded, .map canvas.leaflet-tile").first().waitFor();
      return until(async () => {
        const [red = 0, , third = 0, alpha = 0] = await page.evaluate(() => {
          const tile = [...document.querySelectorAll<HTMLCanvasElement>(".map canvas.leaflet-tile")][0];
          const data = tile?.getContext("2d")?.getImageData(tile.width / 2, tile.height / 2, 1, 1).data;
          return [...(data ?? [])];
        });
        return alpha === 255 && red < 210 && third > 190 ? true : undefined;
      });
    };
    await blue();
    await page.reload();
    await page.getByText("Base map: lake.pmtiles").waitFor();
    await blue();
    await page.getByRole("button", { name: "Without it" }).click();
    await page.locator(".map canvas.leaflet-tile").first().waitFor({ state: "detached" });
    expect(strangers).to.deep.equal([]);
    await context.close();
  });

  it("keeps a place's finds when it is put away, and refuses a file that is no places", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/season/places`);
    await page.locator('[data-place="Fell spruces"]').getByRole("link").click();
    await page.getByRole("button", { name: "Put Fell spruces away" }).click();
    await page.getByText(/they stay, with their positions/).waitFor();
    await page.getByRole("button", { name: "Put it away" }).click();
    await page.getByText(/it was put away/).waitFor();
    await page.goto(`${application.address}/season/log/table`);
    await page.getByText("a place that is put away").first().waitFor();
    await page.goto(`${application.address}/season/places`);
    await page
      .getByLabel("Places of a file")
      .setInputFiles({ name: "x.geojson", mimeType: "application/geo+json", buffer: Buffer.from("[]") });
    await page.getByText(/^Nothing was taken in/).waitFor();
    await context.close();
  });
});
