/** Stills that came with the build are fetched; what is not to be had, and what a practice made itself, is drawn. */
import type { stillOf as StillOf } from "./drawer";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { thumbRequest } from "./request";

Object.assign(globalThis, { STILLS_FOLDER: "/assets/stills-1" });
// Read only now: where the stills are is known before anything else of the page.
const { stillOf } = jest.requireActual<{ stillOf: typeof StillOf }>("./drawer");

const asked: string[] = [];
const answerWith = (answer: () => Response) =>
  Object.assign(globalThis, {
    fetch: (address: string) => {
      asked.push(address);
      return Promise.resolve(answer());
    },
  });
const SVG = { headers: { "content-type": "image/svg+xml" } };
const draw = () => Promise.resolve("<svg>drawn</svg>");

beforeEach(() => void asked.splice(0));

it("fetches a still once", async () => {
  answerWith(() => new Response("<svg>built</svg>", SVG));
  expect(await stillOf("a", draw, "fist.svg")).toBe("<svg>built</svg>");
  expect(await stillOf("a", draw, "fist.svg")).toBe("<svg>built</svg>");
  expect(asked).toEqual(["/assets/stills-1/fist.svg"]);
});

it.each([
  ["the page of a newer server", () => new Response("<html>", { headers: { "content-type": "text/html" } })],
  ["no such file", () => new Response("", { status: 404, ...SVG })],
  [
    "no connection",
    () => {
      throw new TypeError("away");
    },
  ],
])("draws it where it gets %s", async (what, answer) => {
  Object.assign(globalThis, { fetch: () => Promise.resolve().then(answer) });
  expect(await stillOf(what, draw, "fist.svg")).toBe("<svg>drawn</svg>");
});

it("draws what has no file", async () => {
  answerWith(() => new Response("<svg>built</svg>", SVG));
  expect(await stillOf("custom", draw)).toBe("<svg>drawn</svg>");
  expect(asked).toEqual([]);
});

it("has a file for every form that looks like itself, and one for the others of a movement", () => {
  const files = new Map<string, unknown>();
  for (const { id, forms } of SHIPPED_LIBRARY.movements)
    for (const formId of [undefined, ...forms.map((form) => form.id)]) {
      const request = thumbRequest(SHIPPED_LIBRARY, id, formId);
      if (!request) continue;
      expect(request.still).toMatch(/^[a-z0-9-]+(\.[a-z0-9-]+)?\.svg$/);
      expect(files.get(request.still!) ?? request.figure).toBe(request.figure);
      files.set(request.still!, request.figure);
    }
  expect(files.size).toBeGreaterThan(150);
});

it("has none for a movement a practice made itself", () => {
  const { id } = SHIPPED_LIBRARY.movements[0]!;
  const library = { ...SHIPPED_LIBRARY, custom: () => ({}) as ReturnType<typeof SHIPPED_LIBRARY.custom> };
  expect(thumbRequest(library, id)!.still).toBeUndefined();
});
