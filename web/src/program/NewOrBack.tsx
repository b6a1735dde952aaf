/** Who is new or was away, what they do less and until when; the trainer may end it. */
import { Box, Button, Typography } from "@mui/material";
import { DateTime } from "luxon";
import type { PersonEntry, RampEntry } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { crewApi } from "../crew/api";

interface NewOrBackProps {
  crewId: string;
  people: readonly PersonEntry[];
  entries: readonly RampEntry[];
}

export function NewOrBack({ crewId, people, entries }: NewOrBackProps) {
  const dispatch = useAppDispatch();
  const [endRamp, { isLoading, error }] = crewApi.useEndRampMutation();
  const shown = people.flatMap((person) => {
    const entry = entries.find(({ personId }) => personId === person.id);
    return entry ? [{ person, entry }] : [];
  });
  if (shown.length === 0) return null;
  /** One after the other: each is a change of the crew. */
  const set = async (list: readonly PersonEntry[], ended: boolean) => {
    for (const { id } of list) {
      const { error } = await endRamp({ crewId, personId: id, ended });
      if (error) return { error };
    }
    return {};
  };
  const end = async (list: readonly PersonEntry[]) => {
    if ((await set(list, true)).error) return;
    const text =
      list.length === 1
        ? t("{{name}} does what is written from today on.", { name: list[0]!.name })
        : t("{{count}} people do what is written from today on.", { count: list.length });
    dispatch(notify({ text, undo: () => set(list, false) }));
  };
  const told = shown.filter(({ entry }) => entry.why !== null);
  return (
    <Box component="section" aria-labelledby="new-or-back" sx={{ mt: 2 }}>
      <Typography variant="h3" id="new-or-back">
        {t("New or back")}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {shown.map(({ person, entry }) => (
          <Box
            component="li"
            key={person.id}
            sx={{
              display: "flex",
              flexWrap: "wrap",
              gap: 1,
              alignItems: "center",
              borderTop: "1px solid",
              borderColor: "line",
              minHeight: 52,
            }}
          >
            <Typography sx={{ flex: "1 1 280px" }}>
              <strong>{person.name}</strong>, {rampText(entry)}
            </Typography>
            {entry.why && (
              <Button
                disabled={isLoading}
                aria-label={t("Let {{name}} do what is written", { name: person.name })}
                onClick={() => void end([person])}
              >
                {t("As written from today")}
              </Button>
            )}
          </Box>
        ))}
      </Box>
      {error !== undefined && (
        <Typography role="alert" sx={{ color: "error.main" }}>
          {problemOf(error).message}
        </Typography>
      )}
      {told.length > 1 && (
        <Button disabled={isLoading} onClick={() => void end(told.map(({ person }) => person))}>
          {t("All as written from today")}
        </Button>
      )}
      <Typography sx={{ color: "text.secondary", maxWidth: 720 }}>
        {t(
          "By rule: from 7 days away less of each, from 21 an easier form without load first, from 42 the easiest. Getting ready stays as it is.",
        )}
      </Typography>
    </Box>
  );
}

/** Why, what is less, until when. */
function rampText({ form, loadWaits, why }: RampEntry): string {
  const what = [
    t("about six tenths of each dose"),
    ...(form === "easier" ? [t("one form easier")] : form === "easiest" ? [t("the easiest form")] : []),
    ...(loadWaits ? [t("nothing in the hand where that can be")] : []),
  ].join(", ");
  if (!why) return what;
  const day = (date: string) => dateText(DateTime.fromISO(date), "ccc d LLL");
  const because =
    why.awayDays === null ? t("new") : t("away {{count}} days", { count: why.awayDays, defaultValue_one: "away {{count}} day" });
  return why.until === why.ends
    ? t("{{because}}: {{what}}, until {{until}}", { because, what, until: day(why.until) })
    : t("{{because}}: {{what}}, until {{until}}; back to what is written after {{ends}}", {
        because,
        what,
        until: day(why.until),
        ends: day(why.ends),
      });
}
