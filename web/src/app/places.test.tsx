import "fake-indexeddb/auto";
import { ThemeProvider } from "@mui/material/styles";
import { act, render, screen } from "@testing-library/react";
import { Suspense } from "react";
import { Link, MemoryRouter } from "react-router";
import { fetchedPart } from "../base/fetched-part";
import { theme } from "../base/theme";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { place, Places } from "./Places";

beforeEach(() => void jest.spyOn(console, "error").mockImplementation(() => {}));
afterEach(() => jest.restoreAllMocks());

/** What is fetched when the test says so, and may fail. */
function slowPart(text: string) {
  const load = jest.fn<Promise<{ default: () => React.ReactNode }>, []>();
  const answers: { give(): void; fail(): void }[] = [];
  load.mockImplementation(
    () =>
      new Promise((resolve, reject) => {
        answers.push({ give: () => resolve({ default: () => <p>{text}</p> }), fail: () => reject(new TypeError("no connection")) });
      }),
  );
  return { part: fetchedPart(load), load, answers };
}

function Page({ children }: { children: React.ReactNode }) {
  return (
    <ThemeProvider theme={theme}>
      <Suspense fallback={<p>wait</p>}>{children}</Suspense>
    </ThemeProvider>
  );
}

it("a part is fetched once, waits for its code, and is shown at once the next time", async () => {
  const { part, load, answers } = slowPart("here");
  part.fetch("first");
  part.fetch("first");
  const { unmount } = await act(async () => render(<part.Shown />, { wrapper: Page }));
  expect(screen.getByText("wait")).toBeVisible();
  await act(async () => answers[0]!.give());
  expect(await screen.findByText("here")).toBeVisible();
  unmount();
  render(<part.Shown />, { wrapper: Page });
  expect(screen.getByText("here")).toBeVisible();
  expect(load).toHaveBeenCalledTimes(1);
});

it("what could not be fetched says so, and is asked for again by whoever goes there again", async () => {
  const { part, load, answers } = slowPart("here");
  render(
    <ThemeProvider theme={theme}>
      <MemoryRouter>
        <Link to="/">to home</Link>
        <Link to="/away">to it</Link>
        <Places
          places={[
            { path: "/", element: <p>home</p> },
            { path: "/away", ...place(part, {}) },
          ]}
        />
      </MemoryRouter>
    </ThemeProvider>,
  );
  await act(async () => screen.getByText("to it").click());
  // Until it is there the page before stays.
  expect(screen.getByText("home")).toBeVisible();
  await act(async () => answers[0]!.fail());
  expect(await screen.findByRole("heading", { name: "This page is not on this device yet" })).toBeVisible();
  await act(async () => screen.getByText("to home").click());
  expect(await screen.findByText("home")).toBeVisible();
  await act(async () => screen.getByText("to it").click());
  await act(async () => answers[1]!.give());
  expect(await screen.findByText("here")).toBeVisible();
  expect(load).toHaveBeenCalledTimes(2);
});

it("an address of the phone that is none leads to the phone's sign-in, not to the trainers'", async () => {
  new TestServer({ "GET /me": { ...SIGNED_IN["GET /me"], account: null } });
  showPage(<Places />, { at: "/me/settings", path: "*", knowsMe: false });
  expect(await screen.findByLabelText("Crew code")).toBeVisible();
});
