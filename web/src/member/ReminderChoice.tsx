/** How long before a session somebody is reminded: as their crew is, in their own time, or not at all. */
import { MenuItem, TextField, Typography } from "@mui/material";
import type { MemberDay, ReminderRule } from "@kind-grip/core/api";
import { REMIND_MINUTES } from "@kind-grip/core/dayplan";
import { useWords } from "../base/library";
import { memberApi } from "./api";
import { takeDay } from "./use-phone";

const AS_CREW = "crew";
const NONE = "none";

export function ReminderChoice({ reminder }: { reminder: MemberDay["reminder"] }) {
  const words = useWords();
  const [choose, { error }] = memberApi.useMemberReminderMutation();
  const textOf = ({ minutesBefore }: ReminderRule) =>
    minutesBefore === null ? words.member("reminderNone") : words.member("reminderBefore", { minutes: minutesBefore });
  const set = async (value: string) => {
    const minutes = REMIND_MINUTES.find((each) => String(each) === value) ?? null;
    const { data } = await choose(value === AS_CREW ? null : { minutesBefore: minutes });
    if (data) await takeDay(data);
  };
  const { own, crew } = reminder;
  return (
    <>
      <TextField
        select
        label={words.member("reminders")}
        value={own === null ? AS_CREW : (own.minutesBefore?.toString() ?? NONE)}
        onChange={({ target }) => void set(target.value)}
        sx={{ width: "100%", maxWidth: 320 }}
      >
        <MenuItem value={AS_CREW}>{words.member("reminderAsCrew", { what: textOf(crew) })}</MenuItem>
        {REMIND_MINUTES.map((minutes) => (
          <MenuItem key={minutes} value={String(minutes)}>
            {textOf({ minutesBefore: minutes })}
          </MenuItem>
        ))}
        <MenuItem value={NONE}>{words.member("reminderNone")}</MenuItem>
      </TextField>
      {error && (
        <Typography role="alert" sx={{ color: "error.main", mt: 1 }}>
          {words.member("away")}
        </Typography>
      )}
    </>
  );
}
