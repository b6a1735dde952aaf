/** What component tests stand on: a part on a page of its own, with a server that answers what the test says. */
import { ThemeProvider } from "@mui/material/styles";
import { render } from "@testing-library/react";
import userEvent, { PointerEventsCheckLevel } from "@testing-library/user-event";
import type { ReactNode } from "react";
import { Provider } from "react-redux";
import { createMemoryRouter, RouterProvider } from "react-router";
import type { CustomMovement } from "@kind-grip/core/library";
import { METRIC } from "@kind-grip/core/units";
import { serverApi } from "../base/api";
import { WithLibrary } from "../base/library";
import { makeStore } from "../base/store";
import { theme } from "../base/theme";

/** An answer: a body, or a status with a body; as a function of what was sent. */
type Said = object | null;
type Answer = Said | ((body: unknown) => Said | Promise<Said>);
/** `GET /crews/1` → answer. */
export type Answers = Readonly<Record<string, Answer>>;

export interface Refusal {
  status: number;
  body: object;
}

export const refusal = (status: number, code: string, message: string, more: object = {}): Refusal => ({
  status,
  body: { code, message, fields: [], ...more },
});

/** What the page asked for, in order: `PUT /crews/1/work`, with what it sent. */
export interface Asked {
  call: string;
  body: unknown;
}

/** A server that answers from a list, or not at all while it is away. */
export class TestServer {
  readonly asked: Asked[] = [];
  away = false;

  constructor(public answers: Answers = {}) {
    globalThis.fetch = (input) => this.answer(input as Request);
  }

  calls(method: string): Asked[] {
    return this.asked.filter(({ call }) => call.startsWith(method));
  }

  private async answer(request: Request): Promise<Response> {
    const { pathname, search } = new URL(request.url);
    const call = `${request.method} ${pathname.replace(/^\/api/, "")}${search}`;
    const text = await request.text();
    const body: unknown = text === "" ? undefined : JSON.parse(text);
    this.asked.push({ call, body });
    if (this.away) throw new TypeError("Failed to fetch");
    const found = this.answers[call] ?? this.answers[call.replace(/\?.*$/, "")];
    const said = typeof found === "function" ? await (found as (body: unknown) => Said | Promise<Said>)(body) : found;
    if (said === undefined) return json(404, { code: "notFound", message: `the test has no answer for ${call}`, fields: [] });
    if (said !== null && "status" in said && "body" in said) return json((said as Refusal).status, (said as Refusal).body);
    return said === null ? new Response(null, { status: 204 }) : json(200, said);
  }
}

function json(status: number, body: object): Response {
  return new Response(JSON.stringify(body), { status, headers: { "content-type": "application/json" } });
}

export const SIGNED_IN = {
  "GET /me": {
    csrfToken: "token",
    account: {
      role: "trainer",
      name: "Test",
      email: "test@test.example",
      practice: "Test practice",
      demo: false,
      now: "2026-03-26T09:00:00Z",
      needsSecondStep: false,
      language: "en",
      measures: METRIC,
      ownMeasures: null,
      noise: {},
    },
  },
  "GET /movements": [],
  "GET /practice/texts": { corrections: {}, readings: [] },
} as const;

interface PageOptions {
  /** Address of the page, and its pattern where it reads parameters. */
  at?: string;
  path?: string;
  custom?: readonly CustomMovement[];
  /** Who is signed in is known before a page is drawn, as in the frame; not so on the pages before it. */
  knowsMe?: boolean;
}

/** Shows a part on a page; the address of any other page shows as its text. */
export function showPage(part: ReactNode, { at = "/", path = at.split("?")[0]!, custom, knowsMe = true }: PageOptions = {}) {
  const store = makeStore();
  if (knowsMe) void store.dispatch(serverApi.util.upsertQueryData("me", undefined, structuredClone(SIGNED_IN["GET /me"])));
  const router = createMemoryRouter(
    [
      { path, element: part },
      { path: "*", Component: () => <p>{`at ${router.state.location.pathname}`}</p> },
    ],
    { initialEntries: [at] },
  );
  const user = userEvent.setup({ pointerEventsCheck: PointerEventsCheckLevel.Never });
  const shown = render(
    <Provider store={store}>
      <ThemeProvider theme={theme}>
        <WithLibrary custom={custom}>
          <RouterProvider router={router} />
        </WithLibrary>
      </ThemeProvider>
    </Provider>,
  );
  return { ...shown, store, router, user };
}
