/** Who is here: by their own phones, and by a card before the camera of the screen that leads. */
import { act, screen, within } from "@testing-library/react";
import { useEffect, useMemo, useState } from "react";
import { samplePerson } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { useArrivals } from "./own-answers";
import { RollCall } from "./RollCall";

let scan: (text: string) => void = () => undefined;
const stop = jest.fn();
jest.mock("./watch-for-squares", () => ({
  watchForSquares: (_video: unknown, found: (text: string) => void) => {
    scan = found;
    return mockCamera();
  },
}));
const mockCamera = jest.fn(() => Promise.resolve(stop));

const people = ["Ann Early", "Bo Late", "Cy Away"].map((name) => samplePerson({ name }));
const [ann, bo, cy] = people.map(({ id }) => id) as [string, string, string];
const cardOf = (letter: string) => `https://hands.example/me/sign-in#card=${letter.repeat(32)}`;
let phones: (ids: readonly string[]) => void = () => undefined;

function Page({ start }: { start: readonly string[] }) {
  const [away, setAway] = useState<ReadonlySet<string>>(new Set(start));
  const [ids, setIds] = useState<readonly string[]>([]);
  useEffect(() => {
    phones = setIds;
  }, []);
  const answers = useMemo(() => new Map(ids.map((id) => [id, null])), [ids]);
  useArrivals(answers, away, setAway);
  return <RollCall crewId="crew" people={people} arrived={new Set(ids)} away={away} onAway={setAway} />;
}
const open = (holder: object | ((body: unknown) => object) = refusal(404, "unknownCard", "This is nobody's card."), cameras = 1) => {
  const server = new TestServer({ ...SIGNED_IN, "POST /crews/crew/card-holder": holder });
  const devices = Array.from({ length: cameras }, () => ({ kind: "videoinput" }));
  Object.defineProperty(navigator, "mediaDevices", { configurable: true, value: { enumerateDevices: () => Promise.resolve(devices) } });
  return { server, ...showPage(<Page start={[bo, cy]} />) };
};
const roll = () => within(screen.getByRole("dialog"));

it("a phone that says so makes its person here; what is tapped afterwards stands", async () => {
  const { user } = open();
  await user.click(await screen.findByRole("button", { name: "Here: 1 of 3" }));
  act(() => phones([bo]));
  await user.click(await roll().findByRole("button", { name: "Bo Late · by phone", pressed: true }));
  act(() => phones([bo, ann]));
  expect(roll().getByRole("button", { name: "Bo Late · by phone" })).toHaveAttribute("aria-pressed", "false");
  expect(roll().getByRole("button", { name: "Ann Early · by phone" })).toHaveAttribute("aria-pressed", "true");
});

describe("cards before the camera", () => {
  const scanning = async (holder?: object | ((body: unknown) => object)) => {
    const opened = open(holder);
    await opened.user.click(await screen.findByRole("button", { name: "Here: 1 of 3" }));
    await opened.user.click(await roll().findByRole("button", { name: "Scan cards" }));
    await roll().findByText(/Hold a card before the camera/);
    return opened;
  };
  it("say who is here, once while they are held there", async () => {
    const { server } = await scanning((body: unknown) => ({ personId: (body as { token: string }).token.startsWith("b") ? bo : cy }));
    for (let i = 0; i < 3; i++) act(() => scan(cardOf("b")));
    expect(await roll().findByText("Bo Late is here")).toBeInTheDocument();
    expect(roll().getByRole("button", { name: "Bo Late" })).toHaveAttribute("aria-pressed", "true");
    act(() => scan(cardOf("c")));
    expect(await roll().findByText("Cy Away is here")).toBeInTheDocument();
    expect(server.calls("POST").map(({ body }) => body)).toEqual([{ token: "b".repeat(32) }, { token: "c".repeat(32) }]);
  });
  it("of nobody here, and what is no card, are said so and change nothing", async () => {
    await scanning();
    act(() => scan("https://shop.example/offer"));
    expect(await roll().findByText("This is not a sign-in card.")).toBeInTheDocument();
    act(() => scan(cardOf("z")));
    expect(await roll().findByText("This is nobody's card.")).toBeInTheDocument();
    expect(screen.getByRole("heading", { name: "Here: 1 of 3" })).toBeInTheDocument();
  });
  it("of somebody who is not on the list does not say why", async () => {
    await scanning({ personId: "somebody held out" });
    act(() => scan(cardOf("h")));
    expect(await roll().findByText("This card is of nobody on this session's list.")).toBeInTheDocument();
  });
  it("the camera stops with the dialog", async () => {
    const { user } = await scanning();
    stop.mockClear();
    await user.click(roll().getByRole("button", { name: "Done" }));
    await act(() => Promise.resolve());
    expect(stop).toHaveBeenCalled();
  });
  it("a camera that is not allowed is said, the names are still there", async () => {
    mockCamera.mockImplementationOnce(() => Promise.reject(new Error("denied")));
    const { user } = open();
    await user.click(await screen.findByRole("button", { name: "Here: 1 of 3" }));
    await user.click(await roll().findByRole("button", { name: "Scan cards" }));
    expect(await roll().findByText(/The camera cannot be used here/)).toBeInTheDocument();
    expect(roll().getByRole("button", { name: "Ann Early" })).toBeInTheDocument();
  });
  it("are not offered where there is no camera", async () => {
    const { user } = open(undefined, 0);
    await user.click(await screen.findByRole("button", { name: "Here: 1 of 3" }));
    await act(() => Promise.resolve());
    expect(roll().queryByRole("button", { name: "Scan cards" })).toBeNull();
  });
});
