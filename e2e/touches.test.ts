/** Six finds recorded by thumb, as a forager would: how many touches it takes until the answer has nothing more to ask. */
import { expect } from "chai";
import type { Page } from "playwright-core";
import { type Application, newFind, PHONE, startApplication } from "./application.ts";
import { placeOf, settled } from "./on-the-phone.ts";

/** What is seen of one body; what is not told here cannot be told. Common practice, no source. */
type Truth = Readonly<Record<string, string>>;

interface Scripted {
  readonly name: string;
  readonly most: number;
  readonly bodies: readonly Truth[];
}

const EVERYWHERE: Truth = {
  lifted: "whole",
  keep: "true",
  growth: "scattered",
  "cap-shape": "convex",
  "cap-margin": "plain",
  "gill-spacing": "close",
  "veil-on-cap": "none",
  frostLastNight: "false",
};
const FINDS: readonly Scripted[] = [
  {
    name: "a white ringed one on grass, two bodies",
    most: 55,
    bodies: [
      {
        ...EVERYWHERE,
        age: "young",
        habitat: "grassland",
        substrate: "soil",
        host: "none-near",
        underside: "gills",
        ring: "cogwheel",
        "gill-colour": "pink",
        "gill-attachment": "free",
        base: "plain",
        "stain-base": "none",
        "stain-rub": "faint-yellow",
        smell: "aniseed",
        "cap-colour": "white",
        "spore-print": "chocolate-brown",
      },
      {
        ...EVERYWHERE,
        age: "mature",
        underside: "gills",
        ring: "cogwheel",
        "gill-colour": "chocolate-brown",
        "gill-attachment": "free",
        base: "plain",
        "stain-base": "none",
        "stain-rub": "faint-yellow",
        smell: "aniseed",
        "cap-colour": "white",
        "spore-print": "chocolate-brown",
      },
    ],
  },
  {
    name: "a winter cluster on a stump",
    most: 25,
    bodies: [
      {
        ...EVERYWHERE,
        age: "mature",
        growth: "dense-cluster",
        substrate: "stump",
        host: "willow",
        habitat: "woodland-edge",
        underside: "gills",
        ring: "none",
        "gill-colour": "cream",
        "gill-attachment": "adnexed",
        "stem-surface": "velvety-darkening",
        "cap-surface": "slimy",
        "cap-colour": "orange",
        "spore-print": "white",
        base: "fused",
        smell: "mushroomy",
      },
    ],
  },
  {
    name: "a bolete with a net",
    most: 25,
    bodies: [
      {
        ...EVERYWHERE,
        age: "mature",
        habitat: "conifer-woodland",
        substrate: "soil",
        host: "spruce",
        underside: "pores",
        ring: "none",
        "pore-colour": "yellow",
        "stem-surface": "net",
        "stem-marking-colour": "white",
        "stem-colour": "cream",
        "cap-shape": "convex",
        "cap-colour": "brown",
        "cap-surface": "smooth",
        "stain-cut": "none",
        "stain-pores": "none",
        "flesh-colour": "white",
        smell: "mushroomy",
        base: "bulb",
      },
    ],
  },
  {
    name: "a milkcap under pine",
    most: 25,
    bodies: [
      {
        ...EVERYWHERE,
        age: "mature",
        habitat: "conifer-woodland",
        substrate: "soil",
        host: "pine",
        underside: "gills",
        ring: "none",
        "gill-colour": "orange",
        "gill-attachment": "decurrent",
        latex: "orange",
        "cap-colour": "orange",
        "cap-surface": "smooth",
        "cap-zones": "distinct",
        "stem-texture": "chalk-brittle",
        "stem-surface": "smooth",
        smell: "mushroomy",
        base: "plain",
      },
    ],
  },
  {
    name: "a chanterelle in leaf litter",
    most: 25,
    bodies: [
      {
        ...EVERYWHERE,
        age: "mature",
        habitat: "mixed-woodland",
        substrate: "soil",
        host: "beech",
        underside: "ridges",
        "underside-colour": "yellow",
        ring: "none",
        "gill-fold": "stays-put",
        "gill-colour": "yellow",
        "gill-spacing": "distant",
        "gill-attachment": "decurrent",
        "cap-shape": "funnel",
        "cap-colour": "yellow",
        "cap-surface": "smooth",
        "flesh-colour": "white",
        "stem-inside": "solid",
        smell: "fruity-apricot",
        "spore-print": "cream",
        base: "tapered",
      },
    ],
  },
  {
    name: "a bracket for infusion",
    most: 25,
    bodies: [
      {
        ...EVERYWHERE,
        age: "mature",
        growth: "overlapping-shelves",
        habitat: "mixed-woodland",
        substrate: "fallen-wood",
        host: "birch",
        underside: "pores",
        "pore-colour": "white",
        "cap-shape": "shelf",
        "cap-colour": "brown",
        "cap-surface": "velvety",
        "cap-zones": "distinct",
        "cap-edge-band": "pale",
        "flesh-colour": "white",
        bend: "flexible",
        base: "side-attached",
        ring: "none",
        smell: "mushroomy",
      },
    ],
  },
];

