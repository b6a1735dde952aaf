/** A worker that breaks is noticed by whoever waits for it, and by whoever asks it later. */
import { startWorker } from "./worker";

const sample = () => Object.assign(new EventTarget(), { postMessage: jest.fn(), terminate: jest.fn() }) as unknown as Worker;

it("an answer that comes is passed on", async () => {
  const { unlessBroken, stop } = startWorker(sample());
  await expect(unlessBroken(Promise.resolve(3))).resolves.toBe(3);
  stop();
});

it("what is waited for when it breaks is refused, and so is what is asked afterwards", async () => {
  const worker = sample();
  const onBroken = jest.fn();
  const { unlessBroken } = startWorker(worker, onBroken);
  const waiting = unlessBroken(new Promise(() => undefined));
  worker.dispatchEvent(new ErrorEvent("error", { message: "404" }));
  await expect(waiting).rejects.toThrow("404");
  await expect(unlessBroken(new Promise(() => undefined))).rejects.toThrow("404");
  worker.dispatchEvent(new ErrorEvent("error"));
  expect(onBroken).toHaveBeenCalledTimes(1);
});

it("one that breaks while nobody asks is no unhandled fault", async () => {
  const worker = sample();
  startWorker(worker);
  worker.dispatchEvent(new ErrorEvent("error"));
  await new Promise((resolve) => setTimeout(resolve));
});
