/** People at browsers: the first, one who was invited, and a device that changes hands. */
import { expect } from "chai";
import type { BrowserContext, Page } from "playwright-core";
import { type Application, choose, findIdOf, newFind, startApplication, station, untilSaved } from "./application.ts";

const WORDS = "nine quiet herons at dusk";

/** Joins by an invitation of the one who is signed in on a page. */
async function invite(keeper: Page, note: string): Promise<string> {
  await keeper.goto(new URL("/me", keeper.url()).href);
  await keeper.getByLabel("For whom the invitation is").fill(note);
  await keeper.getByRole("button", { name: "Make a link" }).click();
  const link = await keeper.locator('a[href*="/join/"]').getAttribute("href");
  return link ?? "";
}

async function joinAs(page: Page, link: string, name: string): Promise<void> {
  await page.goto(link);
  await page.getByLabel("What others call you").fill(name);
  await page.getByLabel("Sign-in name").fill(name.toLowerCase());
  await page.getByLabel("Password").fill(WORDS);
  await page.getByRole("button", { name: "Join" }).click();
  await page.waitForURL("**/finds");
}

async function signIn(page: Page, name: string, password = WORDS): Promise<void> {
  await page.getByLabel("Sign-in name").fill(name);
  await page.getByLabel("Password").fill(password);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
}

async function signOut(page: Page): Promise<void> {
  await page.goto(new URL("/me", page.url()).href);
  await page.getByRole("button", { name: "Sign out", exact: true }).click();
  await page.getByRole("heading", { name: "Who are you?" }).waitFor();
}

/** All that a browser keeps for the application, as text: what anybody who has the device could read. */
const everythingKept = (page: Page): Promise<string> =>
  page.evaluate(async () => {
    const kept: unknown[] = [Object.entries(localStorage), Object.entries(sessionStorage)];
    for (const { name = "" } of await indexedDB.databases()) {
      const database = await new Promise<IDBDatabase>((resolve, reject) => {
        const asked = indexedDB.open(name);
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(asked.error);
      });
      for (const store of database.objectStoreNames)
        kept.push(
          name,
          await new Promise((resolve) => {
            const asked = database.transaction(store).objectStore(store).getAll();
            asked.onsuccess = () => resolve(asked.result);
          }),
        );
      database.close();
    }
    for (const name of await caches.keys())
      for (const request of await (await caches.open(name)).keys()) kept.push(request.url);
    return JSON.stringify(kept, (_key, value: unknown) =>
      value instanceof ArrayBuffer || ArrayBuffer.isView(value)
        ? new TextDecoder("latin1").decode(value as ArrayBuffer)
        : value,
    );
  });

