/** What is sent twice is made once. */
import { useRef } from "react";
import { v7 as uuid } from "uuid";

/**
 * The id of what is about to be made: the same for as long as it is the same thing on the same page, so that pressing again after an answer
 * was lost makes no second one.
 */
export function useSameId(): (thing: unknown) => string {
  const last = useRef<{ thing: string; id: string } | null>(null);
  return (thing) => {
    const text = JSON.stringify(thing);
    if (last.current?.thing !== text) last.current = { thing: text, id: uuid() };
    return last.current.id;
  };
}
