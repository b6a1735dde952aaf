/** Headers of every answer: what a page may load, and from where. */
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
