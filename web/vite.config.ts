/** Builds the web application; the knowledge sheets are read at build time and shipped as one module. */
import { fileURLToPath } from "node:url";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";
import { VitePWA } from "vite-plugin-pwa";
import type { Knowledge } from "../core/knowledge/knowledge.ts";
import { packShelf } from "../core/knowledge/pack.ts";
import { readKnowledge } from "../shelf/index.ts";

const SHEETS = "virtual:sheets";

/** Gives the application the sheets, checked here, so that it can judge without a network. */
function sheets(): Plugin {
  return {
    name: "sheets",
    resolveId: (id) => (id === SHEETS ? `\0${SHEETS}` : undefined),
    load: (id) =>
      id === `\0${SHEETS}`
        ? `export const shelf = JSON.parse(${JSON.stringify(JSON.stringify(packShelf(travelling())))});`
        : undefined,
  };
}

/** The shelf as it goes to a phone: what excuses a sheet before the lint is for whoever writes it. The edition is the whole one's. */
function travelling(): Knowledge {
  const { edition, ...shelf } = readKnowledge();
  return { ...shelf, edition, sheets: shelf.sheets.map((sheet) => ({ ...sheet, exceptions: [] })) };
}

/** Everything that is needed to record and to answer is kept on the device; pictures seen once stay readable there. */
const offline = VitePWA({
  registerType: "prompt",
  injectRegister: false,
  includeAssets: ["mark.svg"],
  manifest: {
    name: "Jittery Cap",
    short_name: "Jittery Cap",
    description: "How many separate mistakes away is each dangerous lookalike?",
    start_url: "./finds",
    display: "standalone",
    background_color: "#171c16",
    theme_color: "#171c16",
    shortcuts: [{ name: "Somebody is ill", short_name: "Ill?", url: "./ill" }],
    icons: [
      { src: "icon-192.png", sizes: "192x192", type: "image/png" },
      { src: "icon-512.png", sizes: "512x512", type: "image/png" },
      { src: "icon-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
    ],
  },
  workbox: {
    // the first visit is kept at once: nobody reloads a page in a wood to make it work there
    clientsClaim: true,
    globPatterns: ["**/*.{js,css,html,svg,png,woff2,webmanifest,geojson}"],
    maximumFileSizeToCacheInBytes: 4_000_000,
    navigateFallback: "index.html",
    // an answer of the server is never kept: an old one must not pass for a new one
    navigateFallbackDenylist: [/\/api\//],
    runtimeCaching: [
      {
        urlPattern: /\/api\/pictures\/[^/]+$/,
        method: "GET",
        handler: "CacheFirst",
        options: { cacheName: "pictures", expiration: { maxEntries: 200 }, cacheableResponse: { statuses: [200] } },
      },
    ],
  },
});

/**
 * What the page itself loads lies in few files, ours apart from the packages, which a new version leaves as they are: it is
 * read together, and many small files cost more to fetch and compress worse. None of the packages knows of a later line, so
 * that every file finds what it needs already run.
 */
const inFewFiles = {
  groups: (
    [
      ["react", /\/node_modules\/(react|react-dom|react-router|scheduler)\//],
      ["store", /\/node_modules\/(dexie|zod)\//],
      ["kit", /\/node_modules\//],
      // what it begins with stays by itself: nothing waits for it
      ["first", /(?<!\/web\/main)\.tsx?$/],
    ] as const
  ).map(([name, test]) => ({
    name,
    test,
    tags: ["$initial" as const],
    includeDependenciesRecursively: false,
  })),
};

/** What the page itself loads: it is there before anything is fetched later, and need not be named with it. */
const withThePage = new Set<string>();

function thePage(): Plugin {
  return {
    name: "what the page itself loads",
    generateBundle: {
      order: "pre",
      handler(_options, bundle) {
        const follow = (file: string) => {
          const chunk = bundle[file];
          if (chunk?.type !== "chunk" || withThePage.has(file)) return;
          withThePage.add(file);
          chunk.imports.forEach(follow);
        };
        for (const [file, one] of Object.entries(bundle)) if (one.type === "chunk" && one.isEntry) follow(file);
      },
    },
  };
}

export default defineConfig({
  // where it will lie is known when it is served: what belongs together finds each other from where it is
  base: "./",
  root: fileURLToPath(new URL(".", import.meta.url)),
  plugins: [react(), sheets(), thePage(), offline],
  worker: { format: "es", plugins: () => [sheets()] },
  build: {
    outDir: "dist",
    emptyOutDir: true,
    manifest: true,
    target: "es2022",
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: inFewFiles } },
    modulePreload: {
      // whoever knows no preloading fetches when it is asked
      polyfill: false,
      resolveDependencies: (_file, files, { hostType }) =>
        hostType === "js" ? files.filter((file) => !withThePage.has(file)) : files,
    },
  },
  server: { proxy: { "/api": "http://127.0.0.1:8460" } },
});
