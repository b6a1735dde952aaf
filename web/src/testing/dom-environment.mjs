/** jsdom with what the interface needs of a browser and jsdom lacks: Node's own fetch, its requests and its signals. */
import { TestEnvironment } from "jest-environment-jsdom";

/** A browser's request knows where it is. */
class LocalRequest extends Request {
  constructor(input, init) {
    super(typeof input === "string" ? new URL(input, "http://localhost") : input, init);
  }
}

export default class DomEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, {
      Request: LocalRequest,
      Response,
      Headers,
      AbortController,
      AbortSignal,
      structuredClone,
      TextEncoder,
      TextDecoder,
    });
  }
}
