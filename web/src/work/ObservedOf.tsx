/** Where the figures of an effort come from, and the observations of a task, each to be counted or left out. */
import { Box, Button, Typography } from "@mui/material";
import { Eye } from "lucide-react";
import { Link } from "react-router";
import type { ObservationEntry } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import type { Effort, Task } from "@kind-grip/core/strain";
import { durationText } from "@kind-grip/core/units";
import { wholeDayText } from "../base/dates";
import { numberText } from "../base/measures";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { effortsText } from "../base/amounts";
import { sideWord, t } from "../base/words";
import { crewApi } from "../crew/api";
import { useCrew } from "../crew/CrewFrame";
import { observeApi } from "../observe/api";
import { Toggle } from "../parts/Toggle";
import { Why } from "../parts/Why";

const share = (of: number) => numberText(of * 100, 0);

/** "Watched 12 March: 148 efforts, 21 a minute ± 4 %, 1.1 s ± 3 %. Said before: 12 a minute of 2 s." */
export function ObservedFigures({ effort }: { effort: Effort }) {
  const { observed } = effort;
  if (!observed) return null;
  return (
    <Typography sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
      <Eye size={20} aria-hidden style={{ flexShrink: 0, marginTop: 3 }} />
      <span>
        <strong>{t("Watched, {{date}}:", { date: wholeDayText(observed.on) })}</strong>{" "}
        {t(
          "{{efforts}}, {{perMin}} a minute ± {{rate}} %, {{secEach}} s ± {{seconds}} %. Said before: {{saidPerMin}} a minute of {{saidSec}} s.",
          {
            efforts: effortsText(observed.efforts),
            perMin: numberText(effort.perMin, 1),
            rate: share(observed.perMinError),
            secEach: numberText(effort.secEach, 1),
            seconds: share(observed.secEachError),
            saidPerMin: numberText(observed.said.perMin, 1),
            saidSec: numberText(observed.said.secEach, 1),
          },
        )}
      </span>
    </Typography>
  );
}

/** The way to the fields, and what was watched before. */
export function Observations({ task }: { task: Task }) {
  const crew = useCrew();
  const dispatch = useAppDispatch();
  const { data: all } = observeApi.useObservationsQuery(crew.id, { refetchOnMountOrArgChange: true });
  const [count] = observeApi.useCountObservationMutation();
  const list = all?.filter(({ taskId }) => taskId === task.id) ?? [];
  const setCounts = async (of: ObservationEntry, counts: boolean) => {
    const answer = await count({ crewId: crew.id, id: of.id, counts });
    if (answer.data?.notUsed) dispatch(notify({ text: t("It counts, but the figures stay: {{why}}.", { why: answer.data.notUsed }) }));
    else if (answer.error) dispatch(notify({ text: t("That could not be changed. Try again.") }));
  };
  return (
    <Box sx={{ display: "flex", gap: 1.5, rowGap: 0.5, flexWrap: "wrap", alignItems: "center" }}>
      <Button component={Link} to={`observe?task=${task.id}`} variant="outlined" startIcon={<Eye size={20} />}>
        {t("Watch it")}
      </Button>
      {!all ? null : list.length === 0 ? (
        <Typography sx={{ color: "text.secondary", flex: 1, minWidth: 200 }}>
          {t("How often and how long are guesses until somebody watched: three minutes with two fingers.")}
        </Typography>
      ) : (
        <Why label={t("{{count}} observations", { count: list.length, defaultValue_one: "{{count}} observation" })}>
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1 }}>
            {list.map((each) => (
              <Box component="li" key={each.id} sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}>
                <Toggle
                  label={each.counts ? t("Counts") : t("Left out")}
                  pressed={each.counts}
                  onChange={(counts) => void setCounts(each, counts)}
                />
                <ObservationLine of={each} task={task} />
              </Box>
            ))}
          </Box>
        </Why>
      )}
    </Box>
  );
}

function ObservationLine({ of, task }: { of: ObservationEntry; task: Task }) {
  const crew = useCrew();
  const { data: people } = crewApi.usePeopleQuery(crew.id);
  const who = people?.find(({ id }) => id === of.personId)?.name ?? t("somebody of the crew");
  const hands = of.hands.map(({ side, effortId, efforts, rhythm, forgotten }) => {
    const name = task.efforts.find(({ id }) => id === effortId)?.name ?? t("an effort that is gone");
    const figures = rhythm
      ? t("{{perMin}} a minute of {{secEach}} s", {
          perMin: numberText(rhythm.perMin.value, 1),
          secEach: numberText(rhythm.secEach.value, 1),
        })
      : t("too short for figures");
    const left = forgotten > 0 ? t(", {{count}} not let go of", { count: forgotten }) : "";
    return t("{{side}}, {{name}}: {{efforts}}, {{figures}}{{left}}", {
      side: sideWord(side),
      name,
      efforts: effortsText(efforts),
      figures,
      left,
    });
  });
  return (
    <span>
      {t("{{date}}, {{who}}, {{time}}{{film}}. {{hands}}", {
        date: wholeDayText(dateAt(Date.parse(of.startedAt), crew.timeZone)),
        who,
        time: durationText(Math.round(of.lengthMs / 1000)),
        film: of.from === "video" ? t(" of film") : "",
        hands: hands.join("; "),
      })}
    </span>
  );
}
