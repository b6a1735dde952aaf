/** The custom movement in the studio, as a document that is stored when its maker says so. */
import { useState } from "react";
import { MOVEMENT_DOCUMENT, type CustomMovement } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import type { CustomMovementEntry } from "@kind-grip/core/api";
import { libraryApi } from "../library/api";
import { useOwner } from "../base/api";
import { useDocument } from "../document/use-document";
import { newMovement } from "./new-movement";

/** @param entry undefined for one that is new */
export function useMovementDraft(entry: CustomMovementEntry | undefined) {
  const [store] = libraryApi.useStoreMovementMutation();
  const owner = useOwner();
  const [start] = useState(() => ({ version: entry?.version ?? 0, value: entry?.custom ?? newMovement(uuid()) }));
  const id = entry?.id ?? "new";
  return useDocument<CustomMovement>({
    autosave: false,
    draft: { storage: localStorage, owner, id, of: MOVEMENT_DOCUMENT, former: { key: `kind-grip:studio:${id}`, valueAs: "own" } },
    start,
    save: (version, custom) => store({ id: idOf(custom), version, custom: trimmed(custom) }),
    theirsFrom: (detail) => {
      const newer = detail as CustomMovementEntry | undefined;
      return newer?.custom ? { version: newer.version, value: newer.custom } : null;
    },
  });
}

/** Its id on the server, which is its own without the prefix. */
export function idOf({ movement }: CustomMovement): string {
  return movement.id.slice(movement.id.indexOf("-") + 1);
}

function trimmed(custom: CustomMovement): CustomMovement {
  const lines = (list: readonly string[]) => list.map((line) => line.trim()).filter(Boolean);
  const { words } = custom;
  return { ...custom, words: { ...words, steps: lines(words.steps), watch: lines(words.watch), care: lines(words.care) } };
}
