/** Decisions that wait: one item, several of one person, confirmed together or one by one, and what they do to a slot. */
import { screen, within } from "@testing-library/react";
import { showPage } from "../testing/screen";
import { sampleDecision, sampleId } from "../testing/sample";
import { DecisionRows } from "./DecisionRows";

const nothing = { overrunsOf: () => [], busy: false };

it("one item says who, what, why and what comes of it", async () => {
  const each = sampleDecision();
  const onConfirm = jest.fn();
  const { user } = showPage(<DecisionRows {...nothing} own={[each]} onConfirm={onConfirm} onOther={jest.fn()} />);
  const row = screen.getByRole("article");
  expect(row).toHaveTextContent("Ann Early");
  expect(row).toHaveTextContent("Palm-away stretch");
  expect(row).toHaveTextContent(/3 runs/);
  await user.click(within(row).getByRole("button", { name: /^Confirm/ }));
  expect(onConfirm).toHaveBeenCalledWith([each]);
});

it("several of one person are one row, taken together; or opened and taken one by one", async () => {
  const personId = sampleId();
  const own = ["palm-away", "hand-drop", "wrist-nod"].map((movementId) => sampleDecision({ personId, movementId, itemId: sampleId() }));
  const onConfirm = jest.fn();
  const { user } = showPage(<DecisionRows {...nothing} own={own} onConfirm={onConfirm} onOther={jest.fn()} />);
  expect(screen.getAllByRole("article")).toHaveLength(1);
  const open = screen.getByRole("button", { name: /^One by one: Ann Early, 3 movements/ });
  await user.click(open);
  expect(screen.getAllByRole("article")).toHaveLength(4);
  const [, second] = screen.getAllByRole("article");
  await user.click(within(second!).getByRole("button", { name: /^Confirm/ }));
  expect(onConfirm).toHaveBeenLastCalledWith([own[0]]);
  await user.click(screen.getByRole("button", { name: /^One by one/ }));
  expect(screen.getAllByRole("article")).toHaveLength(1);
});

it("says what would no longer fit its slot", () => {
  showPage(
    <DecisionRows
      own={[sampleDecision()]}
      overrunsOf={() => [`Warm-up takes 8'16", 16 s over its slot`]}
      busy={false}
      onConfirm={jest.fn()}
      onOther={jest.fn()}
    />,
  );
  expect(screen.getByText(/16 s over its slot/)).toBeInTheDocument();
});

it("while one is on its way nothing is pressed twice", () => {
  showPage(<DecisionRows {...nothing} busy own={[sampleDecision()]} onConfirm={jest.fn()} onOther={jest.fn()} />);
  expect(screen.getByRole("button", { name: /^Confirm/ })).toBeDisabled();
});

it("says of each movement what comes instead, and names those of which nothing does", () => {
  const personId = sampleId();
  const next = { formId: "elbow-90", dose: { kind: "holds", reps: 2, holdSec: 10, restSec: 5 }, loadKg: null };
  const ease = (movementId: string, change: object) => {
    const made = sampleDecision({ personId, movementId, itemId: sampleId() });
    return { ...made, response: { ...made.response, kind: "ease" as const, raised: null, ...change } } as typeof made;
  };
  const own = [ease("palm-away", { next }), ease("wrist-nod", { next: null })];
  showPage(<DecisionRows {...nothing} own={own} onConfirm={jest.fn()} onOther={jest.fn()} />);
  const list = screen.getByLabelText("Next");
  expect(
    within(list)
      .getAllByRole("term")
      .map(({ textContent }) => textContent),
  ).toEqual(["Palm-away stretch"]);
  expect(
    within(list)
      .getAllByRole("definition")
      .map(({ textContent }) => textContent),
  ).toEqual(["elbow bent square, 2 holds of 10 s"]);
  expect(screen.getByRole("article")).toHaveTextContent("Ann Early · Wrist nod");
});
