/** Which noise changes are held against here, and where that comes from. */
import { Link as TextLink, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { Link } from "react-router";
import { dateText } from "../base/dates";
import { t } from "../base/words";
import { useNoise } from "./use-noise";

export function HeldAgainst() {
  const studied = Object.values(useNoise());
  const latest = studied
    .map(({ lastOn }) => lastOn)
    .sort()
    .at(-1);
  return (
    <Typography sx={{ color: "text.secondary", mt: 1 }}>
      {latest
        ? t("Held against your own noise, measured up to {{date}}; what was not studied, against the usual rules.", {
            date: dateText(DateTime.fromISO(latest), "d LLLL yyyy"),
          })
        : t("Held against the usual rules of noise, not against your own.")}{" "}
      <TextLink component={Link} to="/practice/measuring">
        {t("Noise of your measuring")}
      </TextLink>
    </Typography>
  );
}
