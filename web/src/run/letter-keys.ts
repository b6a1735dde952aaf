/** Whether single letters do something on the run screen: off for whoever speaks to the computer or types by accident. Kept in this browser. */
import { useState } from "react";

const KEY = "kind-grip.letterKeys";

export function useLetterKeys(): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => localStorage.getItem(KEY) !== "off");
  return [
    on,
    (next) => {
      setOn(next);
      localStorage.setItem(KEY, next ? "on" : "off");
    },
  ];
}
