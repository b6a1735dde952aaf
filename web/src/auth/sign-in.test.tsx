import { screen, waitFor } from "@testing-library/react";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import SignInPage from "./SignInPage";

const OUT = { "GET /me": { csrfToken: "t", account: null } };
const open = (answers: object, at = "/sign-in") => {
  const server = new TestServer({ ...OUT, ...answers });
  return { server, ...showPage(<SignInPage />, { at, path: "/sign-in", knowsMe: false }) };
};
const fill = async ({ user }: ReturnType<typeof open>) => {
  await user.type(await screen.findByLabelText(/E-mail/), "maren@test.example");
  await user.type(screen.getByLabelText(/Password/), "a long enough password{Enter}");
};

it("signs in with Enter, and goes where one wanted to go", async () => {
  const page = open({ "POST /sign-in": SIGNED_IN["GET /me"] }, "/sign-in?next=/crews");
  await screen.findByLabelText(/E-mail/);
  page.server.answers = { ...page.server.answers };
  await fill(page);
  await waitFor(() => expect(page.server.calls("POST")).toHaveLength(1));
  page.server.answers = { ...page.server.answers, ...SIGNED_IN };
  expect(page.server.calls("POST")[0]!.body).toEqual({ email: "maren@test.example", password: "a long enough password" });
});

it("what does not belong together is said, and what was typed stays", async () => {
  await fill(open({ "POST /sign-in": refusal(401, "wrongSignIn", "This e-mail address and password do not belong together.") }));
  expect(await screen.findByRole("alert")).toHaveTextContent("do not belong together");
  expect(screen.getByLabelText(/E-mail/)).toHaveValue("maren@test.example");
});

it("a field that is wrong says so at the field", async () => {
  const fields = [{ path: "email", message: "is missing" }];
  await fill(open({ "POST /sign-in": refusal(400, "invalid", "Look again.", { fields }) }));
  expect(await screen.findByText("is missing")).toBeInTheDocument();
});

it.each([
  ["/sign-in?next=/crews", "/crews"],
  ["/sign-in?next=https://elsewhere.example/x", "/today"],
  ["/sign-in?next=//elsewhere.example", "/today"],
  ["/sign-in", "/today"],
])("whoever is signed in is sent on from %s to %s, never out of the house", async (at, to) => {
  open(SIGNED_IN, at);
  expect(await screen.findByText(`at ${to}`)).toBeInTheDocument();
});
