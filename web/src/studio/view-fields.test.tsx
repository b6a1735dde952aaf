/** How the picture of a custom movement is taken, and being told when a hand goes into something. */
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import type { Figure } from "@kind-grip/core/figure";
import { sampleCustomMovement } from "@kind-grip/core/library";
import { Entering, partName } from "./Entering";
import { ViewFields } from "./ViewFields";

const { figure } = sampleCustomMovement("0199c0de-0000-7000-8000-000000000001");

function show(start: Figure = figure) {
  let now = start;
  function Shown() {
    const [shown, setShown] = useState(start);
    return (
      <ViewFields
        figure={shown}
        onChange={(change) => {
          now = { ...shown, ...change };
          setShown(now);
        }}
      />
    );
  }
  render(<Shown />);
  const user = userEvent.setup();
  const choose = async (field: string, option: string) => {
    await user.click(screen.getByLabelText(field));
    await user.click(screen.getByRole("option", { name: option }));
  };
  return { user, choose, figure: () => now };
}

it("chooses the camera, from behind and from straight above too", async () => {
  const { choose, figure: now } = show();
  await choose("Seen from", "Back, right");
  expect(now().view).toBe("backRight");
  await choose("Shown", "Head and shoulders");
  expect(now().focus).toBe("bust");
});

it("enlarges a hand, from a side of its own, and takes the circle away again", async () => {
  const { choose, figure: now } = show();
  expect(screen.queryByLabelText("The circle is seen from")).toBeNull();
  await choose("Enlarged in a circle", "Each hand in its own circle");
  await choose("The circle is seen from", "Straight from above");
  expect(now()).toMatchObject({ inset: true, enlargement: { of: "each", view: "overhead" } });
  await choose("Enlarged in a circle", "Nothing");
  expect(now().inset).toBe(false);
});

it("one turning arrow and one force stand beside each other, and each can be taken away", async () => {
  const { choose, figure: now } = show();
  await choose("Turning arrow round", "The forearm");
  await choose("Force", "The hands pull apart");
  expect(now().signs).toEqual([
    { kind: "turn", about: "forearm" },
    { kind: "pull", hand: "both", at: "wrist", way: [-1, 0, 0] },
  ]);
  await choose("Force", "The other hand lifts");
  expect(now().signs).toHaveLength(2);
  await choose("Turning arrow round", "Nothing");
  await choose("Force", "None");
  expect(now().signs).toEqual([]);
});

it("shows start and end side by side when asked to", async () => {
  const { user, figure: now } = show();
  await user.click(screen.getByRole("button", { name: "Start and end side by side" }));
  expect(now().strip).toBe("whole");
  await user.click(screen.getByRole("button", { name: "Start and end side by side" }));
  expect(now().strip).toBeUndefined();
});

it("says which part goes how deep into which, the three deepest, and is quiet otherwise", () => {
  const overlap = (one: string, other: string, mm: number) => ({ one, other, mm });
  const { rerender } = render(<Entering overlaps={[]} />);
  expect(screen.queryByRole("status")).toBeNull();
  rerender(
    <Entering
      overlaps={[
        overlap("left:index", "right:palm", 22.4),
        overlap("trunk", "left:forearm", 15),
        overlap("prop0-table", "right:little", 9),
        overlap("neck", "left:thumb", 7),
      ]}
    />,
  );
  expect(screen.getByRole("status")).toHaveTextContent(
    "The left index finger goes 22 mm into the right palm. The trunk goes 15 mm into the left forearm. The bench goes 9 mm into the right little finger.",
  );
  expect(screen.getByRole("status")).not.toHaveTextContent("neck");
  expect(partName("right:leg")).toBe("the right leg");
});
