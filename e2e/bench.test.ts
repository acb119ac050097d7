import { expect } from "chai";
import type { Page } from "playwright-core";
import sharp from "sharp";
import {
  type Application,
  choose,
  DESK,
  findIdOf,
  mistakesTo,
  newFind,
  PHONE,
  startApplication,
  station,
  storedFind,
  tell,
  untilSaved,
  untilVerdict,
} from "./application.ts";
import { idOf } from "./every-view.ts";
import { documents } from "./told.ts";

interface Recorded {
  readonly place?: { readonly lat?: number; readonly accuracyM?: number };
  readonly weather?: Record<string, unknown>;
  readonly observers?: readonly { readonly id: string }[];
  readonly bodies: readonly {
    readonly id: string;
    readonly age?: string;
    readonly seen?: readonly {
      readonly character: string;
      readonly states?: string[];
      readonly by?: string;
      readonly sure?: boolean;
    }[];
  }[];
}

const recorded = async (application: Application, page: Page): Promise<Recorded> =>
  (await storedFind(application, page)) as unknown as Recorded;

const looks = (find: Recorded, body: string, character: string) =>
  find.bodies.find((one) => one.id === body)?.seen?.filter((entry) => entry.character === character) ?? [];

describe("the bench", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("yes");
  });
  after(() => application.stop());

  it("takes a complete record of three bodies in under ninety key presses", async () => {
    const { page, context } = await application.open();
    await newFind(application, page);
    let presses = 0;
    const press = async (...keys: string[]) => {
      for (const key of keys) {
        presses += 1;
        await page.keyboard.press(key);
      }
    };
    const at = (name: string) => page.locator(`[data-station="${name}"]`).waitFor();
    const on = (character: string) =>
      page.locator(`[data-character="${character}"] h2`).locator("xpath=ancestor::section").waitFor();
    // A: age, firm; then the ground: soil, trooping, grassland
    await press("4", "ArrowRight", "ArrowRight", "1", "ArrowRight", "1", ",");
    await at("ground");
    await press("1", "ArrowRight", "3", "ArrowRight", "5", ".", ".");
    await at("cap");
    await on("cap-colour");
    await press("1", "ArrowRight", "5", ".");
    await at("under");
    await press("1", "ArrowRight", "Shift+Digit5", "ArrowRight", "1", ".");
    await at("stem");
    await press("3", "ArrowRight", "1", "ArrowRight", "1", ".");
    await at("foot");
    await press("2", "ArrowRight", "1", "ArrowRight", "o", ".");
    await at("cut");
    await press("o", "ArrowRight", "1", ".");
    await at("nose");
    await press("1", ".");
    await at("print");
    await press("ArrowRight", "9");
    // two more like it, each with its own quick look in four touches
    for (const body of ["B", "C"]) {
      await press("l");
      await page.locator('[data-station="bodies"]').getByText(`Body ${body}`).waitFor();
      await press("s", "s", "s", "s");
      await page.getByText(`${body === "B" ? 2 : 3} of ${body === "B" ? 2 : 3} bodies with a quick look`).waitFor();
    }
    await untilSaved(page);
    const find = await recorded(application, page);
    expect(find.bodies.map((body) => [body.id, body.age])).to.deep.equal([
      ["A", "mature"],
      ["B", "mature"],
      ["C", "mature"],
    ]);
    expect(find.bodies[0]?.seen).to.have.length.greaterThan(10);
    for (const body of ["B", "C"])
      for (const character of ["underside", "ring", "base", "stain-base"]) {
        expect(looks(find, body, character), `${body} ${character}`).to.have.length(1);
        expect(looks(find, body, character)[0]?.sure, `${body} ${character}`).to.equal(undefined);
      }
    process.stdout.write(`      ${presses} key presses for three bodies\n`);
    expect(presses).to.be.lessThan(90);
    await context.close();
  });

  it("opens, records and answers with the server gone, from the home screen on; nothing is lost or doubled", async () => {
    const { page, context } = await application.open(PHONE, "offline");
    await newFind(application, page);
    await untilSaved(page);
    await page.evaluate("navigator.serviceWorker.ready.then(() => true)");
    await tell(page, "age", "young");
    await untilSaved(page);
    await context.setOffline(true);
    // the application itself is opened anew without a network
    await page.reload();
    await page.locator('[data-verdict="hold"][data-state="fresh"]').waitFor();
    await station(page, "Print");
    await choose(page, "spore-print", "green");
    await untilVerdict(page, "leave");
    await page.getByText("1 change on this device only").waitFor();
    await tell(page, "printPaper", "foil");
    await page.getByText("2 changes on this device only").waitFor();
    await page.goto(`${application.address}/finds`);
    await page.getByText(/2 changes on this device only/).waitFor();
    await page.goBack();
    await page.getByText("2 changes on this device only").waitFor();
    await context.setOffline(false);
    await untilSaved(page);
    const find = await recorded(application, page);
    expect(looks(find, "A", "spore-print")).to.deep.equal([{ character: "spore-print", states: ["green"] }]);
    const { touches } = (await (
      await page.request.get(`${application.address}/api/documents/${findIdOf(page)}/touches`)
    ).json()) as { touches: unknown[] };
    expect(touches).to.have.length(3);
    await context.close();
  });

  it("can be installed: the manifest names it, and its pictures are there", async () => {
    const { page, context } = await application.open(DESK, "offline");
    await page.goto(application.address);
    const address = new URL(
      (await page.locator('link[rel="manifest"]').getAttribute("href")) ?? "",
      application.address,
    );
    const manifest = (await (await page.request.get(address.href)).json()) as {
      name: string;
      display: string;
      start_url: string;
      icons: { src: string; sizes: string }[];
    };
    expect(manifest).to.include({ name: "Jittery Cap", display: "standalone" });
    // addresses of a manifest are told from where it lies itself (W3C Web Application Manifest)
    expect(new URL(manifest.start_url, address).pathname).to.equal("/finds");
    for (const icon of manifest.icons) {
      const picture = await sharp(await (await page.request.get(new URL(icon.src, address).href)).body()).metadata();
      expect(`${picture.width}x${picture.height}`).to.equal(icon.sizes);
    }
    await context.close();
  });

  it("shows a conflict side by side, and puts both together without permitting more than either", async () => {
    const one = await application.open(DESK, "offline");
    const two = await application.open(DESK, "offline");
    await newFind(application, one.page);
    await tell(one.page, "age", "mature");
    await station(one.page, "Stem");
    await choose(one.page, "ring", "skirt");
    await untilSaved(one.page);
    await two.page.goto(one.page.url());
    await two.page.locator('[data-character="ring"]').waitFor();
    await one.context.setOffline(true);
    await choose(two.page, "ring", "none");
    await untilSaved(two.page);
    // both have looked at the ring again; the place of it meets nothing, and goes along with what does
    await choose(one.page, "ring", "double");
    await choose(one.page, "ring-place", "high");
    await one.context.setOffline(false);
    await one.page.getByRole("button", { name: "Look at both" }).click();
    const table = one.page.getByTestId("conflict");
    await table.getByText("body A, ring", { exact: true }).waitFor();
    expect(await table.textContent()).to.match(/body A, ring[a-z ]*none/);
    await one.page.getByRole("button", { name: /^Put both together/ }).click();
    await one.page.getByRole("dialog").waitFor({ state: "detached" });
    await untilSaved(one.page);
    const find = await recorded(application, one.page);
    const [ring] = looks(find, "A", "ring");
    expect(ring?.states).to.have.members(["skirt", "double", "none"]);
    expect(ring?.sure).to.equal(false);
    expect(looks(find, "A", "ring-place")[0]?.sure).to.equal(false);
    await one.context.close();
    await two.context.close();
  });

  it("undoes over a reload, and tells the history of a find in words", async () => {
    const { page, context } = await application.open();
    await newFind(application, page);
    await tell(page, "age", "old");
    await station(page, "Foot");
    await choose(page, "base", "sac");
    await untilSaved(page);
    await page.reload();
    const sac = page.locator('[data-character="base"] [data-state="sac"][aria-pressed="true"]');
    await sac.waitFor();
    await page.keyboard.press("z");
    await sac.waitFor({ state: "detached" });
    await untilSaved(page);
    await page.getByRole("link", { name: "History" }).click();
    const lines = page.getByRole("list", { name: "Changes, latest first" });
    await lines.getByText("undone: A: shape of the foot: taken back").waitFor();
    await lines.getByText("A: age: old").waitFor();
    expect(await lines.getByRole("listitem").count()).to.equal(3);
    await context.close();
  });

  it("asks the weather station and takes a position from the simulated walk, which can be left out again", async () => {
    const { page, context } = await application.open();
    await newFind(application, page);
    await station(page, "Ground");
    await page.getByRole("button", { name: "Ask the weather station" }).click();
    await page.getByText(/Written in from Lake station \(simulated\)/).waitFor();
    await page.getByRole("button", { name: "A simulated walk" }).click();
    await page
      .getByTestId("place")
      .getByText(/within \d+ m/)
      .waitFor();
    await untilSaved(page);
    const with_ = await recorded(application, page);
    expect(with_.weather).to.have.all.keys("frostLastNight", "drySpellDays", "rain24hMm", "airTempC");
    expect(with_.place?.accuracyM).to.be.within(5, 14);
    await page.getByRole("button", { name: "Leave it out" }).click();
    await untilSaved(page);
    expect((await recorded(application, page)).place).to.equal(undefined);
    await context.close();
  });

  it("takes the device's own position where it is allowed to", async () => {
    const { page, context } = await application.open();
    await context.grantPermissions(["geolocation"], { origin: application.address });
    await context.setGeolocation({ latitude: 61.5, longitude: 24.25, accuracy: 12 });
    await newFind(application, page);
    await station(page, "Ground");
    await page.getByRole("button", { name: "Where I stand" }).click();
    await page.getByTestId("place").getByText("61.5000, 24.2500 · within 12 m").waitFor();
    await context.close();
  });

  it("several people look at one body, and where they differ it is unsure", async () => {
    const { page, context } = await application.open();
    await newFind(application, page);
    await tell(page, "age", "mature");
    await station(page, "Under");
    await choose(page, "gill-colour", "chocolate-brown");
    await untilVerdict(page, "hold");
    const before = await mistakesTo(page, "amanita-virosa");
    expect(before).to.equal(1);
    await station(page, "Bodies");
    await page.getByLabel("Name of one more observer").fill("Ilva");
    await page.keyboard.press("Enter");
    await page.getByRole("button", { name: "Ilva", pressed: true }).waitFor();
    await station(page, "Under");
    await choose(page, "gill-colour", "white");
    await page.getByText("They differ: it counts as unsure.").waitFor();
    await page.locator('[data-danger="amanita-virosa"][data-mistakes="0"]').first().waitFor();
    await untilSaved(page);
    expect(looks(await recorded(application, page), "A", "gill-colour")).to.deep.equal([
      { character: "gill-colour", states: ["chocolate-brown"] },
      { by: "ilva", character: "gill-colour", states: ["white"] },
    ]);
    await context.close();
  });

  it("asks whether there are two kinds, and gives the second a find of its own", async () => {
    const { page, context } = await application.open();
    await newFind(application, page);
    await tell(page, "age", "mature");
    await station(page, "Under");
    await choose(page, "gill-colour", "pink");
    await page.keyboard.press("b");
    await page.locator('[data-station="bodies"]').getByText("Body B").waitFor();
    await tell(page, "age", "mature");
    await station(page, "Under");
    await choose(page, "gill-colour", "white");
    await station(page, "Bodies");
    await page.getByTestId("two-kinds").getByText("gill colour: A pink, B white").waitFor();
    await page.getByRole("button", { name: "Give A a find of its own" }).click();
    await page.getByRole("link", { name: "Open it" }).waitFor();
    await untilSaved(page);
    expect((await recorded(application, page)).bodies.map((body) => body.id)).to.deep.equal(["B"]);
    await page.getByRole("link", { name: "Open it" }).click();
    await page.locator('[data-state="fresh"]').first().waitFor();
    await untilSaved(page);
    const apart = await recorded(application, page);
    expect(apart.bodies.map((body) => body.id)).to.deep.equal(["A"]);
    expect(looks(apart, "A", "gill-colour")[0]?.states).to.deep.equal(["pink"]);
    await context.close();
  });

  it("asks only what tells one dangerous twin from what this seems to be", async () => {
    const { page, context } = await application.open();
    await page.goto(`${application.address}/finds/${idOf("orange cluster")}/record/stem`);
    await untilVerdict(page, "hold");
    await page.getByRole("button", { name: "Check against funeral bell" }).click();
    await page
      .getByTestId("against")
      .getByText(/Only what tells the funeral bell from the velvet shank/)
      .waitFor();
    expect(await page.locator('[data-character="ring"]').count()).to.equal(1);
    expect(await page.locator('[data-character="ring-place"]').count()).to.equal(0);
    await page.getByRole("button", { name: "Ask everything" }).click();
    await page.getByTestId("against").waitFor({ state: "detached" });
    await context.close();
  });

  it("keeps pictures with a find, also those taken without a network, and says that they confirm nothing", async () => {
    const { page, context } = await application.open(DESK, "offline");
    await newFind(application, page);
    await untilSaved(page);
    await station(page, "Foot");
    const file = await sharp({ create: { width: 800, height: 600, channels: 3, background: "#a06030" } })
      .jpeg()
      .toBuffer();
    const take = async (name: string) =>
      page.getByLabel("Picture", { exact: true }).setInputFiles({ name, mimeType: "image/jpeg", buffer: file });
    await page.getByText(/A picture confirms nothing/).waitFor();
    await take("one.jpg");
    await page.getByTestId("pictures").getByText("kept").waitFor();
    await context.setOffline(true);
    await take("two.jpg");
    await page.getByTestId("pictures").getByText("here only").waitFor();
    await context.setOffline(false);
    await untilSaved(page);
    const list = async () =>
      (await documents(page, application)).filter(
        (one) => one.kind === "picture" && !one.archived && one.content.about === findIdOf(page),
      );
    expect(await list()).to.have.length(2);
    expect((await list())[0]?.content).to.include({ part: "foot", body: "A" });
    await page.reload();
    await page.getByAltText("Picture: foot of A").first().waitFor();
    await page.getByRole("button", { name: "Put away the picture of the foot of A" }).first().click();
    await page.getByRole("button", { name: "Bring it back" }).waitFor();
    await untilSaved(page);
    await page.waitForFunction(() => document.querySelectorAll("[data-picture]").length === 1);
    for (let tries = 0; tries < 100 && (await list()).length > 1; tries++) await page.waitForTimeout(100);
    expect(await list()).to.have.length(1);
    await context.close();
  });
});
