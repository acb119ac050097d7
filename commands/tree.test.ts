import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { expect } from "chai";

const files = execFileSync("git", ["ls-files", "--cached", "--others", "--exclude-standard"], {
  encoding: "utf8",
})
  .split("\n")
  .filter((name) => /\.tsx?$/.test(name));
const importsOf = (name: string) =>
  [...readFileSync(name, "utf8").matchAll(/from "([^"]+)"|import\("([^"]+)"\)/g)].map(
    (match) => match[1] ?? match[2] ?? "",
  );
const isTest = (name: string) => /\.test\.tsx?$|\/tests\//.test(name);

/** Who may not know whom: knowledge, then core, then server or web, never back. */
const FORBIDDEN: readonly [string, RegExp][] = [
  ["core/", /^node:|@jittery-cap\/|^react|^@mui|^express|^sequelize|\.\.\/\.\.\/(server|web|shelf)/],
  ["web/", /@jittery-cap\/(server|shelf)|\/server\/|^node:/],
  ["server/", /@jittery-cap\/web|\/web\/|^react/],
  ["shelf/", /@jittery-cap\/(server|web)/],
];

describe("the tree", () => {
  for (const [folder, forbidden] of FORBIDDEN)
    it(`keeps ${folder} from what it must not know`, () => {
      const offences = files
        .filter((name) => name.startsWith(folder) && !isTest(name) && name !== "web/vite.config.ts")
        .flatMap((name) =>
          importsOf(name)
            .filter((from) => forbidden.test(from))
            .map((from) => `${name} imports ${from}`),
        );
      expect(offences).to.deep.equal([]);
    });

  it("keeps clocks, chance and networks out of the core", () => {
    const offences = files
      .filter((name) => name.startsWith("core/") && !isTest(name))
      .filter((name) =>
        /Date\.now|new Date\(|Math\.random|\bfetch\(|\bdocument\.(querySelector|getElement|createElement|body|addEventListener|cookie)|window\./.test(
          readFileSync(name, "utf8"),
        ),
      );
    expect(offences).to.deep.equal([]);
  });

  it("never lets a screen or an answer say that something is safe or may be eaten", () => {
    const words = files
      .filter((name) => !isTest(name) && !name.startsWith("e2e/"))
      .map((name) => [name, readFileSync(name, "utf8")] as const);
    const said = words
      .filter(([, text]) =>
        /"[^"\n]*\b(is safe|safe to|may be eaten|you can eat|enjoy|congratulations)\b[^"\n]*"/i.test(text),
      )
      .map(([name]) => name);
    expect(said).to.deep.equal([]);
  });
});
