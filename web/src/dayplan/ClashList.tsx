/** What clashes in a week, and what is worth knowing. */
import { Box, Button, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { type Clash } from "@kind-grip/core/dayplan";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { Mend } from "./AheadList";
import type { Mends } from "./use-mends";

/** The same finding on several days is said once. */
function byText(clashes: Clash[], text: (clash: Clash) => string): [string, Clash[]][] {
  const groups = new Map<string, Clash[]>();
  for (const clash of clashes) groups.set(text(clash), [...(groups.get(text(clash)) ?? []), clash]);
  return [...groups];
}

export function ClashList({
  clashes,
  text,
  empty,
  onChoose,
  zone,
  mends,
}: {
  clashes: Clash[];
  text(clash: Clash): string;
  empty: boolean;
  onChoose(id: string): void;
  zone: string;
  mends: Mends;
}) {
  const stops = clashes.filter((clash) => clash.weight === "stop");
  const notes = clashes.filter((clash) => clash.weight === "note");
  const list = (some: Clash[], tone: string) => (
    <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, display: "grid", gap: 1 }}>
      {byText(some, text).map(([words, alike]) => (
        <Box component="li" key={words} sx={{ borderLeft: "4px solid", borderColor: tone, pl: 1.5 }}>
          <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
            {alike.map((clash) => dateText(DateTime.fromISO(clash.date, { zone }), alike.length > 1 ? "ccc" : "cccc")).join(", ")}
          </Typography>
          <Typography sx={{ lineHeight: 1.35 }}>{words}</Typography>
          {alike[0]!.placementIds.length > 0 && (
            <Button size="small" sx={{ px: 0, minHeight: 32 }} onClick={() => onChoose(alike[0]!.placementIds.at(-1)!)}>
              {t("Show")}
            </Button>
          )}
          <MendClash clash={alike[0]!} mends={mends} />
        </Box>
      ))}
    </Box>
  );
  return (
    <Box component="section" aria-label={t("Clashes")} role="status">
      <Typography variant="h3" sx={{ mb: 1 }}>
        {stops.length === 0
          ? empty
            ? t("Nothing placed yet")
            : t("No clashes")
          : t("{{count}} clashes", { count: stops.length, defaultValue_one: "{{count}} clash" })}
      </Typography>
      {empty && (
        <Typography sx={{ color: "text.secondary" }}>
          {t("Press + on a day to place a session: once it is on a kind of shift, it is on every one of them.")}
        </Typography>
      )}
      {list(stops, "warm.main")}
      {!empty && notes.length > 0 && (
        <>
          <Typography variant="h3" sx={{ mt: 2, mb: 1 }}>
            {t("Worth knowing")}
          </Typography>
          {list(notes, "line")}
        </>
      )}
    </Box>
  );
}

function MendClash({ clash, mends }: { clash: Clash; mends: Mends }) {
  const days = mends.of(clash);
  return days ? <Mend onClick={() => mends.mend(days)}>{mends.text(days)}</Mend> : null;
}