/** Answers a question once. @returns how many touches it took */
async function answer(page: Page, item: string, isSeen: boolean, truth: Truth): Promise<number> {
  if (item === "measures") {
    const field = page.getByLabel("cap across, cm").or(page.locator('[data-told="measures"] input').first()).first();
    await field.tap();
    await field.fill("9");
    await field.press("Enter");
    return 2;
  }
  const block = page.locator(isSeen ? `[data-character="${item}"]` : `[data-told="${item}"]`);
  const told = truth[item];
  if (told !== undefined) await block.locator(`[data-state="${told}"]`).tap();
  else await block.getByRole("button", { name: "cannot tell" }).tap();
  return 1;
}

/** A further body is like the first, but older, where nothing else is told of it. */
const truthOf = ([first = {}, ...others]: readonly Truth[], body: string): Truth =>
  body === "A" ? first : { ...first, age: "old", ...others["BCD".indexOf(body)] };

/** Records a find by following what the phone asks. @returns the touches, the verdict, and what was asked in its order */
async function follow(page: Page, { bodies, most }: Scripted) {
  const asked: string[] = [];
  const done = new Set<string>();
  let touches = 1;
  let at = await settled(page);
  while (touches < most + 15) {
    const place = placeOf(at);
    if (at.item !== undefined && !done.has(place)) {
      done.add(place);
      asked.push(place);
      touches += await answer(page, at.item, at.isSeen, truthOf(bodies, at.body));
    } else if (at.next !== undefined) {
      // what stays on the screen is answered: the note leads on
      if (asked.at(-1)?.startsWith("note") === true && asked.at(-2)?.startsWith("note") === true) break;
      asked.push(`note(${at.next} ${at.body} ${at.item})`);
      touches += 1;
      await page.getByTestId("next-test").tap();
    } else break;
    at = await settled(page, placeOf(at));
  }
  return { touches, verdict: at.verdict, asked };
}

describe("touches", () => {
  let application: Application;
  before(async () => {
    application = await startApplication("no");
  });
  after(() => application.stop());

  for (const scripted of FINDS)
    it(`${scripted.name}: under ${scripted.most} until nothing more is asked`, async () => {
      const { page, context } = await application.open(PHONE);
      await newFind(application, page);
      const { touches, verdict, asked } = await follow(page, scripted);
      const said = await page.locator(".standing-said").textContent();
      process.stdout.write(`      ${touches} touches, ${verdict}: ${asked.join(", ")}; ${said}\n`);
      expect(touches).to.be.below(scripted.most);
      // nobody told where in the world it stood, so at most it is held
      expect(verdict).to.be.oneOf(["hold", "basket"]);
      await context.close();
    });
});
