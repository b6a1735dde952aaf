/** What of the standing plan does not work out in the weeks ahead, and only that: each with the smallest mend. */
import { Box, Button, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { Link } from "react-router";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { addDays, mondayOf } from "@kind-grip/core/calendar";
import {
  brokenSeries,
  goingOnWith,
  inGroup,
  lasting,
  withoutAGroup,
  type BrokenDay,
  type BrokenSeries,
  type Clash,
} from "@kind-grip/core/dayplan";
import { v7 as uuid } from "uuid";
import { dateText } from "../base/dates";
import { t } from "../base/words";
import { nextBlocks } from "./next-block";
import type { PlaceableSession } from "./placed";
import type { Mends } from "./use-mends";
import { WEEKS_AHEAD, type Planned } from "./use-plan";

interface AheadListProps {
  crew: CrewEntry;
  planned: Planned;
  sessions: readonly PlaceableSession[];
  people: readonly PersonEntry[];
  memberIds: ReadonlySet<string>;
  weekStart: string;
  today: string;
  mends: Mends;
  text(clash: Clash): string;
}

/** Kinds of trouble listed at most: who mends these sees the next ones. */
const SHOWN = 6;

/** The next block in the place of the one before, from the Monday that is shown, or the next there is. */
export function NextBlocks({ planned, sessions, weekStart, today }: Pick<AheadListProps, "planned" | "sessions" | "weekStart" | "today">) {
  const { plan, change } = planned;
  const from = weekStart > today ? weekStart : addDays(mondayOf(today), 7);
  return nextBlocks(sessions, plan.standing, today).map(({ programId, name, instead, nextOf }) => (
    <Box key={programId} component="section" aria-label={name} sx={{ borderLeft: "4px solid", borderColor: "primary.main", pl: 1.5 }}>
      <Typography sx={{ lineHeight: 1.35 }}>{t("{{name}} is not in the plan yet; {{instead}} is.", { name, instead })}</Typography>
      <Mend onClick={() => change(goingOnWith(plan, from, nextOf, uuid))}>
        {t("Go on with it from {{date}}", { date: dateText(DateTime.fromISO(from), "ccc d LLL") })}
      </Mend>
    </Box>
  ));
}

export function AheadList({ crew, planned, sessions, people, memberIds, weekStart, today, mends, text }: AheadListProps) {
  const { plan, change } = planned;
  const broken = brokenSeries(
    plan.standing,
    crew.shiftPattern,
    { sessionIds: new Set(sessions.map(({ session }) => session.id)), memberIds },
    today,
  );
  const missing = withoutAGroup(
    plan.standing,
    people.map(({ id }) => id),
    today,
  );
  const ahead = mends.alike.filter(([day]) => mondayOf(day!.clash.date) !== weekStart);
  if (ahead.length === 0 && broken.length === 0 && missing.length === 0)
    return (
      <Typography sx={{ color: "text.secondary" }}>
        {t("The {{count}} weeks from here work out as planned.", { count: WEEKS_AHEAD })}
      </Typography>
    );
  return (
    <Box component="section" aria-label={t("Does not work out")}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        {t("Does not work out")}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, display: "grid", gap: 1.25 }}>
        {missing.length > 0 && (
          <Item
            title={t("{{count}} people are in no group", { count: missing.length, defaultValue_one: "{{count}} person is in no group" })}
          >
            <Typography sx={{ lineHeight: 1.35 }}>
              {people
                .filter(({ id }) => missing.includes(id))
                .map(({ name }) => name)
                .join(", ")}
            </Typography>
            <Mend onClick={() => change(missing.reduce((before, id) => inGroup(before, [id], smallestGroup(before)), plan))}>
              {t("Into the smallest group")}
            </Mend>
          </Item>
        )}
        {broken.map((each) => (
          <Item key={each.series.id} title={sessionName(each, sessions)}>
            <Typography sx={{ lineHeight: 1.35 }}>{whyText(each.why)}</Typography>
            <Mend onClick={() => change(lasting(plan, each.series.id, addDays(today, -1)))}>{t("End the series")}</Mend>
          </Item>
        ))}
        {ahead.slice(0, SHOWN).map((list) => (
          <Item key={`${list[0]!.placementId} ${list[0]!.clash.kind}`} title={datesText(list)}>
            <Typography sx={{ lineHeight: 1.35 }}>{text(list[0]!.clash)}</Typography>
            <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
              <Mend onClick={() => mends.mend(list)}>{mends.text(list)}</Mend>
              <Button
                size="small"
                component={Link}
                to={`/crews/${crew.id}/day-plan/${mondayOf(list[0]!.clash.date)}`}
                sx={{ minHeight: 32 }}
              >
                {t("Show the week")}
              </Button>
            </Box>
          </Item>
        ))}
      </Box>
      {ahead.length > SHOWN && (
        <Typography sx={{ mt: 1, color: "text.secondary" }}>
          {t("and {{count}} more", { count: ahead.length - SHOWN, defaultValue_one: "and one more" })}
        </Typography>
      )}
    </Box>
  );
}

function whyText(why: BrokenSeries["why"]): string {
  switch (why) {
    case "noSuchShift":
      return t("Its kind of shift is gone from the crew's pattern.");
    case "noSuchBreak":
      return t("The break it was in is gone from its shift.");
    case "noSuchSession":
      return t("Its session is gone from its program.");
    case "emptyGroup":
      return t("Nobody is in its group.");
  }
}

function sessionName({ series }: BrokenSeries, sessions: readonly PlaceableSession[]): string {
  return sessions.find(({ session }) => session.id === series.sessionId)?.session.name ?? t("A session that is gone");
}

function smallestGroup({ standing: { groups } }: Planned["plan"]): string | null {
  return (
    groups.reduce<(typeof groups)[number] | null>(
      (least, group) => (!least || group.people.length < least.people.length ? group : least),
      null,
    )?.id ?? null
  );
}

function datesText(list: readonly BrokenDay[]): string {
  const dates = [...new Set(list.map(({ clash }) => clash.date))].map((date) => dateText(DateTime.fromISO(date), "ccc d LLL"));
  return dates.length <= 3
    ? dates.join(", ")
    : t("{{dates}} and {{count}} days more", { dates: dates.slice(0, 2).join(", "), count: dates.length - 2 });
}

function Item({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box component="li" sx={{ borderLeft: "4px solid", borderColor: "warm.main", pl: 1.5 }}>
      <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>{title}</Typography>
      {children}
    </Box>
  );
}

export function Mend({ onClick, children }: { onClick(): void; children: React.ReactNode }) {
  return (
    <Button size="small" variant="outlined" onClick={onClick} sx={{ mt: 0.5, minHeight: 34 }}>
      {children}
    </Button>
  );
}
