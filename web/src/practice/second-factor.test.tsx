/** A second step: off, being turned on, its codes on paper, on, and off again; and the sign-in that asks for it. */
import { screen, waitFor, within } from "@testing-library/react";
import SignInPage from "../auth/SignInPage";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { SecondFactor } from "./SecondFactor";

const SECRET = "JBSWY3DPEHPK3PXP";
const CODES = ["a1b2c-d3e4f", "00000-11111"];
const open = (state: object, more: Record<string, object | null> = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /me/second-factor": state,
    "POST /me/second-factor": { secret: SECRET, address: `otpauth://totp/Kind%20Grip:me?secret=${SECRET}` },
    "PUT /me/second-factor": { codes: CODES },
    "POST /me/second-factor/end": null,
    ...more,
  });
  return { server, ...showPage(<SecondFactor />) };
};
const OFF = { since: null, codesLeft: 0 };
const on = (codesLeft: number) => ({ since: "2026-03-01T08:00:00.000Z", codesLeft });

it("is turned on with what the telephone shows; the codes on paper are shown until they were taken", async () => {
  const { server, user } = open(OFF);
  await user.click(await screen.findByRole("button", { name: "Turn it on" }));
  expect(await screen.findByDisplayValue(SECRET)).toBeInTheDocument();
  expect(screen.getByRole("img", { name: /Square for the application/ })).toBeInTheDocument();
  expect(screen.getByRole("button", { name: "Turn it on" })).toBeDisabled();
  await user.type(screen.getByRole("textbox", { name: "Six digits" }), "123456");
  server.answers = { ...server.answers, "GET /me/second-factor": on(2) };
  await user.click(screen.getByRole("button", { name: "Turn it on" }));
  const list = await screen.findByRole("list", { name: "Codes on paper" });
  expect(
    within(list)
      .getAllByRole("listitem")
      .map((item) => item.textContent),
  ).toEqual(CODES);
  expect(server.calls("PUT")[0]!.body).toEqual({ code: "123456" });
  await user.click(screen.getByRole("button", { name: "I have them" }));
  expect(await screen.findByText("On since 1 March 2026")).toBeInTheDocument();
  expect(document.body).not.toHaveTextContent(CODES[0]!);
});

it("a wrong code is said at its field and stays; not now leaves it off", async () => {
  const fields = [{ path: "code", message: "is not what the telephone shows now" }];
  const { user } = open(OFF, { "PUT /me/second-factor": refusal(400, "invalid", "Look again.", { fields }) });
  await user.click(await screen.findByRole("button", { name: "Turn it on" }));
  const field = await screen.findByRole("textbox", { name: "Six digits" });
  await user.type(field, "111111{Enter}");
  await waitFor(() => expect(field).toHaveAccessibleDescription("is not what the telephone shows now"));
  expect(field).toHaveValue("111111");
  await user.click(screen.getByRole("button", { name: "Not now" }));
  expect(screen.queryByText(SECRET)).toBeNull();
});

it.each([
  [10, "10 codes on paper are left."],
  [2, "2 codes on paper are left. Turn it off and on again for new ones."],
  [1, "1 code on paper is left. Turn it off and on again for new ones."],
])("with %d codes left it says so", async (left, text) => {
  open(on(left));
  expect(await screen.findByText(text)).toBeInTheDocument();
});

it("is turned off with the password only", async () => {
  const fields = [{ path: "password", message: "is not your password" }];
  const { server, user } = open(on(9), { "POST /me/second-factor/end": refusal(400, "invalid", "Look again.", { fields }) });
  await user.click(await screen.findByRole("button", { name: "Turn it off" }));
  const field = screen.getByLabelText(/Password, to turn/);
  await user.type(field, "wrong{Enter}");
  await waitFor(() => expect(field).toHaveAccessibleDescription("is not your password"));
  server.answers = { ...server.answers, "POST /me/second-factor/end": null, "GET /me/second-factor": OFF };
  await user.clear(field);
  await user.type(field, "right{Enter}");
  expect(await screen.findByRole("button", { name: "Turn it on" })).toBeInTheDocument();
});

it("the sign-in asks for the code only when it is needed, and sends it with what was typed before", async () => {
  let tries = 0;
  const server = new TestServer({
    "GET /me": { csrfToken: "t", account: null },
    "POST /sign-in": () =>
      ++tries === 1
        ? refusal(401, "secondFactor", "Enter the six digits your telephone shows, or one of your codes on paper.")
        : refusal(401, "wrongCode", "This code is not right, or was used before."),
  });
  const { user } = showPage(<SignInPage />, { at: "/sign-in", path: "/sign-in", knowsMe: false });
  await user.type(await screen.findByLabelText(/E-mail/), "maren@test.example");
  await user.type(screen.getByLabelText(/Password/), "a long enough password{Enter}");
  const field = await screen.findByLabelText(/Code of the second step/);
  expect(screen.getByRole("alert")).toHaveTextContent("Enter the six digits");
  await user.type(field, "123456{Enter}");
  expect(await screen.findByText("This code is not right, or was used before.")).toBeInTheDocument();
  expect(server.calls("POST").map(({ body }) => body)).toEqual([
    { email: "maren@test.example", password: "a long enough password" },
    { email: "maren@test.example", password: "a long enough password", code: "123456" },
  ]);
});
