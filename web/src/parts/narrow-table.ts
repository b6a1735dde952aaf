import { UNSEEN } from "../base/unseen";

/**
 * A table where there is no room for columns: each row a list of what it says, each cell under the name of its column, which it carries
 * as `data-head`. Put beside a table's own rules.
 */
export const LIST_WHEN_NARROW = {
  "@media (max-width: 719.95px)": {
    "&, & caption, & tbody, & tr": { display: "block" },
    "& thead": UNSEEN,
    "& tbody tr": { borderTop: "1px solid", borderColor: "line", py: 1 },
    "& tbody th, & tbody td": { display: "flex", alignItems: "baseline", columnGap: 1, flexWrap: "wrap", border: 0, py: 0.25, pr: 0 },
    "& td[data-head]::before": { content: "attr(data-head)", flex: "0 0 38%", color: "text.secondary" },
  },
} as const;
