/** Today: what runs when, for which crew. The next run is the first thing the eye meets. */
import { Box, Button, Typography } from "@mui/material";
import { CalendarRange, Play } from "lucide-react";
import { DateTime } from "luxon";
import { lazy, Suspense } from "react";
import { Link } from "react-router";
import { durationText } from "@kind-grip/core/units";
import type { Today, TodayEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { clockPlace } from "../base/clock-places";
import { dateText, timeText } from "../base/dates";
import { serverApi } from "../base/api";
import { fetched } from "../base/lost-code";
import { todayApi } from "./api";
import { useWords } from "../base/library";
import { useNow } from "../base/now";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Loading } from "../parts/Loading";
import { PageTitle } from "../parts/PageTitle";
import { runAddress } from "../run/address";
import { DayClock } from "./DayClock";
import { FirstPath } from "./FirstPath";
import { NeedsYou } from "./NeedsYou";
import { ShortKit } from "./ShortKit";

const DemoDoor = lazy(() => fetched(() => import("../practice/DemoDoor")));

export default function TodayPage() {
  const query = todayApi.useTodayQuery(undefined, { refetchOnMountOrArgChange: true, pollingInterval: 30_000 });
  return <Loaded query={query}>{(today) => <Day today={today} />}</Loaded>;
}

function Day({ today }: { today: Today }) {
  const now = useNow();
  const account = serverApi.useMeQuery().data?.account;
  const isTrainer = account?.role === "trainer";
  const zone = today.crews[0]?.timeZone ?? "utc";
  const date = dateText(DateTime.fromMillis(now, { zone }), "cccc d LLLL");
  const next = nextRun(today.entries, now);
  const done = today.entries.filter((entry) => entry.runId).length;
  return (
    <>
      <PageTitle
        title={date}
        lead={
          today.entries.length > 0
            ? t("{{count}} sessions placed, {{done}} led.", {
                count: today.entries.length,
                done,
                defaultValue_one: "{{count}} session placed, {{done}} led.",
              })
            : undefined
        }
      >
        {today.crews.length > 0 && (
          <Button component={Link} to="/week" startIcon={<CalendarRange size={20} />}>
            {t("My week")}
          </Button>
        )}
      </PageTitle>
      {next && <NextRun entry={next} now={now} zones={today.crews.map(({ timeZone }) => timeZone)} />}
      <NeedsYou today={today} />
      {isTrainer && !today.entries.some(({ runId }) => runId) && <FirstPath />}
      {today.crews.length === 0 && !isTrainer && (
        <Empty title={t("No crew yet")} text={t("A trainer gives you the crews you lead; they are here from then on.")} />
      )}
      {today.crews.length === 0 && isTrainer && !account.demo && (
        <Suspense fallback={<Loading />}>
          <DemoDoor />
        </Suspense>
      )}
      {today.crews.length > 0 && <DayClock today={today} now={now} next={next} />}
    </>
  );
}

/** The first that has not been led and is not more than half an hour past. */
function nextRun(entries: readonly TodayEntry[], now: number): TodayEntry | undefined {
  return entries.find((entry) => !entry.runId && Date.parse(entry.startsAt) + 30 * 60_000 > now);
}

function NextRun({ entry, now, zones }: { entry: TodayEntry; now: number; zones: readonly string[] }) {
  const words = useWords();
  const place = clockPlace(entry.timeZone, zones, Date.parse(entry.startsAt));
  const minutes = Math.round((Date.parse(entry.startsAt) - now) / 60_000);
  const when =
    minutes > 90
      ? t("at {{time}}", { time: timeText(Date.parse(entry.startsAt), entry.timeZone) })
      : minutes > 0
        ? t("in {{minutes}} min", { minutes })
        : minutes === 0
          ? t("now")
          : t("{{minutes}} min ago", { minutes: -minutes });
  return (
    <Box
      component="section"
      aria-label={t("Next run")}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "auto 1fr auto" },
        gap: { xs: 2, md: 4 },
        alignItems: "center",
        bgcolor: "primary.main",
        color: "primary.contrastText",
        borderRadius: 3,
        px: { xs: 3, md: 4 },
        py: 3,
        mb: 4,
      }}
    >
      <Box>
        <Typography component="p" sx={{ fontSize: "3.6rem", fontWeight: 750, lineHeight: 1, letterSpacing: "-0.03em" }}>
          {timeText(Date.parse(entry.startsAt), entry.timeZone)}
        </Typography>
        <Typography sx={{ mt: 0.5, fontWeight: 600 }}>{[place, when].filter(Boolean).join(", ")}</Typography>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="h2" sx={{ fontSize: "1.7rem" }}>
          {entry.sessionName}{" "}
          <Box component="span" sx={{ fontWeight: 500 }}>
            · {durationText(entry.totalSec)}
          </Box>
        </Typography>
        <Typography>
          {t("{{crewName}}, {{count}} people · {{place}}", {
            crewName: entry.crewName,
            count: entry.people,
            place: entry.place,
            defaultValue_one: "{{crewName}}, {{count}} person · {{place}}",
          })}
        </Typography>
        <Typography noWrap sx={{ opacity: 0.9 }}>
          {entry.movementIds.map((id) => words.movementName(id)).join(" · ")}
        </Typography>
        <ShortKit short={entry.shortKit} onColour />
      </Box>
      <Button
        component={Link}
        to={runAddress(entry)}
        size="large"
        startIcon={<Play size={22} fill="currentColor" />}
        sx={{
          bgcolor: "background.paper",
          color: "primary.dark",
          px: 4,
          minHeight: 60,
          fontSize: "1.2rem",
          "&:hover": { bgcolor: "background.default" },
        }}
      >
        {t("Lead it")}
      </Button>
    </Box>
  );
}
