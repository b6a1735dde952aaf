import path from "node:path";
import { fileURLToPath } from "node:url";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";
import { VitePWA } from "vite-plugin-pwa";

const api = `http://127.0.0.1:${process.env.PORT ?? "4100"}`;

export default defineConfig({
  root: path.dirname(fileURLToPath(import.meta.url)),
  plugins: [
    react(),
    // The crew member's own page works without a connection. Only that page asks for the worker (member/keep-page.ts).
    VitePWA({
      injectRegister: null,
      registerType: "autoUpdate",
      scope: "/me",
      manifest: {
        name: "Kind Grip – my day",
        short_name: "My day",
        start_url: "/me",
        scope: "/me",
        display: "standalone",
        background_color: "#F6F2E9",
        theme_color: "#17594F",
        icons: [{ src: "/mark.svg", sizes: "any", type: "image/svg+xml" }],
      },
      workbox: {
        globPatterns: ["**/*.{html,js,css,woff2,svg}"],
        // What only a trainer's screens load.
        globIgnores: ["**/plotly*", "**/highs*", "**/*ompose*", "**/solver*"],
        maximumFileSizeToCacheInBytes: 3_000_000,
        navigateFallback: "/index.html",
        navigateFallbackAllowlist: [/^\/me(\/|$)/],
        clientsClaim: true,
        skipWaiting: true,
      },
    }),
  ],
  build: { outDir: "dist", emptyOutDir: true, chunkSizeWarningLimit: 1500 },
  server: { port: 4173, proxy: { "/api": api, "/readyz": api } },
});
