/** The middle of the day, whenever the tests run: an hour back or on is still today. Timers go on as they are. */
const NOON = Date.parse(`${new Date().toISOString().slice(0, 10)}T12:00:00Z`);
const TIMERS = ["setTimeout", "setInterval", "setImmediate", "clearTimeout", "clearInterval", "clearImmediate"] as const;
const FRAMES = ["requestAnimationFrame", "cancelAnimationFrame", "requestIdleCallback", "cancelIdleCallback"] as const;

/** For the tests of a file. */
export function atNoon(): void {
  beforeEach(() =>
    jest.useFakeTimers({ now: NOON, doNotFake: [...TIMERS, ...FRAMES, "hrtime", "nextTick", "performance", "queueMicrotask"] }),
  );
  afterEach(() => void jest.useRealTimers());
}
