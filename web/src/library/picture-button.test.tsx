/** A small picture that opens large: the movement in its form, moving, with its steps; closed, the page is as it was. */
import { screen, waitFor, within } from "@testing-library/react";
import { wordsIn } from "@kind-grip/core/language";
import { showPage } from "../testing/screen";
import { PictureButton } from "./PictureButton";

const words = wordsIn();
const text = words.movement("palm-away");

it("opens the movement in the form that is shown, with every step and what to watch for", async () => {
  const { user } = showPage(<PictureButton movementId="palm-away" formId="elbow-90" />);
  await user.click(screen.getByRole("button", { name: `${text.name}, large` }));
  const dialog = await screen.findByRole("dialog", { name: new RegExp(`^${text.name}`) });
  expect(dialog).toHaveTextContent(words.formName("palm-away", "elbow-90"));
  expect(within(dialog).getByRole("region", { name: "Figure" })).toBeInTheDocument();
  for (const line of [...text.steps, ...text.watch, text.feel]) expect(dialog).toHaveTextContent(line);
});

it("opens in the form the movement starts with where none is said", async () => {
  const { user } = showPage(<PictureButton movementId="palm-away" />);
  await user.click(screen.getByRole("button"));
  expect(await screen.findByRole("dialog")).toHaveTextContent(words.formName("palm-away", "elbow-soft"));
});

it("is opened and closed by keyboard, and the keyboard is where it was", async () => {
  const { user } = showPage(<PictureButton movementId="palm-away" />);
  await user.tab();
  await user.keyboard("{Enter}");
  await screen.findByRole("dialog");
  await user.keyboard("{Escape}");
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  expect(screen.getByRole("button", { name: `${text.name}, large` })).toHaveFocus();
});

it("of a movement that is gone is no button", () => {
  showPage(<PictureButton movementId="gone" />);
  expect(screen.queryByRole("button")).toBeNull();
});
