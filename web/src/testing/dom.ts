/** Before each file of component tests: matchers of what a person sees, and small stand-ins for what jsdom has none of. */
import "@testing-library/jest-dom/jest-globals";
import "@testing-library/jest-dom";
import { cleanup, configure } from "@testing-library/react";
import * as React from "react";

// How long something is waited for says nothing of how quick it is: a busy machine may take its time. Whoever looks is told what is not
// there; the whole page besides, at each look of a wait, was a thirtieth of the time of these tests.
configure({
  asyncUtilTimeout: 20_000,
  getElementError: (message) => Object.assign(new Error(message ?? ""), { name: "TestingLibraryElementError" }),
});

/** Draws nothing: pictures are drawn by the core, and tested there. */
class SilentWorker extends EventTarget {
  postMessage(): void {}
  terminate(): void {}
}

/** Nothing changes its size in jsdom. */
class StillObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

Object.assign(globalThis, {
  /** A test that asks a server makes one. */
  fetch: () => Promise.reject(new TypeError("there is no server in this test")),
  Worker: SilentWorker,
  ResizeObserver: StillObserver,
  IntersectionObserver: StillObserver,
});
Object.assign(window, {
  scrollTo: () => undefined,
  matchMedia: (media: string) => ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    addListener: () => undefined,
    removeListener: () => undefined,
  }),
});
function read<T>(blob: Blob, as: "readAsText" | "readAsArrayBuffer"): Promise<T> {
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as T);
    reader.onerror = () => failed(reader.error!);
    reader[as](blob);
  });
}
Blob.prototype.text = function text(this: Blob): Promise<string> {
  return read(this, "readAsText");
};
Blob.prototype.arrayBuffer = function arrayBuffer(this: Blob): Promise<ArrayBuffer> {
  return read(this, "readAsArrayBuffer");
};
Element.prototype.scrollIntoView = () => undefined;

afterEach(() => {
  cleanup();
  jest.restoreAllMocks();
  jest.useRealTimers();
  localStorage.clear();
  sessionStorage.clear();
});

// React notes for every element where it was made, for warnings nobody reads here: a sixth of the time of these tests.
const inside = (React as unknown as Record<string, object>).__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE;
if (inside) Object.defineProperty(inside, "recentlyCreatedOwnerStacks", { get: () => Infinity, set: () => undefined });
