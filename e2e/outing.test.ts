import { expect } from "chai";
import type { BrowserContext, Page } from "playwright-core";
import { startWeatherStation } from "../stand-ins/weather-station.ts";
import { type Application, PHONE, startApplication } from "./application.ts";
import { documents, until } from "./told.ts";

const PASTURE = { latitude: 61.88697, longitude: 19.60763 };
const NORTH_SIDE = { latitude: 61.9256, longitude: 19.5714 };

/** Walks somewhere: the receiver says so, and the track has it. */
async function walkTo(page: Page, context: BrowserContext, at: typeof PASTURE): Promise<void> {
  const before = await trackLength(page);
  await context.setGeolocation({ ...at, accuracy: 6 });
  await until(async () => ((await trackLength(page)) > before ? true : undefined));
}

/** How many points this device has of its tracks. */
const trackLength = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const open = indexedDB.open("jittery-cap");
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const asked = open.result.transaction("track").objectStore("track").count();
          asked.onsuccess = () => {
            resolve(asked.result);
            open.result.close();
          };
        };
      }),
  );

describe("an outing on a phone", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("seasons");
  });
  after(() => application.stop());

  it("goes offline from the first touch to the last ending, with an empty place, a track and two finds", async () => {
    const { page, context } = await application.open(PHONE, "offline");
    await context.grantPermissions(["geolocation"]);
    await context.setGeolocation({ ...PASTURE, accuracy: 6 });
    await page.goto(`${application.address}/outing/now`);
    await page.getByRole("button", { name: /^Begin an outing/ }).waitFor();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    // every part of the application is on the device, and so are the places
    await page.goto(`${application.address}/season/places`);
    await page.locator('[data-place="Quarrel Pasture, upper gate"]').waitFor();
    await page.waitForTimeout(1500);
    await context.setOffline(true);
    await page.goto(`${application.address}/outing/now`);
    const begun = Date.now();
    await page.getByLabel("Name").fill("Runa");
    await page.getByRole("button", { name: "Is new to it" }).click();
    await page.getByRole("button", { name: /^Begin an outing/ }).click();
    const found = page.getByRole("button", { name: /^Found one here/ });
    await found.waitFor();
    await until(async () => ((await trackLength(page)) > 0 ? true : undefined));
    // the empty place
    await page.getByRole("button", { name: "Nothing here" }).click();
    await page.getByText(/That counts as much as a basket/).waitFor();
    await page.getByRole("heading", { name: "Quarrel Pasture, upper gate" }).waitFor();
    // a reload in between loses neither the track nor the outing
    const before = await trackLength(page);
    await page.reload();
    await found.waitFor();
    expect(await trackLength(page)).to.be.at.least(before);
    await walkTo(page, context, NORTH_SIDE);
    await found.click();
    await page.getByText(/^Kept/).waitFor();
    await page.getByRole("heading", { name: "Ammerbog, north side" }).waitFor();
    await page.getByRole("button", { name: "Runa, new" }).click();
    await found.click();
    await page.getByRole("link", { name: /^2 finds, 3 open/ }).waitFor();
    await page.getByRole("link", { name: /^2 finds/ }).click();
    await page.getByText("3 things are open").waitFor();
    const seen = page.locator('[data-open="only-the-new"]');
    await seen.getByLabel("Who looked").fill("Ilva");
    await seen.getByRole("button", { name: "Looked" }).click();
    await page.getByText("2 things are open").waitFor();
    await page.getByLabel(/^Minutes searched at Quarrel/).fill("25");
    await page.getByLabel(/^Minutes searched at Quarrel/).press("Enter");
    await page.getByRole("button", { name: "trowel", exact: true }).click();
    await page.getByRole("button", { name: "End the outing" }).click();
    // both get an ending by the device's own judge
    for (let left = 2; left > 0; left -= 1) {
      await page.locator('[data-open="no-ending"] a').first().click();
      await page.locator('[data-verdict][data-state="fresh"]').first().waitFor();
      await page
        .getByLabel(/^How .* ends|^Ending of/)
        .first()
        .selectOption("looked-at-only");
      await page.getByRole("button", { name: /^Decide/ }).click();
      await page
        .getByText(/looked at only/i)
        .first()
        .waitFor();
      await page.goto(`${application.address}/season/log`);
      await page.locator("[data-outing] .outing-day").first().click();
      await page.getByText(left === 2 ? "One thing is open" : "Nothing is open").waitFor();
    }
    await context.setOffline(false);
    const kept = await until(async () => {
      const rows = await documents(page, application);
      const outing = rows.find(
        ({ kind, content }) => kind === "outing" && JSON.stringify(content.companions).includes("Runa"),
      );
      return outing?.content.endedAt === undefined ? undefined : { outing, rows };
    });
    const { searches, nothing, foundBy, missed } = kept.outing.content as unknown as {
      searches: { place?: string; minutes?: number; to?: string }[];
      nothing: { position?: { lat: number } }[];
      foundBy: { name: string; seenBy?: string }[];
      missed: string[];
    };
    expect(searches).to.have.length(2);
    expect(searches[0]).to.include({ place: "0193a010-0000-7000-8000-000000000005", minutes: 25 });
    expect(searches.every(({ to }) => to !== undefined)).to.equal(true);
    expect(nothing[0]?.position?.lat).to.be.closeTo(PASTURE.latitude, 1e-5);
    expect(foundBy[0]).to.include({ name: "Runa", seenBy: "Ilva" });
    expect(missed).to.deep.equal(["trowel"]);
    // the track stays on the device: nothing of it has been sent
    expect(kept.rows.some(({ kind }) => kind === "track")).to.equal(false);
    const finds = await until(async () => {
      const own = (await documents(page, application)).filter(
        ({ kind, content }) => kind === "find" && Date.parse(String(content.foundAt)) >= begun,
      );
      return own.length === 2 ? own : undefined;
    });
    for (const { content } of finds)
      expect(content.place).to.include({ name: "Ammerbog, north side", lat: NORTH_SIDE.latitude });
    // the weather of that day came by itself once there was a network
    await until(async () =>
      (await documents(page, application)).some(({ id, content }) => id === kept.outing.id && content.sky !== undefined)
        ? true
        : undefined,
    );
    await context.close();
  });

  it("of two devices is one: what each of them told of it is there", async () => {
    const [one, other] = [await application.open(PHONE), await application.open(PHONE)];
    for (const { context } of [one, other]) await context.grantPermissions([]);
    await one.page.goto(`${application.address}/outing/now`);
    await one.page.getByRole("button", { name: "not kept" }).click();
    await one.page.getByRole("button", { name: /^Begin an outing/ }).click();
    await one.page.getByRole("button", { name: "Nothing here" }).waitFor();
    await other.page.goto(`${application.address}/outing/now`);
    await other.page.getByRole("button", { name: "Nothing here" }).waitFor();
    await Promise.all([one, other].map(({ context }) => context.setOffline(true)));
    for (const { page } of [one, other, one]) {
      await page.getByRole("button", { name: "Nothing here" }).click();
      await page.getByText(/^Nothing here: /).waitFor();
    }
    await Promise.all([one, other].map(({ context }) => context.setOffline(false)));
    await until(async () => {
      const outing = (await documents(one.page, application)).find(
        ({ kind, content }) => kind === "outing" && content.endedAt === undefined,
      );
      return (outing?.content.nothing as unknown as unknown[] | undefined)?.length === 3 ? true : undefined;
    }, 60_000);
    await Promise.all([one, other].map(({ context }) => context.close()));
  });
});

