import { expect } from "chai";
import exifr from "exifr";
import { uuidv7 } from "uuidv7";
import { startApplication } from "./application.ts";
import { until } from "./told.ts";

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
