import { render } from "@testing-library/react";
import { useRef } from "react";
import { useFittingType } from "./use-fitting-type";

/** A box with room for 100, and content that is so high at full size. */
function shareFor(full: number): string {
  let box!: HTMLElement;
  const share = () => Number(box.style.getPropertyValue("--fit"));
  const high = jest.spyOn(HTMLElement.prototype, "scrollHeight", "get").mockImplementation(() => Math.round(full * share()));
  const room = jest.spyOn(HTMLElement.prototype, "clientHeight", "get").mockImplementation(() => Math.min(100, Math.round(full * share())));
  function Shown() {
    const ref = useRef<HTMLDivElement>(null);
    useFittingType(ref, "text");
    return (
      <div
        ref={(element) => {
          box ??= element!;
          ref.current = element;
        }}
      />
    );
  }
  render(<Shown />);
  const fitted = box.style.getPropertyValue("--fit");
  high.mockRestore();
  room.mockRestore();
  return fitted;
}

it.each([
  [80, "1"],
  [100, "1"],
  [101, "0.94"],
  [120, "0.82"],
  [156, "0.64"],
  // Smaller is not read: the rest is cut.
  [400, "0.64"],
])("content %d high where there is room for 100 is set at %s of its size", (full, share) => expect(shareFor(full)).toBe(share));
