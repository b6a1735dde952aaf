/** A run speaks what its crew reads: the screen, the voice that is asked for, and a second language beside the first. */
import { screen, waitFor, within } from "@testing-library/react";
import { loadLanguage } from "@kind-grip/core/language";
import { sampleCrew, samplePerson, sampleProgram, sampleSession, sampleToday } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import RunPage from "./RunPage";
import { CuePlayer } from "./sound";

const SOUND = { sounds: false, voice: true, coach: "count" as const, captions: false, rate: 1, voices: {} };
const voice = (name: string, lang: string) => ({ name, lang, voiceURI: name, localService: true, default: false }) as SpeechSynthesisVoice;
const said: { text: string; lang: string; voice: string | undefined; rate: number }[] = [];
const speak = (voices: SpeechSynthesisVoice[]) => {
  said.length = 0;
  Object.assign(globalThis, {
    SpeechSynthesisUtterance: class {
      lang = "";
      rate = 1;
      voice: SpeechSynthesisVoice | null = null;
      constructor(readonly text: string) {}
    },
    speechSynthesis: {
      getVoices: () => voices,
      cancel: () => undefined,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      speak: ({ text, lang, voice: by, rate }: SpeechSynthesisUtterance) => said.push({ text, lang, voice: by?.name, rate }),
    },
  });
};
afterEach(() => {
  localStorage.clear();
  delete (globalThis as { speechSynthesis?: unknown }).speechSynthesis;
});

describe("the voice", () => {
  const VOICES = [voice("Ann", "en-GB"), voice("Lola", "es-ES"), voice("Inés", "es_MX")];

  it("is of the language, its own unless another of it was chosen, at the pace that was", () => {
    speak(VOICES);
    new CuePlayer([], SOUND, "es").say("Descansa.");
    new CuePlayer([], { ...SOUND, rate: 0.85, voices: { es: "Inés" } }, "es").say("Descansa.");
    new CuePlayer([], SOUND, "en").say("Rest.");
    expect(said.map(({ text, lang, voice: by }) => [text, lang, by])).toEqual([
      ["Descansa.", "es-ES", "Lola"],
      ["Descansa.", "es-ES", "Inés"],
      ["Rest.", "en-GB", "Ann"],
    ]);
    expect(said[1]!.rate).toBeCloseTo(said[0]!.rate * 0.85);
  });

  it("of a language the device lacks is left to it, and never another language's", () => {
    speak(VOICES);
    new CuePlayer([], SOUND, "pl").say("Odpocznij.");
    expect(said).toMatchObject([{ lang: "pl-PL", voice: undefined }]);
  });

  it("that is muted says nothing", () => {
    speak(VOICES);
    new CuePlayer([], { ...SOUND, voice: false }, "es").say("Descansa.");
    expect(said).toEqual([]);
  });
});

describe("the screen", () => {
  beforeAll(() => Promise.all([loadLanguage("es"), loadLanguage("pl"), loadLanguage("ar")]));
  const session = sampleSession(["shoulder-circles", "palm-away"]);
  const open = (change: object = {}, people = [samplePerson(), samplePerson({ name: "Bo Late" })]) => {
    const crew = sampleCrew(change);
    const entry = sampleProgram(crew.id, [session]);
    const server = new TestServer({
      ...SIGNED_IN,
      "GET /today": sampleToday(),
      [`GET /crews/${crew.id}`]: crew,
      [`GET /crews/${crew.id}/people`]: people,
      [`GET /crews/${crew.id}/participation`]: [],
      [`GET /crews/${crew.id}/ramps`]: [],
      [`GET /programs/${entry.id}`]: entry,
    });
    const path = `/crews/${crew.id}/run/${entry.id}/${session.id}`;
    return { crew, server, ...showPage(<RunPage />, { at: path, path: "/crews/:crewId/run/:programId/:sessionId" }) };
  };

  it("is in the crew's language; what whoever leads presses is in theirs", async () => {
    open({ language: "es" });
    expect(await screen.findByText("Círculos de hombros")).toBeInTheDocument();
    expect(screen.getByRole("heading", { name: "Calentamiento" })).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Start" })).toBeInTheDocument();
  });

  it("shows a second language beside it, through the run, and is so again the next time", async () => {
    localStorage.setItem("kind-grip.sound", JSON.stringify({ coach: "count" }));
    const { crew, user } = open({}, [samplePerson({ language: "es" }), samplePerson({ name: "Bo Late", language: "pl" })]);
    expect(await screen.findByText("Read here: Spanish 1 and Polish 1.")).toBeInTheDocument();
    const choose = async (group: string, language: string) =>
      user.click(within(screen.getByRole("radiogroup", { name: group })).getByRole("radio", { name: language }));
    await choose("Language of the screen and the voice", "Español");
    await choose("Beside it", "العربية");
    expect(await screen.findByText("دوائر الكتفين")).toBeInTheDocument();
    expect(JSON.parse(localStorage.getItem(`kind-grip.run-languages.${crew.id}`)!)).toEqual({ first: "es", second: "ar" });
    await user.click(screen.getByRole("button", { name: "Start" }));
    expect(await screen.findByRole("heading", { name: "Círculos de hombros" })).toBeInTheDocument();
    const second = screen.getAllByText("دوائر الكتفين")[0]!;
    expect([second.getAttribute("lang"), second.getAttribute("dir")]).toEqual(["ar", "rtl"]);
    expect(screen.getByRole("button", { name: "Easier for all" })).toBeInTheDocument();
  }, 30_000);

  it("says beforehand that the device cannot speak it, and offers its voices where there are several", async () => {
    speak([voice("Ann", "en-GB"), voice("Bea", "en-US")]);
    const { user } = open();
    const pick = await screen.findByRole("combobox", { name: /Voice/ });
    expect(pick).toHaveTextContent("Ann");
    await user.click(screen.getByRole("radio", { name: "Slower" }));
    expect(JSON.parse(localStorage.getItem("kind-grip.sound")!)).toMatchObject({ rate: 0.85 });
    await user.click(screen.getByRole("button", { name: "Languages of this run" }));
    await user.click(
      within(screen.getByRole("radiogroup", { name: "Language of the screen and the voice" })).getByRole("radio", { name: "Polski" }),
    );
    await waitFor(() => expect(screen.getByText("This device has no voice: it counts with sounds.")).toBeInTheDocument());
  }, 30_000);
});
