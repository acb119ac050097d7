/** Builds the web application; the knowledge sheets are read at build time and shipped as one module. */
import { fileURLToPath } from "node:url";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";
import { readRawSheets } from "../shelf/index.ts";

const SHEETS = "virtual:sheets";

/** Gives the application the raw sheets, so that it can judge without a network. */
function sheets(): Plugin {
  return {
    name: "sheets",
    resolveId: (id) => (id === SHEETS ? `\0${SHEETS}` : undefined),
    load: (id) => (id === `\0${SHEETS}` ? `export const sheets = ${JSON.stringify(readRawSheets())};` : undefined),
  };
}

export default defineConfig({
  root: fileURLToPath(new URL(".", import.meta.url)),
  plugins: [react(), sheets()],
  worker: { format: "es", plugins: () => [sheets()] },
  build: { outDir: "dist", emptyOutDir: true, target: "es2022", chunkSizeWarningLimit: 900 },
  server: { proxy: { "/api": "http://127.0.0.1:8460" } },
});
