/** A phone speaks what its reader reads: before it knows whose it is, and after; turned round where that runs from the right. */
import "fake-indexeddb/auto";
import { act, screen, waitFor } from "@testing-library/react";
import { Route, Routes } from "react-router";
import type { MemberDay } from "@kind-grip/core/api";
import { loadLanguage } from "@kind-grip/core/language";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { emptyMemberDay } from "../testing/member-day";
import { sampleId, sampleSession } from "../testing/sample";
import DayPage from "./DayPage";
import MyProgressPage from "./MyProgressPage";
import PhoneFrame from "./PhoneFrame";
import PhoneSignIn from "./PhoneSignIn";
import { phone } from "./phone-store";
import { takeDay } from "./use-phone";

const day = (change: Partial<MemberDay> = {}): MemberDay =>
  emptyMemberDay({
    person: { id: sampleId(), name: "Idris Kettle" },
    anyTime: [
      {
        placementId: null,
        programId: sampleId(),
        startsAt: null,
        totalSec: 185,
        session: sampleSession(["palm-away", "shake-out"], { name: "Warm-up", slot: "preShift" }),
        done: false,
        ended: false,
      },
    ],
    language: "ar",
    ...change,
  });
const signedOut = { "GET /me": { ...SIGNED_IN["GET /me"], account: null }, "GET /member/day": refusal(401, "signedOut", "Sign in.") };
const wished = (...languages: string[]) => jest.spyOn(navigator, "languages", "get").mockReturnValue(languages);
const signIn = (answers: object = {}) => {
  const server = new TestServer({ ...signedOut, ...answers });
  return { server, ...showPage(<PhoneSignIn />, { at: "/me/sign-in", path: "/me/sign-in", knowsMe: false }) };
};
const open = async (kept: MemberDay, answers: object = {}) => {
  await takeDay(kept);
  const server = new TestServer({ "GET /member/day": kept, "GET /member/progress": { days: [], mornings: [] }, ...answers });
  const pages = (
    <Routes>
      <Route path="me" element={<PhoneFrame />}>
        <Route index element={<DayPage />} />
        <Route path="progress" element={<MyProgressPage />} />
      </Route>
    </Routes>
  );
  return { server, ...showPage(pages, { at: "/me", path: "*", knowsMe: false }) };
};

beforeAll(() => Promise.all([loadLanguage("es"), loadLanguage("pl"), loadLanguage("ar")]));
beforeEach(() => localStorage.clear());
afterEach(async () => {
  jest.restoreAllMocks();
  await act(async () => {
    await phone.kept.clear();
    await phone.outbox.clear();
  });
});

describe("before it knows whose it is", () => {
  it("it speaks what its browser asks for, and what was chosen on it from then on", async () => {
    wished("es-MX", "en");
    const { user } = signIn();
    expect(await screen.findByRole("heading", { name: "Mi día" })).toBeInTheDocument();
    await user.type(screen.getByRole("textbox", { name: "Código del equipo" }), "RDGE24");
    await user.click(screen.getByRole("radio", { name: "Polski" }));
    // What was typed is still there.
    expect(await screen.findByRole("textbox", { name: "Kod zespołu" })).toHaveValue("RDGE24");
    expect([document.documentElement.lang, localStorage.getItem("kind-grip.language")]).toEqual(["pl", "pl"]);
  });

  it("it turns round for Arabic, typed fields kept", async () => {
    wished("ar");
    const { user } = signIn();
    await user.type(await screen.findByRole("textbox", { name: "رمز الفريق" }), "AB");
    expect([document.documentElement.dir, document.documentElement.lang]).toEqual(["rtl", "ar"]);
    await user.click(screen.getByRole("radio", { name: "English" }));
    expect(await screen.findByRole("textbox", { name: "Crew code" })).toHaveValue("AB");
    expect(document.documentElement.dir).toBe("ltr");
  });

  it.each([
    ["wrongSignIn", 401, "Ten kod i ten PIN do siebie nie pasują."],
    ["tooManyAttempts", 429, /Za dużo prób/],
    ["failed", 500, /coś poszło nie tak/],
  ])("%s is told in its language", async (code, status, told) => {
    wished("pl");
    const { user } = signIn({ "POST /member/sign-in": refusal(status, code, "In English.") });
    await user.type(await screen.findByRole("textbox", { name: "Kod zespołu" }), "RDGE24");
    await user.type(screen.getByRole("textbox", { name: "PIN" }), "1{Enter}");
    expect(await screen.findByText(told)).toBeInTheDocument();
    expect(screen.queryByText(/In English/)).toBeNull();
  });

  it("whoever chose a language there goes on in it", async () => {
    wished("en");
    const mine = day({ language: "en" });
    const { server, user } = signIn({
      "POST /member/sign-in": mine,
      "PUT /member/language": { ...mine, language: "pl" },
    });
    await user.click(await screen.findByRole("radio", { name: "Polski" }));
    await user.type(await screen.findByRole("textbox", { name: "Kod zespołu" }), "RDGE24");
    await user.type(screen.getByRole("textbox", { name: "PIN" }), "1{Enter}");
    await waitFor(() => expect(server.calls("PUT")).toEqual([{ call: "PUT /member/language", body: { language: "pl" } }]));
    await waitFor(async () => expect((await phone.kept.get("day"))?.value).toMatchObject({ language: "pl" }));
  });
});

describe("the day", () => {
  it("is read in their language, its figures too, turned round; a session nobody named has a name", async () => {
    await open(day());
    expect(await screen.findByRole("heading", { name: "مرحبًا Idris" })).toBeInTheDocument();
    expect(screen.getByText("إحماء")).toBeInTheDocument();
    expect(screen.getByText(/٣'٠٥"/)).toBeInTheDocument();
    expect(document.documentElement.dir).toBe("rtl");
  });

  it("has the practice's own words", async () => {
    await open(day({ language: "es", corrections: { "member.anyTime": "A tu aire" } }));
    expect(await screen.findByRole("heading", { name: "A tu aire" })).toBeInTheDocument();
  });

  it("is read in another language once that is chosen; without a connection it stays and says so", async () => {
    const mine = day({ language: "en" });
    const { server, user } = await open(mine, { "PUT /member/language": { ...mine, language: "es" } });
    await user.click(await screen.findByRole("link", { name: /My four weeks/ }));
    server.away = true;
    await user.click(await screen.findByRole("radio", { name: "Polski" }));
    expect(await screen.findByRole("alert")).toHaveTextContent(/cannot be reached/);
    server.away = false;
    await user.click(screen.getByRole("radio", { name: "Español" }));
    expect(await screen.findByRole("heading", { name: "Mis cuatro semanas" })).toBeInTheDocument();
  });
});
