import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { fileURLToPath } from "node:url";
import react from "@vitejs/plugin-react";
import { build, defineConfig, type Plugin, type Rolldown } from "vite";
import { constants } from "node:zlib";
import { compression, defineAlgorithm } from "vite-plugin-compression2";
import { VitePWA } from "vite-plugin-pwa";
import { letters } from "./letters.ts";

const api = `http://127.0.0.1:${process.env.PORT ?? "4100"}`;

/** Files that the crew member's own page may need, known once the build has its chunks; the worker keeps these and nothing else. */
const forThePhone = new Set<string>();
/** Words of another language, and what turns a page round: kept by the phones that ask for them. */
const isOfOneLanguage = ({ moduleIds }: Rolldown.OutputChunk) =>
  moduleIds.some((id) => /\/core\/src\/language\/(?!en\/)[a-z]{2}\/|\/base\/(RightToLeft|ArabicFace)\.tsx$/.test(id));
const phoneFiles: Plugin = {
  name: "phone-files",
  generateBundle(_, bundle) {
    const chunks = Object.values(bundle).filter((each): each is Rolldown.OutputChunk => each.type === "chunk");
    const take = (name: string) => {
      const chunk = bundle[name];
      if (forThePhone.has(name) || chunk?.type !== "chunk" || isOfOneLanguage(chunk)) return;
      forThePhone.add(name);
      for (const imported of chunk.imports) take(imported);
      // A page of the phone may load more later; the entry loads every page there is.
      if (!chunk.isEntry) for (const imported of chunk.dynamicImports) take(imported);
    };
    for (const { fileName, isEntry, moduleIds } of chunks)
      if (isEntry || moduleIds.some((id) => /\/src\/member\/.*Page\.tsx$|\/src\/member\/Phone/.test(id))) take(fileName);
  },
};

/** What the phone's worker does with messages and with what waits to be sent: one file, which the worker made below takes in by name. */
const phoneWorker: Plugin = {
  name: "phone-worker",
  async generateBundle() {
    const built = await build({
      configFile: false,
      logLevel: "warn",
      define: { "process.env.NODE_ENV": '"production"' },
      build: {
        write: false,
        lib: { entry: path.join(import.meta.dirname, "src/member/phone-worker.ts"), formats: ["iife"], name: "phoneWorker" },
      },
    });
    const [{ output }] = built as [Rolldown.RolldownOutput];
    this.emitFile({ type: "asset", fileName: "phone-worker.js", source: output[0].code });
  },
};

/** The stills that were drawn beforehand (core/draw-stills.ts), in a folder named after what is in them: kept by browsers for ever. */
const drawnStills = (): Plugin => {
  const from = path.join(import.meta.dirname, "../core/.stills");
  let files: { name: string; source: Buffer }[] = [];
  let folder: string;
  return {
    name: "drawn-stills",
    apply: "build",
    config() {
      files = readdirSync(from)
        .filter((name) => name.endsWith(".svg"))
        .map((name) => ({ name, source: readFileSync(path.join(from, name)) }));
      const hash = createHash("sha256");
      for (const { name, source } of files) hash.update(name).update(source);
      folder = `assets/stills-${hash.digest("hex").slice(0, 8)}`;
      return { define: { STILLS_FOLDER: JSON.stringify(`/${folder}`) } };
    },
    generateBundle() {
      for (const { name, source } of files) this.emitFile({ type: "asset", fileName: `${folder}/${name}`, source });
    },
  };
};

const QUICKLY = [
  defineAlgorithm("gzip", { level: 1 }),
  defineAlgorithm("brotliCompress", { params: { [constants.BROTLI_PARAM_QUALITY]: 2 } }),
];

export default defineConfig({
  root: path.dirname(fileURLToPath(import.meta.url)),
  plugins: [
    react(),
    phoneFiles,
    phoneWorker,
    drawnStills(),
    letters,
    // The crew member's own page works without a connection. Only that page asks for the worker (member/keep-page.ts).
    VitePWA({
      injectRegister: null,
      // One that is new waits until it is taken (member/new-version.ts).
      registerType: "prompt",
      scope: "/me",
      manifest: {
        name: "Kind Grip – my day",
        short_name: "My day",
        start_url: "/me",
        scope: "/me",
        display: "standalone",
        background_color: "#F6F2E9",
        theme_color: "#17594F",
        icons: [
          { src: "/mark.svg", sizes: "any", type: "image/svg+xml" },
          { src: "/icon-192.png", sizes: "192x192", type: "image/png" },
          { src: "/icon-512.png", sizes: "512x512", type: "image/png" },
          { src: "/icon-maskable-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
        ],
      },
      workbox: {
        globPatterns: ["**/*.{html,js,css,woff2,svg}"],
        globIgnores: ["assets/stills-*/**"],
        // Of the code only what the phone's pages load, and the worker that draws its figures.
        manifestTransforms: [
          (entries) => ({
            manifest: entries.filter(({ url }) =>
              url.endsWith(".js") ? forThePhone.has(url) || /figure\.worker/.test(url) : !/noto-sans-arabic/.test(url),
            ),
          }),
        ],
        runtimeCaching: [
          {
            urlPattern: ({ sameOrigin, url }) => sameOrigin && url.pathname.startsWith("/assets/stills-"),
            handler: "CacheFirst",
            options: { cacheName: "stills", expiration: { maxEntries: 300 } },
          },
          {
            urlPattern: ({ sameOrigin, url }) => sameOrigin && url.pathname.startsWith("/assets/"),
            handler: "CacheFirst",
            options: { cacheName: "asked-for", expiration: { maxEntries: 60 } },
          },
        ],
        maximumFileSizeToCacheInBytes: 3_000_000,
        navigateFallback: "/index.html",
        navigateFallbackAllowlist: [/^\/me(\/|$)/],
        importScripts: ["/phone-worker.js"],
        clientsClaim: true,
      },
    }),
    // Made once here, not at every request; the server gives each browser what it takes. Tests need no smallest files.
    compression({
      algorithms: process.env.QUICK_BUILD ? QUICKLY : ["gzip", "brotliCompress"],
      include: /\.(html|css|js|svg|wasm|webmanifest)$/,
      threshold: 1024,
    }),
  ],
  build: {
    outDir: "dist",
    emptyOutDir: true,
    chunkSizeWarningLimit: 1500,
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          // Small files that many pages share, each of them alone half head and half content. Sign-in loads none of these.
          groups: [
            { name: "ground", tags: ["$initial"], priority: 1 },
            { name: "icons", test: /lucide-react\/dist\/esm\/icons\/(?!key-round)/, minShareCount: 2 },
            { name: "endpoints", test: /web\/src\/(?!auth|member|base)[a-z]+\/api\.ts$/, minShareCount: 2 },
          ],
        },
      },
    },
  },
  server: { port: 4173, proxy: { "/api": api, "/readyz": api } },
});
