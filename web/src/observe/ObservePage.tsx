/** Watching the work: what is watched, then the two fields to press while a hand works, then it is kept. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import type { CrewEntry, PersonEntry, WorkEntry } from "@kind-grip/core/api";
import { hoursOfTask } from "@kind-grip/core/strain";
import { durationText } from "@kind-grip/core/units";
import { useOwner } from "../base/api";
import { PAGE_HEIGHT } from "../base/NoticeBar";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { effortsText } from "../base/amounts";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { putObservation } from "../run/outbox";
import { workApi, workDone } from "../work/api";
import { WatchScreen } from "./WatchScreen";
import { WhatToWatch } from "./WhatToWatch";
import { dropWatch, keepWatch, keptWatch, Watch, type KeptWatch } from "./watch";

export default function ObservePage() {
  const { crewId } = useParams();
  const crew = crewApi.useCrewQuery(crewId!);
  const work = workApi.useWorkQuery(crewId!);
  const people = crewApi.usePeopleQuery(crewId!);
  return (
    <Box component="main" sx={{ minHeight: PAGE_HEIGHT, bgcolor: "background.default" }}>
      <Loaded query={crew}>
        {(crewEntry) => (
          <Loaded query={work}>
            {(entry) => <Loaded query={people}>{(list) => <Observe crew={crewEntry} entry={entry} people={list} />}</Loaded>}
          </Loaded>
        )}
      </Loaded>
    </Box>
  );
}

interface ObserveProps {
  crew: CrewEntry;
  entry: WorkEntry;
  people: PersonEntry[];
}

function Observe({ crew, entry, people }: ObserveProps) {
  const owner = useOwner();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const [underWay, setUnderWay] = useState<{ watch: Watch; film: File | null } | null>(null);
  const [kept, setKept] = useState<KeptWatch | null>(() => keptWatch(owner, crew.id));
  const back = `/crews/${crew.id}/work`;
  const taskOf = (id: string) => entry.work.tasks.find((task) => task.id === id);
  if (underWay) {
    const task = taskOf(underWay.watch.watched.taskId)!;
    return (
      <WatchScreen
        watch={underWay.watch}
        film={underWay.film}
        task={task}
        hours={hoursOfTask(workDone(entry), task.id)}
        onKeep={(moment) => keepWatch(owner, underWay.watch.kept(moment)!)}
        onThrowAway={() => {
          dropWatch(crew.id);
          setKept(null);
          setUnderWay(null);
        }}
        onDone={(observation) => {
          putObservation(observation, owner);
          dropWatch(crew.id);
          const efforts = observation.hands.reduce((sum, { presses }) => sum + presses.length / 2, 0);
          dispatch(
            notify({
              text: t("Kept: {{efforts}} in {{time}}. {{task}} takes its figures from them.", {
                efforts: effortsText(efforts),
                time: durationText(observation.lengthMs / 1000),
                task: task.name,
              }),
            }),
          );
          void navigate(`${back}?task=${task.id}`);
        }}
      />
    );
  }
  const goOn = kept && taskOf(kept.watched.taskId);
  return (
    <Box sx={{ maxWidth: 720, mx: "auto", px: 2, py: 2 }}>
      <Button component={Link} to={back} startIcon={<ArrowLeft size={18} />} sx={{ mb: 1 }}>
        {t("Work of {{name}}", { name: crew.name })}
      </Button>
      <PageTitle
        title={t("Watch the work")}
        lead={t("Press while a hand works, let go when it rests. The figures follow, and how sure they are.")}
      />
      {goOn && (
        <Box
          sx={{
            bgcolor: "warm.light",
            borderRadius: 2,
            px: 2,
            py: 1.5,
            mb: 3,
            display: "flex",
            gap: 1.5,
            flexWrap: "wrap",
            alignItems: "center",
          }}
        >
          <Typography sx={{ flex: 1, minWidth: 220 }}>
            {t("{{task}} was being watched here: {{time}} so far.", { task: goOn.name, time: durationText(kept.lengthMs / 1000) })}
          </Typography>
          {kept.watched.from === "line" && (
            <Button variant="contained" onClick={() => setUnderWay({ watch: Watch.from(kept), film: null })}>
              {t("Go on")}
            </Button>
          )}
          <Button
            onClick={() => {
              const observation = Watch.from(kept).observation(0);
              if (observation) putObservation(observation, owner);
              dropWatch(crew.id);
              setKept(null);
            }}
          >
            {t("Keep it as it is")}
          </Button>
          <Button
            onClick={() => {
              dropWatch(crew.id);
              setKept(null);
            }}
          >
            {t("Throw it away")}
          </Button>
        </Box>
      )}
      {entry.work.tasks.length === 0 ? (
        <Empty title={t("No task to watch yet")} text={t("Describe a task first, with a guess; watching puts the figures right.")}>
          <Button component={Link} to={back} variant="contained">
            {t("Describe a task")}
          </Button>
        </Empty>
      ) : (
        <WhatToWatch crew={crew} tasks={entry.work.tasks} people={people} onStart={setUnderWay} />
      )}
    </Box>
  );
}
