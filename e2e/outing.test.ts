import { expect } from "chai";
import exifr from "exifr";
import type { BrowserContext, Page } from "playwright-core";
import { uuidv7 } from "uuidv7";
import { startWeatherStation } from "../stand-ins/weather-station.ts";
import { type Application, PHONE, startApplication } from "./application.ts";
import { tileArchive } from "./tile-archive.ts";

const PASTURE = { latitude: 61.88697, longitude: 19.60763 };
const NORTH_SIDE = { latitude: 61.9256, longitude: 19.5714 };

interface Row {
  readonly id: string;
  readonly kind: string;
  readonly content: Record<string, unknown> & { readonly [key: string]: never };
}

async function documents(page: Page, application: Application): Promise<readonly Row[]> {
  const rows: Row[] = [];
  for (let after = 0, more = true; more; ) {
    const reply = await page.request.get(`${application.address}/api/documents?after=${after}&limit=500`);
    const body = (await reply.json()) as { documents: Row[]; next: number; more: boolean };
    rows.push(...body.documents);
    [after, more] = [body.next, body.more];
  }
  return rows;
}

async function until<One>(ask: () => Promise<One | undefined>, ms = 20_000): Promise<One> {
  const end = Date.now() + ms;
  for (;;) {
    const told = await ask();
    if (told !== undefined) return told;
    if (Date.now() > end) throw new Error("it did not come about");
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

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
      // a Tuesday in autumn, between the two seasons' best weeks
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
      await page.locator("[data-foretold]").first().click();
      const visits = page.getByTestId("rests-on").first();
      await visits.getByRole("columnheader", { name: "alike" }).waitFor();
      await visits.getByRole("link").first().click();
      await page.getByText("Where was searched").waitFor();
      await page.goBack();
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

describe("a place that is shared rounded", () => {
  it("leaks no digit of where it is in any route, export, picture or packet, and is gone when it is taken back", async () => {
    const application = await startApplication();
    const { page, context } = await application.open();
    try {
      const [lat, lon] = [61.912347, 19.583911];
      const place = uuidv7();
      const write = async (kind: string, id: string, create: unknown) => {
        const reply = await page.request.post(`${application.address}/api/documents/${id}`, {
          data: { kind, known: 0, create },
        });
        expect(reply.ok(), await reply.text()).to.equal(true);
      };
      await write("place", place, {
        name: "the hollow beech",
        position: { lat, lon },
        elevationM: 173,
        owner: "Aino Wexel",
        note: "left of the third stile",
        habitat: ["broadleaf-woodland"],
        host: ["beech"],
        share: "none",
        patches: [{ id: uuidv7(), name: "under the roots", form: "spot", position: { lat, lon }, met: [], weeded: [] }],
      });
      const find = uuidv7();
      await write("find", find, {
        format: "jittery-cap/find",
        version: 1,
        id: find,
        label: "horns in the hollow",
        foundAt: "2026-09-14T10:20:00+02:00",
        place: { lat, lon, accuracyM: 5, elevationM: 173, region: "europe", name: "the hollow beech" },
        bodies: [{ id: "A", age: "mature", seen: [{ character: "underside", states: ["smooth"] }] }],
      });
      await page.goto(`${application.address}/season/places/${place}`);
      await page.getByText("Others see no position at all.").waitFor();
      await page.getByRole("button", { name: "rounded to 1 km" }).click();
      await page.getByText(/^Others see 61\./).waitFor();
      await page.getByLabel("What others call it").fill("a beech wood");
      await page.getByRole("button", { name: "Make a link" }).click();
      const link = page.getByTestId("place-link").getByRole("link");
      const href = await link.getAttribute("href");
      const token = href?.split("/").at(-1) ?? "";
      const secrets = [/61\.9123/, /19\.5839/, /hollow/, /Aino/, /stile/, /roots/, /\b173\b/];
      const shown: string[] = [];
      const asked = async (path: string) => {
        const reply = await page.request.get(`${application.address}${path}`);
        const body = await reply.body();
        shown.push(`${path} ${JSON.stringify(reply.headers())} ${body.toString("latin1")}`);
        return reply;
      };
      expect((await asked(`/api/place-links/${token}`)).status()).to.equal(200);
      await asked(`/api/places/${place}/links/../../place-links/${token}`);
      // a picture of what was found there, by a camera that knew where it was
      const picture = uuidv7();
      const { default: sharp } = await import("sharp");
      const taken = await sharp({ create: { width: 64, height: 64, channels: 3, background: "#7a5" } })
        .withExif({
          IFD3: {
            GPSLatitudeRef: "N",
            GPSLatitude: "61/1 54/1 4444/100",
            GPSLongitudeRef: "E",
            GPSLongitude: "19/1 35/1 208/100",
          },
        })
        .jpeg()
        .toBuffer();
      expect((await exifr.gps(taken))?.latitude).to.be.closeTo(lat, 0.001);
      const put = await page.request.put(
        `${application.address}/api/pictures/${picture}?about=${find}&part=top&takenAt=2026-09-14T10:21:00%2B02:00`,
        { data: taken, headers: { "content-type": "image/jpeg" } },
      );
      expect(put.ok(), await put.text()).to.equal(true);
      // a packet of what was found there, its paper and its pictures
      const packet = (await (
        await page.request.post(`${application.address}/api/finds/${find}/packets`, { data: { id: uuidv7() } })
      ).json()) as { token: string };
      await asked(`/api/packets/${packet.token}`);
      const { PDFParse } = await import("pdf-parse");
      const paper = await asked(`/api/packets/${packet.token}/paper.pdf`);
      shown.push((await new PDFParse({ data: new Uint8Array(await paper.body()) }).getText()).text);
      const sent = await asked(`/api/packets/${packet.token}/pictures/${picture}`);
      expect(sent.status()).to.equal(200);
      expect(await exifr.gps(await sent.body()).catch(() => undefined)).to.equal(undefined);
      // what the stranger's page shows
      const guest = await application.open();
      const replies: string[] = [];
      guest.page.on("response", (reply) => {
        if (reply.url().includes("/api/")) replies.push(reply.url());
      });
      await guest.page.goto(`${application.address}/place/${token}`);
      await guest.page.getByRole("heading", { name: "a beech wood" }).waitFor();
      await guest.page.getByText(/give or take 7\d\d m/).waitFor();
      shown.push((await guest.page.content()) ?? "");
      expect(
        replies.every((url) => url.includes("/api/place-links/")),
        replies.join(),
      ).to.equal(true);
      for (const secret of secrets)
        for (const text of shown) expect(text.slice(0, 20_000), String(secret)).not.to.match(secret);
      // rounded more, it is so at once for whoever has the link already
      await page.getByRole("button", { name: "nothing", exact: true }).click();
      await until(async () =>
        (await (await page.request.get(`${application.address}/api/place-links/${token}`)).text()).includes("accuracyM")
          ? undefined
          : true,
      );
      await page.getByRole("button", { name: "Take it back" }).click();
      await until(async () =>
        (await page.request.get(`${application.address}/api/place-links/${token}`)).status() === 404 ? true : undefined,
      );
      await guest.page.reload();
      await guest.page.getByText("There is no such place").waitFor();
      await guest.context.close();
    } finally {
      await context.close();
      await application.stop();
    }
  });
});

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
