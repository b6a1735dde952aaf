/** Reminding the people of a session: in quiet hours they wait until people are up, unless they are to go at once. */
import { Box, Button, Typography } from "@mui/material";
import { BellRing } from "lucide-react";
import { DateTime } from "luxon";
import type { Reminded } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { t } from "../base/words";
import { dayPlanApi } from "./api";

interface RemindProps {
  crewId: string;
  placementId: string;
  timeZone: string;
  /** Not yet stored placements cannot remind anybody. */
  stored: boolean;
}

export function Remind({ crewId, placementId, timeZone, stored }: RemindProps) {
  const [remind, { data, error, isLoading }] = dayPlanApi.useRemindMutation();
  const send = (atOnce: boolean) => void remind({ crewId, placementId, atOnce });
  return (
    <Box sx={{ display: "grid", gap: 0.75 }}>
      <Button variant="outlined" startIcon={<BellRing size={18} />} disabled={!stored || isLoading} onClick={() => send(false)}>
        {t("Remind everybody")}
      </Button>
      <Typography role="status" sx={{ lineHeight: 1.35 }}>
        {error ? problemOf(error).message : data ? remindedText(data, timeZone) : ""}
      </Typography>
      {data?.heldUntil && (
        <Button disabled={isLoading} onClick={() => send(true)}>
          {t("Send them now all the same")}
        </Button>
      )}
    </Box>
  );
}

function remindedText({ queued, people, unwanted, unreachable, waiting, heldUntil }: Reminded, timeZone: string): string {
  const told =
    people === 0
      ? ""
      : queued === 0
        ? waiting === 0
          ? t("All {{people}} were reminded before.", { people })
          : heldUntil
            ? t("{{count}} have one that waits.", { count: waiting, defaultValue_one: "{{count}} has one that waits." })
            : t("{{count}} get theirs now.", { count: waiting, defaultValue_one: "{{count}} gets theirs now." })
        : t("{{count}} of {{people}} get a reminder.", {
            count: queued,
            people,
            defaultValue_one: "{{count}} of {{people}} gets a reminder.",
          });
  return [
    told,
    ...(heldUntil
      ? [t("They are off: it goes out {{time}}.", { time: dateText(DateTime.fromISO(heldUntil, { zone: timeZone }), "ccc HH:mm") })]
      : []),
    ...(unwanted > 0 ? [t("{{count}} want none.", { count: unwanted, defaultValue_one: "{{count}} wants none." })] : []),
    ...(unreachable > 0
      ? [
          t("{{count}} have given no way to be reached.", {
            count: unreachable,
            defaultValue_one: "{{count}} has given no way to be reached.",
          }),
        ]
      : []),
  ]
    .filter(Boolean)
    .join(" ");
}
