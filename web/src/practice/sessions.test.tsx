/** Where one is signed in: this browser first, others with a way to end them. */
import { screen, waitFor, within } from "@testing-library/react";
import { NoticeBar } from "../base/NoticeBar";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { deviceName } from "../base/device-name";
import { Sessions } from "./Sessions";

const session = (change: object) => ({
  id: "1",
  device: "",
  since: "2026-03-26T07:10:00Z",
  seenAt: "2026-03-26T08:00:00Z",
  here: false,
  ...change,
});
const FIREFOX = "Mozilla/5.0 (Windows NT 10.0; rv:140.0) Gecko/20100101 Firefox/140.0";
const IPHONE = "Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605.1.15 Version/18.0 Mobile/15E148 Safari/604.1";
const open = (more: Record<string, object | null> = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /me/sessions": [session({ id: "2", device: IPHONE }), session({ id: "1", device: FIREFOX, here: true })],
    "DELETE /me/sessions/2": null,
    ...more,
  });
  const shown = showPage(
    <>
      <Sessions />
      <NoticeBar />
    </>,
  );
  return { server, ...shown };
};

it("this one stands first and cannot be ended from here; the others can", async () => {
  const { server, user } = open();
  const [here, other] = await screen.findAllByRole("listitem");
  expect(here).toHaveTextContent(/Firefox on Windows.*here, since/);
  expect(within(here!).queryByRole("button")).toBeNull();
  expect(other).toHaveTextContent(/Safari on iPhone/);
  await user.click(within(other!).getByRole("button", { name: /^End Safari on iPhone/ }));
  await waitFor(() => expect(server.calls("DELETE").map(({ call }) => call)).toEqual(["DELETE /me/sessions/2"]));
  expect(await screen.findByText("Safari on iPhone is signed out.")).toBeInTheDocument();
  expect(server.calls("GET /me/sessions").length).toBeGreaterThan(1);
});

it("what cannot be ended says why", async () => {
  const { user } = open({ "DELETE /me/sessions/2": refusal(503, "databaseAway", "The records cannot be reached at the moment.") });
  await user.click(await screen.findByRole("button", { name: /^End / }));
  expect(await screen.findByText("The records cannot be reached at the moment.")).toBeInTheDocument();
});

it.each([
  [FIREFOX, "Firefox on Windows", false],
  [IPHONE, "Safari on iPhone", true],
  ["Mozilla/5.0 (Linux; Android 15; Pixel) AppleWebKit/537.36 Chrome/140.0.0.0 Mobile Safari/537.36", "Chrome on Android", true],
  ["Mozilla/5.0 (Macintosh; Intel Mac OS X 15_0) AppleWebKit/537.36 Chrome/140.0.0.0 Safari/537.36 Edg/140.0", "Edge on macOS", false],
  ["curl/8.0", "a browser that does not say what it is", false],
  ["", "a browser that does not say what it is", false],
])("%s is %s", (userAgent, name, isPhone) => expect(deviceName(userAgent)).toEqual({ name, isPhone }));
