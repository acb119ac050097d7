import { expect } from "chai";
import { type Application, PHONE, startApplication } from "./application.ts";
import { tileArchive } from "./tile-archive.ts";
import { until } from "./told.ts";

/** How many finds the device holds, asked of its memory itself. */
const FINDS_KEPT = `(async () => {
  const names = (await indexedDB.databases()).map(({ name }) => name).filter((name) => name.startsWith("jittery-cap"));
  let finds = 0;
  for (const name of names) {
    const database = await new Promise((resolve) => {
      const asked = indexedDB.open(name);
      asked.onsuccess = () => resolve(asked.result);
    });
    if (database.objectStoreNames.contains("documents")) {
      const rows = await new Promise((resolve) => {
        const asked = database.transaction("documents").objectStore("documents").getAll();
        asked.onsuccess = () => resolve(asked.result);
      });
      finds += rows.filter(({ kind, archived }) => kind === "find" && archived === 0).length;
    }
    database.close();
  }
  return finds;
})()`;

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
    // all of them are here before they are counted
    await page.getByText("Still fetching").waitFor({ state: "detached" });
    const earlier = page.getByRole("button", { name: /earlier ones$/ });
    while ((await earlier.count()) > 0) await earlier.click();
    const inLines = await page.locator('[data-outing] a[href*="/finds/"]').count();
    await page.getByRole("button", { name: "Calendar" }).click();
    await page.getByRole("region", { name: "September" }).getByRole("link").first().waitFor();
    await page.getByRole("button", { name: "Map" }).click();
    await page.getByTestId("on-the-map").waitFor();
    const onMap = /(\d+) finds, \d+ times nothing; (\d+) without a position/.exec(
      (await page.getByTestId("on-the-map").textContent()) ?? "",
    );
    const kept = await page.evaluate<number>(FINDS_KEPT);
    expect(Number(onMap?.[1]) + Number(onMap?.[2])).to.equal(kept);
    await page.getByRole("button", { name: "Table" }).click();
    const cells = page.locator(".figures tbody tr td:nth-child(4)");
    await cells.first().waitFor();
    const sum = (await cells.allTextContents()).reduce((all, one) => all + Number(one), 0);
    expect(sum).to.equal(inLines);
    // those of no outing have been written down at home
    expect(sum).to.be.within(Number(onMap?.[1]), kept);
    await context.close();
  });

  it("opens its calendar on a phone where today is, and not ten months above it", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/season/log/calendar`);
    const month = new Intl.DateTimeFormat("en-GB", { month: "long", timeZone: "Europe/Berlin" }).format(new Date());
    const days = page.getByRole("region", { name: month }).getByRole("listitem");
    await days.first().waitFor();
    const isShown = await days.last().evaluate((day) => {
      const { left, top, bottom } = day.getBoundingClientRect();
      return document.elementFromPoint(left + 2, (top + bottom) / 2)?.closest("li") === day;
    });
    expect(isShown).to.equal(true);
    await context.close();
  });

  it("draws every find of the log that stands still, also after lines went by too quickly to be seen", async () => {
    const { page, context } = await application.open(PHONE);
    await page.goto(`${application.address}/finds`);
    await page.locator(".log-line").nth(5).waitFor();
    const undrawn = await page.evaluate(`(async () => {
      const list = document.querySelector(".log-scroll");
      let undrawn = 0;
      for (let screen = 0; screen < 24; screen++) {
        list.scrollTop += list.clientHeight * 0.8;
        await new Promise(requestAnimationFrame);
        undrawn += [...document.querySelectorAll(".log-line")].filter((line) => line.querySelector("svg") === null).length;
      }
      return undrawn;
    })()`);
    expect(undrawn, "lines that went by without their picture").to.be.greaterThan(0);
    const lines = page.locator(".log-line");
    await until(async () => {
      const [shown, drawn] = [await lines.count(), await lines.locator("svg").count()];
      return (shown > 5 && drawn === shown) || undefined;
    });
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
