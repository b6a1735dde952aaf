/** What axe finds serious on a page as it stands. */
import type { Page } from "@playwright/test";
import axe, { type RunOnly } from "axe-core";

export const WCAG: RunOnly = { type: "tag", values: ["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"] };

/**
 * @param runOnly which rules
 * @param atRest whether what a bar or the end of a list covers for now, until it is scrolled to, is left out
 * @returns each problem with where it is
 */
export async function axeViolationsOn(page: Page, runOnly: RunOnly, atRest = false): Promise<string[]> {
  // Put in once a page: moving within the application keeps it.
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe.source);
  return page.evaluate(
    async ([only, leaveCovered]) => {
      const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(
        // A drawing is one picture with one text; its hundreds of strokes are nothing to look into.
        { exclude: [[".js-plotly-plot"], [".figure svg"]] },
        { runOnly: only, resultTypes: ["violations"] },
      );
      const covered = (check: { data: { messageKey?: string } | null }) => /obscured/i.test(check.data?.messageKey ?? "");
      return violations
        .filter(({ impact }) => impact === "serious" || impact === "critical")
        .map(({ id, nodes }) => ({ id, nodes: nodes.filter(({ any }) => !leaveCovered || !any.some(covered)) }))
        .filter(({ nodes }) => nodes.length > 0)
        .map(({ id, nodes }) => `${id} ${nodes.map((node) => node.html.slice(0, 160)).join(" | ")}`);
    },
    [runOnly, atRest] as const,
  );
}
