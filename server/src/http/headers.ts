/** Headers of every answer: what a page may load, and from where. */
import type { ServerResponse } from "node:http";
import helmet from "helmet";

export const securityHeaders = () =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        // The solver that composes programs is WebAssembly; this allows that and no text made into code.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", "data:", "blob:"],
        // A film that is watched stays on the device.
        mediaSrc: ["'self'", "blob:"],
        fontSrc: ["'self'"],
        // Meters are programs on the machine the interface runs on.
        connectSrc: ["'self'", "ws://127.0.0.1:*", "ws://localhost:*"],
        workerSrc: ["'self'", "blob:"],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
  });

/** They speak of a page; a worker has rights of its own, and a picture can be opened as a page. */
const OF_PAGES = [
  "Content-Security-Policy",
  "Cross-Origin-Opener-Policy",
  "Origin-Agent-Cluster",
  "X-DNS-Prefetch-Control",
  "X-Download-Options",
  "X-Frame-Options",
  "X-Permitted-Cross-Domain-Policies",
  "X-XSS-Protection",
];

/** A page fetches scripts, styles and letters by the dozen: what they have no use for weighs more than many of them. */
export function withoutPageHeaders(response: ServerResponse, file: string): void {
  if (/\.(js|css|woff2)(\.br|\.gz)?$/.test(file) && !/worker[^/]*$/.test(file)) for (const name of OF_PAGES) response.removeHeader(name);
}
