/** How long before a session somebody is reminded: as their crew is, in their own time, or not at all. */
import type { MemberDay, ReminderRule } from "@kind-grip/core/api";
import { REMIND_MINUTES } from "@kind-grip/core/dayplan";
import { useWords } from "../base/library";
import { memberApi } from "./api";
import { AS_CREW, OwnChoice } from "./OwnChoice";
import { takeDay } from "./use-phone";

const NONE = "none";

export function ReminderChoice({ reminder: { own, crew } }: { reminder: MemberDay["reminder"] }) {
  const words = useWords();
  const [choose, { error }] = memberApi.useMemberReminderMutation();
  const textOf = ({ minutesBefore }: ReminderRule) =>
    minutesBefore === null ? words.member("reminderNone") : words.member("reminderBefore", { minutes: minutesBefore });
  const set = async (value: string) => {
    const minutes = REMIND_MINUTES.find((each) => String(each) === value) ?? null;
    const { data } = await choose(value === AS_CREW ? null : { minutesBefore: minutes });
    if (data) await takeDay(data);
  };
  return (
    <OwnChoice
      label={words.member("reminders")}
      value={own === null ? AS_CREW : (own.minutesBefore?.toString() ?? NONE)}
      ofCrew={textOf(crew)}
      options={[
        ...REMIND_MINUTES.map((minutes) => ({ value: String(minutes), label: textOf({ minutesBefore: minutes }) })),
        { value: NONE, label: words.member("reminderNone") },
      ]}
      onChange={(value) => void set(value)}
      failed={error !== undefined}
    />
  );
}
