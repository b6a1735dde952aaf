/** What of the need a proposal does not meet, and what stands in the way. */
import { Box, Typography } from "@mui/material";
import { type Hindrance, type Unmet } from "@kind-grip/core/compose";
import type { SlotKind } from "@kind-grip/core/session";
import { listText } from "../base/measures";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { Why } from "../parts/Why";

export function NotCovered({ unmet }: { unmet: Unmet[] }) {
  const words = useWords();
  if (unmet.length === 0) return null;
  const because = (hindrance: Hindrance): string => {
    const slots = (list: readonly SlotKind[]) => listText(list.map((slot) => words.label("slot", slot).toLowerCase()));
    switch (hindrance.kind) {
      case "kit":
        return t("needs kit: {{needs}}", {
          needs: listText(
            hindrance.needs.map((kind) => words.label("kit", kind).toLowerCase()),
            "or",
          ),
        });
      case "place":
        return t("needs a place: {{needs}}", {
          needs: listText(
            hindrance.needs.map((setting) => words.label("setting", setting).toLowerCase()),
            "or",
          ),
        });
      case "time":
        return t("no time left in {{slots}}", { slots: slots(hindrance.slots) });
      case "items":
        return t("no more items fit in {{slots}}", { slots: slots(hindrance.slots) });
      case "movements":
        return t("would need one more movement to remember");
      case "nothing":
        return t("nothing in the library does more for it here");
    }
  };
  return (
    <Box component="section" aria-label={t("Not covered")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {t("Not covered, and why")}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxWidth: 860 }}>
        {unmet.map(({ region, kind, need, covered, because: hindrance }) => (
          <Box
            component="li"
            key={`${kind} ${region}`}
            sx={{
              display: "grid",
              gridTemplateColumns: "minmax(0, 1.2fr) 70px minmax(0, 1.4fr)",
              columnGap: 2,
              py: 0.5,
              borderBottom: "1px solid",
              borderColor: "line",
            }}
          >
            <span>
              {words.label("region", region)}, {kind}{" "}
              <Box component="span" sx={{ color: "text.secondary" }}>
                {t("need {{need}}", { need: Math.round(need) })}
              </Box>
            </span>
            <strong>{Math.round(covered * 100)} %</strong>
            <span>{because(hindrance)}</span>
          </Box>
        ))}
      </Box>
      <Why label={t("How it is composed")}>
        {t(
          "Every way a movement could stand in a session is weighed at once: what it does for each needed region in a week, what postures it reverses, how long it takes the group with the kit there is. Of all programs that keep to the limits and to the rules that protect people, the one that covers most is taken; of two alike, the one with fewer movements, then the shorter. Strengthening starts without load and never stands before the work.",
        )}
      </Why>
    </Box>
  );
}
