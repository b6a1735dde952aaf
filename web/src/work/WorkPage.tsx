/** What the hands of a crew do in a shift, and what it comes to. The strain of both hands is the first thing the eye meets. */
import { Alert, Box, Button, ListSubheader, Menu, MenuItem, Typography } from "@mui/material";
import { FileText, Plus } from "lucide-react";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { hasLeft, isHere } from "@kind-grip/core/crew";
import { dateAt, longestWorkMin } from "@kind-grip/core/calendar";
import { hardestWay, hoursOfTask, MAX_TASKS, TASK_STARTERS, type Task, type TaskStarter } from "@kind-grip/core/strain";
import type { CrewEntry, PersonEntry, WorkEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { workApi, workDone } from "./api";
import { crewApi } from "../crew/api";
import { notify } from "../base/notices";
import { useNow } from "../base/now";
import { useAppDispatch } from "../base/store";
import { useCrew } from "../crew/CrewFrame";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { SaveState } from "../document/SaveState";
import { NeedView } from "./NeedView";
import { taskFrom, withoutTask, withTask } from "./new-task";
import { ShiftOpinions } from "./ShiftOpinions";
import { ShiftStrain } from "./ShiftStrain";
import { TaskList } from "./TaskList";
import { TaskEditor } from "./TaskEditor";
import { Treatments } from "./Treatments";
import { problemPlace } from "./problem-place";
import { useWork } from "./use-work";
import { WayChoice } from "./WayChoice";
import { WorkDays } from "./WorkDays";

export default function WorkPage() {
  const crew = useCrew();
  const work = workApi.useWorkQuery(crew.id, { refetchOnMountOrArgChange: true });
  const people = crewApi.usePeopleQuery(crew.id);
  if (work.isFetching) return <PageTitle title={t("Work")} />;
  return (
    <Loaded query={work}>
      {(entry) => <Loaded query={people}>{(list) => <Work key={entry.crewId} crew={crew} entry={entry} people={list} />}</Loaded>}
    </Loaded>
  );
}

const VIEWS = [
  { value: "tasks", label: t("Tasks") },
  { value: "shift", label: t("Who does what") },
  { value: "opinions", label: t("Opinions of the shift") },
  { value: "need", label: t("What it asks for") },
] as const;
type View = (typeof VIEWS)[number]["value"];

function Work({ crew, entry, people }: { crew: CrewEntry; entry: WorkEntry; people: PersonEntry[] }) {
  const edited = useWork(crew, entry);
  const work = edited.value;
  const [search, setSearch] = useSearchParams();
  const view = VIEWS.find(({ value }) => value === search.get("view"))?.value ?? "tasks";
  const [taskId, setTaskId] = useState<string | null>(search.get("task"));
  const openTask = (id: string) => {
    setTaskId(id);
    setSearch({});
  };
  const dispatch = useAppDispatch();
  const today = dateAt(useNow(), crew.timeZone);
  const here = people.filter((person) => isHere(person, today));
  const shiftMin = longestWorkMin(crew.shiftPattern);
  const task = work.tasks.find(({ id }) => id === taskId) ?? work.tasks[0];
  const done = workDone({ ...entry, work });
  const [wayId, setWayId] = useState(() => hardestWay(done)?.id);
  const day = done.days.find(({ id }) => id === wayId) ?? hardestWay(done);
  const add = (starter?: TaskStarter) => {
    const made = taskFrom(starter);
    edited.change(withTask(work, made, shiftMin));
    setTaskId(made.id);
  };
  const remove = (gone: Task) => {
    edited.change(withoutTask(work, gone.id));
    dispatch(notify({ text: t("{{name}} is taken out.", { name: gone.name }), undo: edited.undo }));
  };
  return (
    <>
      <PageTitle title={t("Work")}>
        <SaveState edited={edited} what={t("this crew's work")} />
        {work.tasks.length > 0 && (
          <Button component={Link} to="briefing" variant="outlined" startIcon={<FileText size={20} />}>
            {t("Briefing sheet")}
          </Button>
        )}
      </PageTitle>
      {edited.found.slice(0, 3).map((problem) => {
        const at = problemPlace(work, problem.path);
        return (
          <Alert
            key={`${problem.path} ${problem.message}`}
            severity="error"
            variant="outlined"
            sx={{ mb: 1.5 }}
            action={
              <Button
                color="inherit"
                onClick={() => {
                  if (at.taskId) setTaskId(at.taskId);
                  setSearch(at.view === "tasks" ? {} : { view: at.view });
                }}
              >
                {t("Show")}
              </Button>
            }
          >
            <strong>{at.name}</strong>: {problem.message}
          </Alert>
        );
      })}
      {work.tasks.length === 0 ? (
        <Empty
          title={t("What do the hands do all day?")}
          text={t(
            "Describe the tasks of {{name}} in the words of the trade: how hard, how often, how long, in which posture. The strain of a shift follows, and which change would help most.",
            { name: crew.name },
          )}
        >
          <AddTask onAdd={add} primary />
        </Empty>
      ) : (
        <>
          {day && view !== "shift" && (
            <Box sx={{ mb: 3, maxWidth: 980 }}>
              {done.days.length > 1 ? (
                <WayChoice ways={done.days} chosen={day} people={people} booked={entry.bookedDays !== undefined} onChoose={setWayId} />
              ) : (
                entry.bookedDays && <Typography sx={{ mb: 1 }}>{t("A usual day, as it is booked:")}</Typography>
              )}
              <ShiftStrain work={work} day={day} onTask={openTask} />
            </Box>
          )}
          <Box sx={{ mb: 3, "@media print": { display: "none" } }}>
            <Choice<View>
              label={t("Part of the work")}
              value={view}
              onChange={(value) => setSearch(value === "tasks" ? {} : { view: value })}
              options={VIEWS.map((each) => (each.value === "shift" && crew.byBookings ? { ...each, label: t("Treatments") } : each))}
            />
          </Box>
          {view === "tasks" && task && (
            <Box
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "260px minmax(0, 1fr)" },
                columnGap: 4,
                rowGap: 3,
                alignItems: "start",
              }}
            >
              <Box>
                <TaskList work={done} day={day} chosen={task.id} onChoose={setTaskId} />
                {work.tasks.length < MAX_TASKS && <AddTask onAdd={add} />}
              </Box>
              <TaskEditor
                key={task.id}
                task={task}
                hours={hoursOfTask(done, task.id, day)}
                problemAt={(path) => edited.problemAt(`tasks.${work.tasks.indexOf(task)}.${path}`)}
                onChange={(next, gesture) =>
                  edited.change(
                    { ...work, tasks: work.tasks.map((each) => (each.id === next.id ? next : each)) },
                    gesture && `${next.id} ${gesture}`,
                  )
                }
                onRemove={() => remove(task)}
              />
            </Box>
          )}
          {view === "shift" &&
            (crew.byBookings ? (
              <Treatments edited={edited} />
            ) : (
              <WorkDays crew={crew} edited={edited} people={people.filter((person) => !hasLeft(person, today))} shiftMin={shiftMin} />
            ))}
          {view === "opinions" && day && <ShiftOpinions work={done} day={day} onTask={openTask} />}
          {view === "need" && <NeedView work={done} crew={crew} people={here} />}
        </>
      )}
    </>
  );
}

function AddTask({ onAdd, primary = false }: { onAdd(starter?: TaskStarter): void; primary?: boolean }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const pick = (starter?: TaskStarter) => {
    setAt(null);
    onAdd(starter);
  };
  return (
    <>
      <Button
        variant={primary ? "contained" : "outlined"}
        startIcon={<Plus size={18} />}
        onClick={(event) => setAt(event.currentTarget)}
        aria-haspopup="menu"
      >
        {t("Add a task")}
      </Button>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        <MenuItem onClick={() => pick()}>
          <strong>{t("A task of my own")}</strong>
        </MenuItem>
        <ListSubheader sx={{ bgcolor: "transparent", lineHeight: 2 }}>{t("Or start from a typical one")}</ListSubheader>
        {TASK_STARTERS.map((starter) => (
          <MenuItem key={starter.name} onClick={() => pick(starter)}>
            {starter.name}
            {starter.tool && <Typography sx={{ color: "text.secondary", ml: 1 }}>{starter.tool}</Typography>}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
