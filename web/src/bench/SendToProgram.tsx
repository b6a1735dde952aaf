/** Sends what was worked out on the bench into an item of a program. */
import { MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { Item } from "@kind-grip/core/session";
import { t } from "../base/words";
import { programApi } from "../program/api";
import { useWords } from "../base/library";
import { serverApi } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { SendButton, SendFrame } from "./SendFrame";

interface SendToProgramProps {
  /** What is sent, e.g. "this dose". */
  what: string;
  /** Items it can be sent to. */
  fits(item: Item): boolean;
  change(item: Item): Item;
}

export function SendToProgram(props: SendToProgramProps) {
  return (
    <SendButton
      label={t("Use {{what}} in a program", { what: props.what })}
      dialog={(onClose) => <SendDialog {...props} onClose={onClose} />}
    />
  );
}

function SendDialog({ what, fits, change, onClose }: SendToProgramProps & { onClose(): void }) {
  const words = useWords();
  const [crewId, setCrewId] = useState("");
  const programs = programApi.useProgramsQuery(crewId, { skip: crewId === "", refetchOnMountOrArgChange: true });
  const [itemId, setItemId] = useState("");
  const [save, { isLoading, error }] = programApi.useSaveProgramMutation();
  const dispatch = useAppDispatch();
  const choices = (programs.currentData ?? []).flatMap((entry) =>
    entry.program.sessions.flatMap((session) => session.items.filter(fits).map((item) => ({ entry, session, item }))),
  );
  const send = async () => {
    const found = choices.find(({ item }) => item.id === itemId);
    if (!found) return;
    const { entry, item } = found;
    const program = {
      ...entry.program,
      sessions: entry.program.sessions.map((session) => ({
        ...session,
        items: session.items.map((each) => (each.id === item.id ? change(each) : each)),
      })),
    };
    const { data } = await save({ id: entry.id, version: entry.version, program });
    if (!data) return;
    dispatch(serverApi.util.invalidateTags(["Programs"]));
    dispatch(
      notify({
        text: t("{{name}} has it.", { name: entry.program.name }),
        undo: async () => {
          const back = await save({ id: entry.id, version: data.version, program: entry.program });
          dispatch(serverApi.util.invalidateTags(["Programs"]));
          return back;
        },
      }),
    );
    onClose();
  };
  return (
    <SendFrame
      title={t("Use {{what}} in a program", { what })}
      crewId={crewId}
      onCrew={(id) => {
        setCrewId(id);
        setItemId("");
      }}
      error={error ?? programs.error}
      ready={itemId !== "" && !isLoading}
      onSend={() => void send()}
      onClose={onClose}
    >
      {crewId !== "" && programs.currentData && choices.length === 0 && (
        <Typography>{t("No program of this crew has an item it fits.")}</Typography>
      )}
      {choices.length > 0 && (
        <TextField select label={t("Item")} value={itemId} onChange={(event) => setItemId(event.target.value)}>
          {choices.map(({ entry, session, item }) => (
            <MenuItem key={item.id} value={item.id}>
              {entry.program.name}, {session.name}: {words.movementName(item.movementId)}, {words.dose(item.dose)}
              {item.loadKg !== null && `, ${words.load(item)}`}
            </MenuItem>
          ))}
        </TextField>
      )}
    </SendFrame>
  );
}
