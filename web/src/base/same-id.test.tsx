/** The id of what is about to be made. */
import { renderHook } from "@testing-library/react";
import { useSameId } from "./same-id";

it("is the same for the same thing, over drawings of the page too; another for another", () => {
  const { result, rerender } = renderHook(() => useSameId());
  const first = result.current({ name: "A", items: [1] });
  rerender();
  expect(result.current({ name: "A", items: [1] })).toBe(first);
  const second = result.current({ name: "A", items: [1, 2] });
  expect(second).not.toBe(first);
  expect(result.current({ name: "A", items: [1] })).not.toBe(first);
});

it("is another on another page", () => {
  const [one, other] = [renderHook(() => useSameId()), renderHook(() => useSameId())];
  expect(one.result.current("x")).not.toBe(other.result.current("x"));
});
