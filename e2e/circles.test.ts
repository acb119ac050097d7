/** A circle at its browsers: three on one find, a queue of finds that wait for eyes, a learner, and one who is taken out. */
import { expect } from "chai";
import type { BrowserContext, Page } from "playwright-core";
import sharp from "sharp";
import { INVENTED } from "../demo/invented-people.ts";
import { cookieOfInvented } from "../server/tests/sign-in.ts";
import { type Application, choose, findIdOf, newFind, startApplication, station, untilSaved } from "./application.ts";

const [ILVA, TOSK, WENNA] = INVENTED;

describe("a circle at its browsers", () => {
  let application: Application;
  const contexts: BrowserContext[] = [];
  const at = (path: string) => `${application.address}${path}`;
  const as = async (person: string): Promise<Page> => {
    const { page, context } = await application.open(undefined, "unknown");
    contexts.push(context);
    await context.addCookies([{ ...(await cookieOfInvented(application.address, person)), url: application.address }]);
    await page.goto(at("/circles"));
    await page.getByRole("heading", { name: "Circles" }).waitFor();
    return page;
  };
  let ilva: Page;
  let tosk: Page;
  let wenna: Page;
  let circle: string;
  let find: string;

  /** Ilva's link for one person, who joins by it. */
  const join = async (page: Page, role: string) => {
    await ilva.goto(circle);
    await ilva.getByRole("button", { name: role, exact: true }).click();
    await ilva.getByRole("button", { name: "Make a link" }).click();
    const link = (await ilva.locator('a[href*="/circles/join/"]').getAttribute("href")) ?? "";
    await page.goto(link);
    await page.getByRole("button", { name: "Join" }).click();
    await page.waitForURL(/circles\/[0-9a-f-]{36}$/);
  };

  before(async () => {
    application = await startApplication("yes");
    [ilva, tosk, wenna] = [await as(ILVA.id), await as(TOSK.id), await as(WENNA.id)];
    await ilva.getByLabel("Name of the circle").fill("Ondal circle");
    await ilva.getByRole("button", { name: "Begin it" }).click();
    await ilva.getByRole("link", { name: /Ondal circle/ }).click();
    await ilva.getByRole("heading", { name: "Ondal circle" }).waitFor();
    circle = ilva.url();
    await join(tosk, "one who knows");
    await join(wenna, "learner");
  });
  after(() => application.stop());

  it("three people record on one find, live: each sees what the others saw, under their names", async () => {
    await newFind(application, ilva);
    find = findIdOf(ilva);
    await untilSaved(ilva);
    await ilva.goto(at(`/finds/${find}/decide`));
    const share = ilva.getByTestId("share");
    await share.getByRole("button", { name: "Share it", exact: true }).click();
    await share.getByRole("button", { name: "others add looks: no" }).click();
    await share.getByRole("button", { name: "others add looks: yes" }).waitFor();
    for (const page of [tosk, wenna]) {
      await page.goto(at("/circles"));
      await page.getByRole("link", { name: /A find of Ilva/ }).click();
      await page.getByTestId("shared-note").waitFor();
    }
    await ilva.goto(at(`/finds/${find}/record/cap`));
    await choose(ilva, "cap-colour", "white");
    for (const [page, state] of [
      [tosk, "cream"],
      [wenna, "white"],
    ] as const) {
      await station(page, "Cap");
      await choose(page, "cap-colour", state);
      await untilSaved(page);
    }
    // a picture of the finder's is seen by the others, who take none and put none away
    await station(ilva, "Cap");
    const picture = await sharp({ create: { width: 40, height: 40, channels: 3, background: "#caa" } })
      .jpeg()
      .toBuffer();
    await ilva
      .getByLabel("Picture", { exact: true })
      .setInputFiles({ name: "cap.jpg", mimeType: "image/jpeg", buffer: picture });
    await untilSaved(ilva);
    await tosk.getByRole("img", { name: "Picture: top of A" }).waitFor();
    expect(await tosk.getByRole("button", { name: "Take a picture" }).count()).to.equal(0);
    expect(await tosk.getByRole("button", { name: /put away the picture/ }).count()).to.equal(0);
    // nobody opens anything anew: what the others saw comes by itself
    await ilva.getByText(`${TOSK.name}`).first().waitFor();
    const { content } = (await (await ilva.request.get(at(`/api/documents/${find}`))).json()) as {
      content: { bodies: { seen: { by?: string; states: string[] }[] }[] };
    };
    expect(content.bodies[0]?.seen.map(({ by, states }) => [by, states[0]])).to.have.deep.members([
      [undefined, "white"],
      [TOSK.id, "cream"],
      [WENNA.id, "white"],
    ]);
    await ilva.goto(at(`/finds/${find}/history`));
    await ilva.getByText(`${WENNA.name} ·`).first().waitFor();
  });

  it("what is the finder's to say is refused to the others in words, and stands in none of their lists", async () => {
    expect(await tosk.getByRole("link", { name: "Decide" }).count()).to.equal(0);
    await tosk.getByLabel("Name of the find").fill("mine now");
    await tosk.keyboard.press("Tab");
    await tosk.getByText(`This is ${ILVA.name}'s find`).first().waitFor();
    await tosk.goto(at("/finds"));
    await tosk.getByRole("button", { name: "New find" }).waitFor();
    expect(await tosk.locator(`a[href*="${find}"]`).count()).to.equal(0);
  });

  it("a learner's find waits for one who knows, who answers from the queue without an answer in view", async () => {
    await newFind(application, wenna);
    await station(wenna, "Cap");
    await choose(wenna, "cap-colour", "brown");
    await untilSaved(wenna);
    const hers = findIdOf(wenna);
    await wenna.goto(at(`/finds/${hers}/decide`));
    await wenna.getByTestId("learner").waitFor();
    await wenna.getByLabel("What you want to know from Ondal circle").fill("is it one of the boletes?");
    await wenna.getByRole("button", { name: "Ask them to look" }).click();
    await wenna.getByText("Asked. They see").waitFor();
    await tosk.goto(at("/circles"));
    await tosk.getByText("One find waits for your eyes.").waitFor();
    await tosk.getByRole("button", { name: "I look at it" }).click();
    await tosk.getByRole("link", { name: "Say what you see" }).click();
    await tosk.getByRole("heading", { name: "What do you see?" }).waitFor();
    expect(await tosk.locator("[data-verdict]").count()).to.equal(0);
    await choose(tosk, "cap-colour", "brown");
    await tosk.getByRole("button", { name: "I had it in my hand" }).click();
    await tosk.getByRole("button", { name: /^Send what I saw/ }).click();
    await tosk.getByText("Sent. Thank you").waitFor();
    await wenna.getByText(`In hand: ${TOSK.name}`).waitFor();
    await tosk.goto(at("/circles"));
    await tosk.getByText("Nobody waits for your eyes.").waitFor();
  });

  it("somebody who is taken out sees nothing of it from that moment, on their own device either", async () => {
    await wenna.goto(at(`/finds/${find}/record`));
    await wenna.getByTestId("shared-note").waitFor();
    await ilva.goto(circle);
    await ilva.getByRole("button", { name: `Take ${WENNA.name} out` }).click();
    await wenna.goto(at("/circles"));
    await wenna.getByText("Nothing just now.").waitFor();
    await wenna.goto(at(`/finds/${find}/record`));
    await wenna.getByText("There is no such find here").waitFor();
  });
});
