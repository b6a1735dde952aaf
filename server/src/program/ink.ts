/** How a page is written: from left to right or from right to left. */
import { LANGUAGE_FACTS, type Words } from "@kind-grip/core/language";
import type { Column, Content, Margins } from "pdfmake/interfaces";
import { rightToLeft, type Piece } from "../http/pdf-text";

interface Ink {
  /** Columns, the first one where reading begins. */
  inOrder(columns: Column[]): Column[];
  /** @param end at the far end of its column */
  text(pieces: readonly Piece[], place: { fontSize: number; width: number; margin?: Margins; end?: boolean; id?: string }): Content;
}

const LEFT_TO_RIGHT: Ink = {
  inOrder: (columns) => columns,
  text: (pieces, { fontSize, margin, end, id }) => ({ id, text: [...pieces], fontSize, margin, ...(end && { alignment: "right" }) }),
};

const RIGHT_TO_LEFT: Ink = {
  inOrder: (columns) => [...columns].reverse(),
  text: (pieces, { fontSize, width, margin, end, id }) => ({
    stack: rightToLeft(pieces, width, fontSize, end ? "left" : "right").map((line, i) => (i === 0 ? Object.assign(line, { id }) : line)),
    margin,
  }),
};

export function inkOf({ language }: Words): Ink {
  return LANGUAGE_FACTS[language].direction === "rtl" ? RIGHT_TO_LEFT : LEFT_TO_RIGHT;
}
