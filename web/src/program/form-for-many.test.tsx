/** One form of an item for several people at once. */
import { screen, within } from "@testing-library/react";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { FULL_PARTICIPATION } from "@kind-grip/core/safety";
import { samplePerson, sampleSession } from "../testing/sample";
import { showPage } from "../testing/screen";
import { FormForMany } from "./FormForMany";

const movement = SHIPPED_LIBRARY.get("palm-away");
const [base, other] = movement.forms as unknown as [{ id: string }, { id: string }];
const people = Array.from({ length: 14 }, (_, i) => samplePerson({ name: `Person ${String.fromCharCode(65 + i)}`, badge: `b${i}` }));
const item = { ...sampleSession(["palm-away"]).items[0]!, personal: { [people[2]!.id]: { formId: other.id } } };
const open = () => {
  const [onSet, onClose] = [jest.fn(), jest.fn()];
  const page = showPage(
    <FormForMany
      item={item}
      movement={movement}
      people={people}
      participations={new Map([[people[0]!.id, FULL_PARTICIPATION]])}
      formId={other.id}
      onSet={onSet}
      onClose={onClose}
    />,
  );
  return { ...page, onSet, onClose };
};
const who = () => within(screen.getByRole("group", { name: "Who does it" }));

it("sets the form for whoever was chosen, and says who has one of their own already", async () => {
  const { user, onSet, onClose } = open();
  expect(screen.getByRole("button", { name: "Set for 0" })).toBeDisabled();
  expect(who().getByRole("button", { name: /^Person C · / })).toBeInTheDocument();
  await user.click(who().getByRole("button", { name: "Person A" }));
  await user.click(who().getByRole("button", { name: "Person B" }));
  await user.click(who().getByRole("button", { name: "Person A" }));
  await user.click(screen.getByRole("button", { name: "Set for 1" }));
  expect(onSet).toHaveBeenCalledWith([people[1]!.id], other.id);
  expect(onClose).toHaveBeenCalled();
});

it("all that are found at once, kept while others are looked for; another form", async () => {
  const { user, onSet } = open();
  await user.type(screen.getByRole("searchbox", { name: "Find a person" }), "b1");
  await user.click(screen.getByRole("button", { name: "All 5" }));
  await user.clear(screen.getByRole("searchbox", { name: "Find a person" }));
  await user.click(who().getByRole("button", { name: "Person A" }));
  await user.click(screen.getByRole("combobox", { name: "Form" }));
  await user.click(screen.getAllByRole("option")[0]!);
  await user.click(screen.getByRole("button", { name: "Set for 6" }));
  const [ids, formId] = onSet.mock.calls[0] as [string[], string];
  expect(formId).toBe(base.id);
  expect(new Set(ids)).toEqual(new Set([people[0]!, people[1]!, ...people.slice(10)].map(({ id }) => id)));
});

it("nobody found is said, and nothing can be chosen", async () => {
  const { user } = open();
  await user.type(screen.getByRole("searchbox", { name: "Find a person" }), "nobody of that name");
  expect(screen.getByText("Nobody is like that.")).toBeInTheDocument();
  expect(screen.getByRole("button", { name: "All 0" })).toBeDisabled();
});