describe("people at browsers", () => {
  let application: Application;
  let keeper: Page;
  before(async () => {
    application = await startApplication();
    keeper = (await application.open()).page;
    await keeper.goto(`${application.address}/me`);
  });
  after(() => application.stop());

  it("shows nothing before somebody has said who they are, but help for somebody who is ill", async () => {
    const { page, context } = await application.open(undefined, "unknown");
    await page.goto(`${application.address}/finds`);
    await page.getByRole("heading", { name: "Who are you?" }).waitFor();
    expect(await page.getByRole("link", { name: "Kitchen" }).count()).to.equal(0);
    await signIn(page, "ilva", "not her words at all");
    await page.getByText("do not belong together").waitFor();
    await page.getByRole("link", { name: "Somebody is ill" }).click();
    await page.waitForURL("**/ill");
    await context.close();
  });

  it("an invited person joins, and neither sees what the other recorded", async () => {
    const link = await invite(keeper, "Tosk");
    const { page, context } = await application.open(undefined, "unknown");
    await joinAs(page, link, "Tosk");
    await newFind(application, page);
    await station(page, "Cap");
    await choose(page, "cap-colour", "white");
    await untilSaved(page);
    const id = findIdOf(page);
    await keeper.goto(`${application.address}/finds/${id}/record`);
    await keeper
      .getByText(/no such find|not here|There is no find/i)
      .first()
      .waitFor();
    await keeper.goto(`${application.address}/finds`);
    await keeper.getByRole("button", { name: "New find" }).waitFor();
    expect(await keeper.locator(`a[href*="${id}"]`).count()).to.equal(0);
    await context.close();
  });

  describe("a device that changes hands", () => {
    let context: BrowserContext;
    let page: Page;
    let id: string;
    const NOTE = "by the boathouse of the tern";
    before(async () => {
      ({ page, context } = await application.open(undefined, "offline"));
      await context.clearCookies();
      const link = await invite(keeper, "Wenna");
      await joinAs(page, link, "Wenna");
      await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    });
    after(() => context.close());

    it("leaves nothing readable when somebody signs out without a network, and loses nothing that waits", async () => {
      await newFind(application, page);
      await untilSaved(page);
      await context.setOffline(true);
      await page.getByLabel("Name of the find").fill(NOTE);
      await page.keyboard.press("Tab");
      await station(page, "Cap");
      await choose(page, "cap-colour", "white");
      id = findIdOf(page);
      await page
        .getByText(/on this device only/)
        .first()
        .waitFor();
      expect(await everythingKept(page)).to.include(NOTE);
      await page.goto(`${application.address}/me`);
      await page.getByRole("button", { name: "Sign out", exact: true }).click();
      await page.getByText("Nobody can sign in until it can").waitFor();
      const kept = await everythingKept(page);
      expect(kept).not.to.include(NOTE);
      expect(kept).not.to.include(id);
      expect(kept).not.to.include("Wenna");
    });

    it("is another person's then, who sees nothing of it", async () => {
      await context.setOffline(false);
      await page.goto(`${application.address}/finds`);
      await page.getByRole("heading", { name: "Who are you?" }).waitFor();
      await signIn(page, "tosk");
      await page.getByRole("button", { name: "New find" }).waitFor();
      expect(await page.locator(`a[href*="${id}"]`).count()).to.equal(0);
      await page.goto(`${application.address}/finds/${id}/record`);
      await page
        .getByText(/no such find|not here|There is no find/i)
        .first()
        .waitFor();
      await signOut(page);
    });

    it("says that something lies sealed as long as the server does not give the key, and calls nothing saved", async () => {
      await page.route("**/api/me/seal", (route) => route.abort());
      await signIn(page, "wenna");
      await page.getByTestId("sealed").waitFor();
      await page.goto(`${application.address}/finds/${id}/record`);
      await page.getByTestId("sealed").waitFor();
      await page.locator("[data-station]").first().waitFor();
      expect(await page.getByText(/^saved/).count()).to.equal(0);
      expect(await everythingKept(page)).not.to.include(NOTE);
      await page.unroute("**/api/me/seal");
    });

    it("opens what lay sealed when the key is there, and sends it", async () => {
      await page.goto(`${application.address}/finds/${id}/record`);
      await untilSaved(page);
      const { content } = (await (await page.request.get(`${application.address}/api/documents/${id}`)).json()) as {
        content: { label?: string; bodies: { seen?: { character: string }[] }[] };
      };
      expect(content.label).to.equal(NOTE);
      expect(content.bodies[0]?.seen?.map((look) => look.character)).to.deep.equal(["cap-colour"]);
    });

    it("signed out elsewhere it goes on recording, and says that it waits", async () => {
      await context.clearCookies();
      await page.goto(`${application.address}/finds/${id}/record`);
      await page.getByTestId("signed-out").waitFor();
      await station(page, "Under");
      await choose(page, "underside", "gills");
      await page.getByTestId("signed-out").getByRole("link", { name: "Sign in" }).click();
      await signIn(page, "wenna");
      await page.waitForURL("**/finds");
      await page.goto(`${application.address}/finds/${id}/record`);
      await untilSaved(page);
      expect(await page.getByTestId("signed-out").count()).to.equal(0);
    });
  });

  it("a passkey is made and opens; taken back it opens nothing", async () => {
    const link = await invite(keeper, "Perrin");
    const { page, context } = await application.open(undefined, "unknown");
    // passkeys belong to names, and this machine has one
    const here = application.address.replace("127.0.0.1", "localhost");
    const authenticator = await context.newCDPSession(page);
    await authenticator.send("WebAuthn.enable");
    await authenticator.send("WebAuthn.addVirtualAuthenticator", {
      options: {
        protocol: "ctap2",
        transport: "internal",
        hasResidentKey: true,
        hasUserVerification: true,
        isUserVerified: true,
        automaticPresenceSimulation: true,
      },
    });
    await joinAs(page, link.replace("127.0.0.1", "localhost"), "Perrin");
    await page.goto(`${here}/me`);
    await page.getByLabel("Name of the new passkey").fill("a telephone");
    await page.getByRole("button", { name: "Make a passkey" }).click();
    await page.getByText("a telephone").waitFor();
    await signOut(page);
    await page.getByRole("button", { name: "With a passkey" }).click();
    await page.getByRole("button", { name: "New find" }).waitFor();
    await page.goto(`${here}/me`);
    await page.getByRole("button", { name: "Take back the passkey a telephone" }).click();
    await page.getByText("a telephone").waitFor({ state: "detached" });
    await signOut(page);
    await page.getByRole("button", { name: "With a passkey" }).click();
    await page.getByText("opens nothing here").waitFor();
    await context.close();
  });
});
