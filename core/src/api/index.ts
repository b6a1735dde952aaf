/** The contract between server and interface: what is sent and what is answered, one file a subject. Types are inferred from it. */
export * from "./shapes";
export * from "./auth";
export * from "./crew";
export * from "./program";
export * from "./library";
export * from "./dayplan";
export * from "./run";
export * from "./work";
export * from "./baseline";
export * from "./safety";
export * from "./response";
export * from "./followup";
export * from "./practice";
export * from "./member";
export * from "./message";
export * from "./job";
export * from "./passkey";
