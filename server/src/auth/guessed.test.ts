import { isGuessedSoon, refuseGuessed } from "./guessed";

const KNOWN = ["Ada Quill", "ada@quarry.example", "Quarry Lane Hands"];

it.each(["1234567890", "password123", "qwertyuiop", "aaaaaaaaaaaa", "ada quill ada", "quarrylane1", "hands2024!"])(
  "%s is guessed soon",
  (password) => {
    expect(isGuessedSoon(password, KNOWN)).toBe(true);
  },
);
it.each(["copper kettle walking slowly", "vq7#Lw2x!k", "seven quiet lanterns on ice"])("%s is not", (password) => {
  expect(isGuessedSoon(password, KNOWN)).toBe(false);
});
it("what somebody is called makes the difference", () => {
  expect(isGuessedSoon("marlowquarry77", [])).toBe(false);
  expect(isGuessedSoon("marlowquarry77", ["Marlowquarry Ltd"])).toBe(true);
});
it("is refused at the field it was typed in", () => {
  expect(() => refuseGuessed("password123", KNOWN, "next")).toThrow(
    expect.objectContaining({ fields: [expect.objectContaining({ path: "next" })] }),
  );
});