describe("the plan of a day", () => {
  it("changes with the weather, shows the visits behind a number, and keeps what is packed", async () => {
    const station = await startWeatherStation();
    const at = station.address();
    const address = `http://127.0.0.1:${typeof at === "object" && at !== null ? at.port : 0}`;
    const application = await startApplication("seasons", undefined, address);
    const { page, context } = await application.open();
    try {
      const numbers = async () => {
        await page.goto(`${application.address}/outing/plan`);
        await page.locator("[data-foretold]").first().waitFor();
        return page
          .locator("[data-foretold]")
          .evaluateAll((all) =>
            Object.fromEntries(
              all.map((one) => [
                `${one.closest("[data-stop]")?.getAttribute("data-stop")} ${one.getAttribute("data-foretold")}`,
                Number(one.getAttribute("data-mean")),
              ]),
            ),
          );
      };
      await fetch(`${address}/mood?is=dry`, { method: "PUT" });
      const dry = await numbers();
      await fetch(`${address}/mood?is=wet`, { method: "PUT" });
      await page.evaluate(
        () =>
          new Promise<void>((resolve) => {
            const open = indexedDB.open("jittery-cap");
            open.onsuccess = () => {
              const change = open.result.transaction("marks", "readwrite");
              change.objectStore("marks").delete("sky");
              change.oncomplete = () => {
                open.result.close();
                resolve();
              };
            };
          }),
      );
      const wet = await numbers();
      // other days are like a wet one than like a dry one: other numbers, and another round
      expect(Object.keys(dry)).not.to.deep.equal([]);
      expect(wet).not.to.deep.equal(dry);
      // the plan is for the day on which this runs, as the station's weather is: in some weeks all rests on the months alone
      const ofVisits = page.locator("[data-foretold]").filter({ hasText: /from \d+ visits?/ });
      const visits = page.getByTestId("rests-on").first();
      if ((await ofVisits.count()) === 0) {
        await page.locator("[data-foretold]").first().click();
        await page.getByText("It rests on the sheet's months alone").first().waitFor();
      } else {
        await ofVisits.first().click();
        await visits.getByRole("columnheader", { name: "alike" }).waitFor();
        await visits.getByRole("link").first().click();
        await page.getByText("Where was searched").waitFor();
        await page.goBack();
      }
      const trowel = page.locator('[data-carry="trowel"]');
      await trowel.click();
      await page.reload();
      await page.locator('[data-carry="trowel"][aria-pressed="true"]').waitFor();
      // what else stands there is told before one goes
      await page.locator("[data-there]").first().waitFor();
      // a station that is silent is no reason to foretell anything else: the old telling is shown as old
      await new Promise((resolve) => station.close(resolve));
    } finally {
      await context.close();
      await application.stop();
      station.close();
    }
  });
});
