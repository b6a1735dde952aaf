/** A short sheet for the crew's board: what the work does to the hands, and the cards it pulls up. Made to be printed. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft, Printer } from "lucide-react";
import { Link } from "react-router";
import { cardsFor } from "@kind-grip/core/need";
import { adviceFor, adviceOfAll, minutesByTask, minutesOverWays, RAISED_STRAIN, taskStrain, type Work } from "@kind-grip/core/strain";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { sideWord, t } from "../base/words";
import { workApi, workDone } from "./api";
import { useWords } from "../base/library";
import { useCrew } from "../crew/CrewFrame";
import { CoachingCardList } from "../library/CoachingCards";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { strainText } from "./strain-text";
import { adviceText } from "./advice-text";

/** A sheet is read in two minutes. */
const MOST_CARDS = 6;

export default function BriefingPage() {
  const words = useWords();
  const crew = useCrew();
  const query = workApi.useWorkQuery(crew.id);
  return (
    <Loaded query={query}>
      {(entry) => {
        const work = workDone(entry);
        return (
          <>
            <PageTitle
              title={t("Kinder ways to work: {{name}}", { name: crew.name })}
              lead={t("A change at the work helps more than any exercise. Two minutes to read before the shift.")}
            >
              <Button component={Link} to={`/crews/${crew.id}/work`} startIcon={<ArrowLeft size={20} />}>
                {t("Work")}
              </Button>
              <Button variant="contained" startIcon={<Printer size={20} />} onClick={() => print()}>
                {t("Print")}
              </Button>
            </PageTitle>
            {work.days.length > 0 && work.tasks.length > 0 ? (
              <Sheet work={work} />
            ) : (
              <Empty title={t("Describe the work first")} text={t("The sheet is made from the tasks.")} />
            )}
            <Typography sx={{ mt: 4, color: "text.secondary" }}>{words.paper("prevention")}</Typography>
          </>
        );
      }}
    </Loaded>
  );
}

/** For everybody of the crew: each task as long as whoever has the most of it does it, in whichever way of the shift that is. */
function Sheet({ work }: { work: Work }) {
  // Each task by the hand it is harder on: a task of the other hand must not be missing.
  const isInAll = (taskId: string) => work.days.every((day) => minutesByTask(day).has(taskId));
  const tasks = [...minutesOverWays(work)]
    .flatMap(([taskId, { least, most: minutes }]) => {
      const task = work.tasks.find(({ id }) => id === taskId);
      if (!task) return [];
      const of = (side: HandSide) => ({ task, minutes, side, index: taskStrain(task, side, minutes / 60).index });
      const [left, right] = HAND_SIDES.map(of) as [ReturnType<typeof of>, ReturnType<typeof of>];
      const worse = left.index > right.index ? left : right;
      return [
        {
          ...worse,
          first: adviceOfAll(task, worse.side, minutes / 60)?.first.change,
          same: left.index === right.index,
          upTo: least < minutes || !isInAll(taskId),
        },
      ];
    })
    .filter(({ index }) => index > 0)
    .sort((a, b) => b.index - a.index);
  return (
    <>
      <Typography sx={{ mb: 1, maxWidth: 900 }}>
        {t(
          "The number is the strain index of the task over its minutes of a shift, for the harder hand: effort, how often, how long, wrist and hours together. Above {{raisedStrain}} is read as raised.",
          { raisedStrain: RAISED_STRAIN },
        )}
      </Typography>
      <Box component="ol" sx={{ listStyle: "none", m: 0, mb: 4, p: 0, maxWidth: 900 }}>
        {tasks.map(({ task, minutes, side, index, first, same, upTo }) => (
          <Box
            component="li"
            key={task.id}
            sx={{
              display: "grid",
              gridTemplateColumns: "112px 1fr",
              columnGap: 2,
              py: 1,
              borderBottom: "1px solid",
              borderColor: "line",
              alignItems: "center",
            }}
          >
            <Box>
              <Typography
                sx={{ fontSize: "1.8rem", fontWeight: 800, lineHeight: 1.1, color: index > RAISED_STRAIN ? "warm.dark" : "text.primary" }}
              >
                {strainText(index)}
              </Typography>
              <Typography sx={{ fontSize: "0.95rem", lineHeight: 1.15, color: index > RAISED_STRAIN ? "warm.dark" : "text.secondary" }}>
                {index > RAISED_STRAIN ? t("strain, raised") : t("strain")}
              </Typography>
            </Box>
            <Typography>
              <strong>{task.name}</strong>
              {upTo
                ? t(", up to {{minutes}} min a shift, {{what}}.", { minutes, what: handText(side, same) })
                : t(", {{minutes}} min a shift, {{what}}.", { minutes, what: handText(side, same) })}
              {first && (
                <>
                  {" "}
                  {t("Helps most:")} <strong>{adviceText(adviceFor(task, first))}</strong>.
                </>
              )}
            </Typography>
          </Box>
        ))}
      </Box>
      <CoachingCardList cards={cardsFor(work, work.days).slice(0, MOST_CARDS)} />
    </>
  );
}

function handText(side: HandSide, both: boolean): string {
  return both ? t("both hands") : t("{{side}} hand", { side: sideWord(side) });
}
