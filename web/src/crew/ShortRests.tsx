/** What a shift pattern leaves too little rest between, said where the pattern is made. */
import { Box, Typography } from "@mui/material";
import { LEAST_REST_MIN, turnaroundsOf, type ShiftPattern, type Turnaround } from "@kind-grip/core/calendar";
import { hoursText } from "../base/hours";
import { weekdayText } from "../base/weekdays";
import { t } from "../base/words";

export function ShortRests({ pattern }: { pattern: ShiftPattern }) {
  const short = turnaroundsOf(pattern);
  if (short.length === 0) return null;
  return (
    <Box component="ul" aria-label={t("Too little rest between shifts")} sx={{ listStyle: "none", p: 0, m: 0, display: "grid", gap: 1 }}>
      {short.map((each) => (
        <Box
          component="li"
          key={`${each.before.date} ${each.after.date}`}
          sx={{ borderLeft: "4px solid", borderColor: each.restMin < 0 ? "warm.main" : "line", pl: 1.5 }}
        >
          <Typography sx={{ maxWidth: 620, lineHeight: 1.35 }}>{saidOf(each)}</Typography>
        </Box>
      ))}
    </Box>
  );
}

function saidOf({ before: last, after: next, restMin }: Turnaround): string {
  const before = `${weekdayText(last.date)} ${last.kind.name}`;
  const after = `${weekdayText(next.date)} ${next.kind.name}`;
  return restMin < 0
    ? t("{{after}} begins {{over}} before {{before}} has ended: nobody can work both.", { after, over: hoursText(-restMin), before })
    : t("{{rest}} of rest between {{before}} and {{after}}; with less than {{least}} sleep is cut short.", {
        rest: hoursText(restMin),
        before,
        after,
        least: hoursText(LEAST_REST_MIN),
      });
}
