/** My four weeks: a square a day, minutes in all, mornings as a line of bars. Kept on the phone for when there is no connection. */
import { Box, Button, Typography } from "@mui/material";
import { useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import { addDays, firstOfWeek } from "@kind-grip/core/calendar";
import type { MemberProgress } from "@kind-grip/core/api";
import type { Language } from "@kind-grip/core/language";
import { LanguageChoice } from "../parts/LanguageChoice";
import { memberApi } from "./api";
import { OwnContacts } from "./OwnContacts";
import { OwnQuickSeries } from "./OwnQuickSeries";
import { QuickChoice } from "./QuickChoice";
import { ReminderChoice } from "./ReminderChoice";
import { takeDay, usePracticeTime } from "./use-phone";
import { todayAt } from "./workday";
import { authApi } from "../auth/api";
import { useWords } from "../base/library";
import { PhoneTitle, useDay } from "./PhoneFrame";
import { forgetPerson, keep, kept } from "./phone-store";

const WEEKS = 4;
/** Over the bar of a morning above what is usual. */
const RAISED_MARK = {
  position: "absolute",
  top: -14,
  left: -4,
  right: -4,
  textAlign: "center",
  fontSize: "0.75rem",
  lineHeight: 1,
  color: "warm.dark",
} as const;

export default function MyProgressPage() {
  const words = useWords();
  const navigate = useNavigate();
  const phone = useDay();
  const { day, waiting } = phone;
  const today = todayAt(day, usePracticeTime(phone));
  const { data } = memberApi.useMemberProgressQuery();
  const [before, setBefore] = useState<MemberProgress>();
  const [signOut, { error: stays }] = authApi.useSignOutMutation();
  const [choose, { error: problem }] = memberApi.useMemberLanguageMutation();
  const speak = async (language: Language) => {
    const { data: inIt } = await choose(language);
    if (inIt) await takeDay(inIt);
  };
  useEffect(() => {
    if (data) void keep("progress", data);
    else void kept("progress").then(setBefore);
  }, [data]);
  const progress = data ?? before;
  const leave = async () => {
    const { error } = await signOut();
    if (error) return;
    await forgetPerson();
    await navigate("/me/sign-in", { replace: true });
  };
  return (
    <>
      <PhoneTitle title={words.member("progress")} />
      {progress && progress.days.length + progress.mornings.length > 0 ? (
        <Figures progress={progress} today={today} />
      ) : (
        <Typography>{words.member("progressNone")}</Typography>
      )}
      <OwnQuickSeries series={progress?.quick ?? []} />
      <Box sx={{ mt: 5 }}>
        <LanguageChoice value={words.language} onChange={(language) => void speak(language)} />
        {problem && (
          <Typography role="alert" sx={{ color: "error.main", mt: 1 }}>
            {words.member("away")}
          </Typography>
        )}
      </Box>
      {/* A day that was kept by an earlier version does not have it. */}
      {"reminder" in day && (
        <Box sx={{ mt: 4 }}>
          <ReminderChoice reminder={day.reminder} />
        </Box>
      )}
      <Box sx={{ mt: 4 }}>
        <OwnContacts timeZone={day.crew.timeZone} />
      </Box>
      {day.quickTest && (
        <Box sx={{ mt: 4 }}>
          <QuickChoice quickTest={day.quickTest} />
        </Box>
      )}
      <Box sx={{ mt: 4 }}>
        {waiting.length > 0 ? (
          <Typography sx={{ color: "text.secondary" }}>{words.member("signOutWaits")}</Typography>
        ) : (
          <>
            <Button onClick={() => void leave()}>{words.member("signOut")}</Button>
            {stays && (
              <Typography role="alert" sx={{ color: "error.main" }}>
                {words.member("away")}
              </Typography>
            )}
          </>
        )}
      </Box>
      <Box sx={{ mt: 2 }}>
        <Button component={Link} to="/me/everything">
          {words.member("keptTitle")}
        </Button>
      </Box>
    </>
  );
}

function Figures({ progress, today }: { progress: MemberProgress; today: string }) {
  const words = useWords();
  const from = addDays(firstOfWeek(today, words.measures), -7 * (WEEKS - 1));
  const days = Array.from({ length: 7 * WEEKS }, (_, i) => addDays(from, i));
  const byDay = new Map(progress.days.map((each) => [each.day, each]));
  const morningOf = new Map(progress.mornings.map((each) => [each.day, each]));
  const shown = progress.days.filter((each) => each.day >= from);
  const minutes = Math.round(shown.reduce((sum, each) => sum + each.doneSec, 0) / 60);
  return (
    <>
      <Typography component="p" sx={{ fontSize: "2.4rem", fontWeight: 750, lineHeight: 1.1 }}>
        {words.member("progressMinutes", { minutes })}
      </Typography>
      <Typography sx={{ mb: 2, color: "text.secondary" }}>
        {words.member("progressDays", { count: shown.filter((each) => each.runs > 0).length })}
      </Typography>
      <Box role="list" sx={{ display: "grid", gridTemplateColumns: "repeat(7, 1fr)", gap: 0.75, mb: 4 }}>
        {days.map((date) => {
          const each = byDay.get(date);
          const share = each && each.itemsDue > 0 ? Math.min(1, each.itemsDone / each.itemsDue) : each && each.runs > 0 ? 1 : 0;
          return (
            <Box
              key={date}
              role="listitem"
              aria-current={date === today ? "date" : undefined}
              aria-label={words.member("dayText", { day: words.dayName(date), done: each?.itemsDone ?? 0, due: each?.itemsDue ?? 0 })}
              sx={{
                height: 42,
                borderRadius: 1.5,
                border: "2px solid",
                borderColor: date === today ? "text.primary" : "line",
                position: "relative",
                overflow: "hidden",
                bgcolor: "background.paper",
              }}
            >
              <Box
                className="keeps-colour"
                sx={{ position: "absolute", left: 0, right: 0, bottom: 0, height: `${share * 100}%`, bgcolor: "primary.main" }}
              />
              <Box
                component="span"
                // On paper of its own: a square that is filled in part is dark below and light above.
                sx={{
                  position: "relative",
                  display: "inline-block",
                  px: 0.5,
                  fontSize: "0.9rem",
                  fontWeight: 650,
                  lineHeight: 1.35,
                  bgcolor: "background.paper",
                  borderEndEndRadius: 6,
                  color: "text.primary",
                }}
              >
                {words.digits(Number(date.slice(8)))}
              </Box>
            </Box>
          );
        })}
      </Box>
      <Typography variant="h3" component="h2" sx={{ mb: 1 }}>
        {words.member("progressMornings")}
      </Typography>
      <Box
        role="list"
        sx={{ display: "flex", alignItems: "flex-end", gap: "3px", height: 96, borderBottom: "2px solid", borderColor: "line" }}
      >
        {days.map((date) => {
          const morning = morningOf.get(date);
          const text = morning && { day: words.dayName(date), level: morning.level };
          return (
            <Box
              className="keeps-colour"
              key={date}
              role="listitem"
              aria-label={text ? words.member(morning.raised ? "morningTextRaised" : "morningText", text) : words.dayName(date)}
              sx={{
                flex: 1,
                height: morning ? `${6 + morning.level * 8}%` : 0,
                bgcolor: morning?.raised ? "warm.main" : "primary.main",
                borderRadius: "3px 3px 0 0",
                // A raised one is told by its mark too, not by colour alone.
                position: "relative",
                "&::before": morning?.raised ? { content: '"▲"', ...RAISED_MARK } : undefined,
              }}
            />
          );
        })}
      </Box>
      {days.some((date) => morningOf.get(date)?.raised) && (
        <Typography sx={{ mt: 0.5, color: "text.secondary" }}>
          <Box component="span" aria-hidden sx={{ color: "warm.dark" }}>
            ▲
          </Box>{" "}
          {words.member("morningRaised")}
        </Typography>
      )}
    </>
  );
}
