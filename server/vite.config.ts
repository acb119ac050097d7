/** Builds the server: plain JavaScript that starts at once, in one process, without a reader of TypeScript. */
import { relative } from "node:path";
import { fileURLToPath } from "node:url";
import { defineConfig, type Plugin } from "vite";
import { packShelf } from "../core/knowledge/pack.ts";
import { readKnowledge } from "../shelf/index.ts";

const HERE = fileURLToPath(new URL(".", import.meta.url));
const OUT = fileURLToPath(new URL("dist/", import.meta.url));

/** Files that lie beside a source (sheets, demo, fonts) are looked for from where the source lies, and not from where it was built. */
function whereSourcesLie(): Plugin {
  return {
    name: "where sources lie",
    transform: (code, id) =>
      code.includes("import.meta.url") && !id.includes("node_modules")
        ? code.replaceAll(
            "import.meta.url",
            `new URL(${JSON.stringify(relative(OUT, id).replaceAll("\\", "/"))}, import.meta.url).href`,
          )
        : undefined,
  };
}

/** The sheets are read and checked here, and not again by every thread at every start. */
function checkedSheets(): Plugin {
  const shelf = "\0shelf";
  return {
    name: "checked sheets",
    enforce: "pre",
    resolveId: (id) => (id === "@jittery-cap/shelf" ? shelf : undefined),
    load: (id) =>
      id === shelf
        ? `import { unpackShelf } from "@jittery-cap/core";
           export const readKnowledge = () => unpackShelf(JSON.parse(${JSON.stringify(JSON.stringify(packShelf(readKnowledge())))}));`
        : undefined,
  };
}

export default defineConfig({
  root: HERE,
  plugins: [checkedSheets(), whereSourcesLie()],
  define: { BUILT: "true" },
  ssr: { target: "node", noExternal: [/^@jittery-cap\//] },
  build: {
    ssr: true,
    outDir: "dist",
    emptyOutDir: true,
    target: "node20",
    minify: false,
    rolldownOptions: {
      input: { main: `${HERE}main.ts`, "judge-task": `${HERE}judging/judge-task.ts` },
      output: { entryFileNames: "[name].js", chunkFileNames: "[name].js" },
    },
  },
});
