/** Builds the server: plain JavaScript that starts at once, in one process, without a reader of TypeScript. */
import { relative } from "node:path";
import { fileURLToPath } from "node:url";
import { defineConfig, type Plugin } from "vite";

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

export default defineConfig({
  root: HERE,
  plugins: [whereSourcesLie()],
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
