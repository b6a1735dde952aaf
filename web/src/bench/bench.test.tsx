/** The bench: each tool by what it answers. */
import { screen, within } from "@testing-library/react";
import { sampleCrew } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import BenchPage from "./BenchPage";

const crew = { ...sampleCrew({ kit: [{ kind: "dumbbell", massKg: 1, count: 4 }] }), people: 3, programs: 1, sharedBy: null, shifts: [] };
const open = (tool: string) => {
  const server = new TestServer({ ...SIGNED_IN, "GET /crews": [crew] });
  return { server, ...showPage(<BenchPage />, { at: `/bench/${tool}`, path: "/bench/:tool" }) };
};
const press = (name: string | RegExp) => screen.getByRole("button", { name });
const type = async (user: ReturnType<typeof open>["user"], name: string, value: string) => {
  const field = screen.getByRole("textbox", { name });
  await user.clear(field);
  await user.type(field, `${value}{Enter}`);
};

it("an address that is no tool leads to the first", async () => {
  open("spanner");
  expect(await screen.findByText("What does it weigh in the hand?")).toBeInTheDocument();
});

describe("lever and load", () => {
  it("the hand further out takes more; what it is and where, in words", async () => {
    const { user } = open("lever");
    const drawing = () => screen.getByRole("img", { name: /hand at/ }).getAttribute("aria-label");
    expect(drawing()).toBe("Rod, 90 cm, hand at 5 cm");
    await type(user, "Hand at", "10");
    expect(drawing()).toBe("Rod, 90 cm, hand at 10 cm");
    // 0.45 kg a 45 − 10 cm from the hand: 9.81 × 0.45 × 0.35.
    expect(document.body).toHaveTextContent("1.55 N·m");
  });
  it("lengths and masses are taken in other units", async () => {
    const { user } = open("lever");
    await type(user, "Length", "3 ft");
    await type(user, "Mass of the shaft", "1 lb");
    expect(screen.getByRole("textbox", { name: "Length" })).toHaveValue("91");
    expect(screen.getByRole("textbox", { name: "Mass of the shaft" })).toHaveValue("0.45");
  });
  it("a weight in the palm turns nothing, and says so", async () => {
    const { user } = open("lever");
    await user.click(screen.getByRole("radio", { name: "Dumbbell" }));
    expect(screen.getByText(/it stands in for nothing there/)).toBeInTheDocument();
    await user.click(screen.getByRole("radio", { name: "Lift" }));
    expect(screen.queryByText(/it stands in for nothing there/)).toBeNull();
    // 9.81 × 1.5 kg × 80 mm.
    expect(document.body).toHaveTextContent("1.18 N·m");
  });
});

describe("kit for a group", () => {
  it("enough is enough; fewer pieces mean pairs and waves with what they cost", async () => {
    const { user } = open("kit");
    const ways = () => within(screen.getByRole("list", { name: "Ways" })).queryAllByRole("listitem");
    await type(user, "Pieces", "24");
    expect(ways()[0]).toHaveTextContent("Enough for all 11.");
    expect(ways()[0]).toHaveTextContent("no more time");
    await type(user, "Pieces", "6");
    expect(ways().length).toBeGreaterThan(1);
    expect(ways().some((way) => /In pairs on 6 pieces/.test(way.textContent!))).toBe(true);
    await type(user, "Pieces", "0");
    expect(screen.getByText(/There is nothing to share/)).toBeInTheDocument();
  });
});

describe("tape", () => {
  it("twice the hands need twice the rolls; the sheet warns of skin", async () => {
    const { user } = open("tape");
    const rolls = () => Number(/([\d.]+) rolls a month/.exec(document.body.textContent!)![1]);
    await type(user, "Hands to tape", "10");
    const ten = rolls();
    await type(user, "Hands to tape", "40");
    expect(rolls()).toBeGreaterThanOrEqual(ten * 3);
    expect(screen.getByText(/Not over broken skin/)).toBeInTheDocument();
    expect(screen.getByRole("img", { name: /Cutting drawing: \d halves/ })).toBeInTheDocument();
  });
});

describe("strain", () => {
  it("harder efforts raise the index", async () => {
    const { user } = open("strain");
    const before = document.body.textContent!;
    screen.getByRole("slider", { name: /How hard/ }).focus();
    await user.keyboard("{End}");
    expect(document.body.textContent).not.toBe(before);
    expect(document.body).toHaveTextContent("raised");
  });
});

describe("doses", () => {
  it("has every school in a row of its own, with time a side", () => {
    open("dose");
    const rows = screen.getAllByRole("row").slice(1);
    expect(rows.length).toBeGreaterThanOrEqual(3);
    for (const row of rows) expect(row).toHaveTextContent(/\d+ (s|min)|\d'\d\d"/);
  });
});

describe("pace", () => {
  it("counts what the tempo comes to, and runs and stops", async () => {
    const { user } = open("pace");
    await type(user, "Out", "3");
    await type(user, "Repetitions", "10");
    expect(document.body).toHaveTextContent(/s each, \d+ s for 10\./);
    await user.click(press("Start"));
    expect(press("Stop")).toBeInTheDocument();
    await user.click(press("Stop"));
    expect(press("Start")).toBeInTheDocument();
  });
});
