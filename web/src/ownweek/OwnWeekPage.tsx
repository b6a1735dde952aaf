/** My week: every crew on one sheet, who leads what where, what cannot be led and what was not; printed on one page. */
import { Alert, Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { CalendarArrowDown, ChevronLeft, ChevronRight, Printer, Route } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import type { OwnWeek, OwnWeekEntry, PersonEntry } from "@kind-grip/core/api";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import { dateText } from "../base/dates";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { ownWeekApi } from "./api";
import { DayColumn } from "./DayColumn";
import { EntryDialog } from "./EntryDialog";
import { OwnCalendarDialog } from "./OwnCalendarDialog";
import { WaysDialog } from "./WaysDialog";
import { clashesOfWeek, isUnled, shownEntries } from "./week-view";

export default function OwnWeekPage() {
  const crews = crewApi.useCrewsQuery();
  return <Loaded query={crews}>{(list) => <WeekShown timeZone={list[0]?.timeZone ?? "UTC"} />}</Loaded>;
}

/** @param timeZone whose today it is: where their first crew works */
function WeekShown({ timeZone }: { timeZone: string }) {
  const now = useNow();
  const today = dateAt(now, timeZone);
  const { weekStart = today } = useParams();
  const query = ownWeekApi.useOwnWeekQuery(mondayOf(weekStart), { refetchOnMountOrArgChange: true, pollingInterval: 60_000 });
  return <Loaded query={query}>{(week) => <Sheet key={week.weekStart} week={week} now={now} today={today} />}</Loaded>;
}

const EVERYBODY = "everybody";

function Sheet({ week, now, today }: { week: OwnWeek; now: number; today: string }) {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const [openId, setOpenId] = useState<string | null>(null);
  const [dialog, setDialog] = useState<"ways" | "calendar" | null>(null);
  const crewId = search.get("crew");
  const personId = search.get("person");
  const leaderId = search.get("leader") ?? (crewId ? EVERYBODY : week.me);
  const person = usePerson(crewId, personId);
  const filter = { crewId, personId, days: person, leaderId: leaderId === EVERYBODY ? null : leaderId };
  const entries = shownEntries(week, filter);
  const clashes = clashesOfWeek(week, now).filter(({ ids }) => entries.some(({ placementId }) => ids.includes(placementId)));
  const unled = entries.filter((each) => isUnled(each, now));
  const crewName = week.entries.find((each) => each.crewId === crewId)?.crewName;
  const to = (days: number) => `/week/${addDays(week.weekStart, days)}?${search.toString()}`;
  const set = (key: string, value: string | null) => {
    const next = new URLSearchParams(search);
    if (value) next.set(key, value);
    else next.delete(key);
    if (key === "crew") next.delete("person");
    setSearch(next, { replace: true });
  };
  const isTrainer = week.leaders.some(({ id, role }) => id === week.me && role === "trainer");
  const open = week.entries.find(({ placementId }) => placementId === openId);
  const crews = [...new Map(week.entries.map((each) => [each.crewId, each.crewName])).entries()];
  return (
    <>
      <PageTitle
        title={titleOf(week, person?.name ?? crewName, leaderId)}
        lead={week.entries.length > 0 && leadText(entries, unled.length, clashes.filter(({ kind }) => kind !== "unknownWay").length)}
      >
        <IconButton component={Link} to={to(-7)} aria-label={t("Week before")}>
          <ChevronLeft />
        </IconButton>
        <Button onClick={() => void navigate(`/week?${search.toString()}`)}>{t("This week")}</Button>
        <IconButton component={Link} to={to(7)} aria-label={t("Week after")}>
          <ChevronRight />
        </IconButton>
        {isTrainer && (
          <Button startIcon={<Route size={20} />} onClick={() => setDialog("ways")}>
            {t("Ways")}
          </Button>
        )}
        <Button startIcon={<CalendarArrowDown size={20} />} onClick={() => setDialog("calendar")}>
          {t("Calendar")}
        </Button>
        <Button startIcon={<Printer size={20} />} onClick={() => print()}>
          {t("Print")}
        </Button>
      </PageTitle>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "end", mb: 2, "@media print": { display: "none" } }}>
        <Choice
          label={t("Whose sessions")}
          value={leaderId}
          onChange={(value) => set("leader", value)}
          options={[
            { value: week.me, label: t("Mine") },
            { value: EVERYBODY, label: t("Everybody's") },
            ...week.leaders.filter(({ id }) => id !== week.me).map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        {crews.length > 1 && (
          <TextField
            select
            label={t("Crew")}
            value={crewId ?? ""}
            onChange={({ target }) => set("crew", target.value || null)}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            sx={{ width: 260 }}
          >
            <MenuItem value="">{t("all crews")}</MenuItem>
            {crews.map(([id, name]) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Box>
      {week.entries.length === 0 ? (
        <Empty
          title={t("Nothing is planned in this week")}
          text={t("What is on the day plans of your crews stands here, with who leads it.")}
        >
          <Button component={Link} to="/crews" variant="contained">
            {t("Go to the crews")}
          </Button>
        </Empty>
      ) : (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "repeat(7, minmax(0, 1fr))" },
            gap: { xs: 2, md: 1 },
            alignItems: "start",
            // Five crews on one sheet of A4.
            "@media print": { gridTemplateColumns: "repeat(7, minmax(0, 1fr))", gap: 0.5, zoom: 0.68 },
          }}
        >
          {Array.from({ length: 7 }, (_, i) => addDays(week.weekStart, i)).map((date) => (
            <DayColumn
              key={date}
              date={date}
              isToday={today === date}
              entries={entries.filter((each) => each.date === date)}
              clashes={clashes}
              week={week}
              now={now}
              namesLeader={filter.leaderId === null}
              namesCrew={crewId === null}
              onOpen={setOpenId}
            />
          ))}
        </Box>
      )}
      {week.entries.length > 0 && entries.length === 0 && (
        <Alert severity="info" variant="outlined" sx={{ mt: 2 }}>
          {t("Nothing of this in this week.")}
        </Alert>
      )}
      {open && <EntryDialog key={open.placementId} entry={open} week={week} onClose={() => setOpenId(null)} />}
      {dialog === "ways" && <WaysDialog week={week} onClose={() => setDialog(null)} />}
      {dialog === "calendar" && <OwnCalendarDialog onClose={() => setDialog(null)} />}
      <Typography sx={{ display: "none", "@media print": { display: "block", mt: 1, fontSize: "0.8rem" } }}>
        {t("Printed {{date}}. Who is held out of something takes no part in it, whatever stands here.", {
          date: dateText(DateTime.fromMillis(now), "d LLLL yyyy"),
        })}
      </Typography>
    </>
  );
}

/** Null while nobody is looked for, or it is not known who. */
function usePerson(crewId: string | null, personId: string | null): PersonEntry | undefined {
  const { data } = crewApi.usePeopleQuery(crewId ?? "", { skip: !crewId || !personId });
  return data?.find(({ id }) => id === personId);
}

/** @param whose the person's or the crew's name, where the week is theirs */
function titleOf({ weekStart, me, leaders }: OwnWeek, whose: string | undefined, leaderId: string): string {
  const date = dateText(DateTime.fromISO(weekStart), "d LLLL");
  const name = whose ?? leaders.find(({ id }) => id === leaderId)?.name;
  if (leaderId === me && !whose) return t("My week, {{date}}", { date });
  return name ? t("{{whose}}, week of {{date}}", { whose: name, date }) : t("All crews, week of {{date}}", { date });
}

function leadText(entries: readonly OwnWeekEntry[], unled: number, clashes: number): string {
  const led = entries.filter(({ runId }) => runId !== null).length;
  return [
    t("{{count}} sessions, {{led}} led", { count: entries.length, led, defaultValue_one: "{{count}} session, {{led}} led" }),
    ...(unled > 0 ? [t("{{count}} were not led", { count: unled, defaultValue_one: "{{count}} was not led" })] : []),
    ...(clashes > 0 ? [t("{{count}} times in two places", { count: clashes, defaultValue_one: "once in two places" })] : []),
  ].join(" · ");
}
