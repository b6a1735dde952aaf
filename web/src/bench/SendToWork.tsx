/** Sends a task worked out on the bench into a crew's work, with its hours in every day that has room. */
import { TextField } from "@mui/material";
import { useState } from "react";
import { longestWorkMin } from "@kind-grip/core/calendar";
import type { Task } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { workApi } from "../work/api";
import { crewApi } from "../crew/api";
import { v7 as uuid } from "uuid";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { withTask } from "../work/new-task";
import { SendButton, SendFrame } from "./SendFrame";

interface SendToWorkProps {
  task: Task;
  minutes: number;
}

export function SendToWork(props: SendToWorkProps) {
  return <SendButton label={t("Add it to a crew's work")} dialog={(onClose) => <SendDialog {...props} onClose={onClose} />} />;
}

function SendDialog({ task, minutes, onClose }: SendToWorkProps & { onClose(): void }) {
  const [crewId, setCrewId] = useState("");
  const [name, setName] = useState("");
  const crewQuery = crewApi.useCrewQuery(crewId, { skip: crewId === "" });
  const workQuery = workApi.useWorkQuery(crewId, { skip: crewId === "", refetchOnMountOrArgChange: true });
  const [crew, stored] = [crewQuery.currentData, workQuery.currentData];
  const [save, { isLoading, error }] = workApi.useSaveWorkMutation();
  const dispatch = useAppDispatch();
  const send = async () => {
    if (!crew || !stored) return;
    const made = { ...task, id: uuid(), name: name.trim(), efforts: task.efforts.map((effort) => ({ ...effort, id: uuid() })) };
    const work = withTask(stored.work, made, longestWorkMin(crew.shiftPattern), minutes);
    const { data } = await save({ crewId, version: stored.version, work });
    if (!data) return;
    dispatch(
      notify({
        text: work.days.some(({ parts }) => parts.some(({ taskId }) => taskId === made.id))
          ? t("{{name}} has it under Work.", { name: crew.name })
          : t("{{name}} has it under Work, in no shift: none has room for it.", { name: crew.name }),
        undo: () => save({ crewId, version: data.version, work: stored.work }),
      }),
    );
    onClose();
  };
  return (
    <SendFrame
      title={t("Add it to a crew's work")}
      crewId={crewId}
      onCrew={setCrewId}
      error={error ?? crewQuery.error ?? workQuery.error}
      ready={name.trim() !== "" && crew !== undefined && stored !== undefined && !isLoading}
      onSend={() => void send()}
      onClose={onClose}
    >
      <TextField
        label={t("Name of the task")}
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
    </SendFrame>
  );
}
