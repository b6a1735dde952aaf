/** Sends what was worked out on the bench into an item of a program. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField, Typography } from "@mui/material";
import { CornerDownRight } from "lucide-react";
import { useState } from "react";
import { wordsIn } from "@kind-grip/core/language";
import type { Item } from "@kind-grip/core/session";
import { problemOf, serverApi } from "../app/api";
import { notify } from "../app/notices";
import { useAppDispatch } from "../app/store";

interface SendToProgramProps {
  /** What is sent, e.g. "this dose". */
  what: string;
  /** Items it can be sent to. */
  fits(item: Item): boolean;
  change(item: Item): Item;
}

export function SendToProgram(props: SendToProgramProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="outlined" startIcon={<CornerDownRight size={20} />} sx={{ whiteSpace: "nowrap" }} onClick={() => setOpen(true)}>
        Use {props.what} in a program
      </Button>
      {open && <SendDialog {...props} onClose={() => setOpen(false)} />}
    </>
  );
}

function SendDialog({ what, fits, change, onClose }: SendToProgramProps & { onClose(): void }) {
  const words = wordsIn();
  const crews = serverApi.useCrewsQuery().data ?? [];
  const [crewId, setCrewId] = useState("");
  const programs = serverApi.useProgramsQuery(crewId, { skip: crewId === "", refetchOnMountOrArgChange: true });
  const [itemId, setItemId] = useState("");
  const [save, { isLoading, error }] = serverApi.useSaveProgramMutation();
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
        text: `${entry.program.name} has it.`,
        undo: () =>
          void save({ id: entry.id, version: data.version, program: entry.program }).then(() =>
            dispatch(serverApi.util.invalidateTags(["Programs"])),
          ),
      }),
    );
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="send-title">
      <DialogTitle id="send-title">Use {what} in a program</DialogTitle>
      <DialogContent>
        <Box sx={{ display: "grid", gap: 2, pt: 1 }}>
          <TextField
            select
            label="Crew"
            value={crewId}
            onChange={(event) => {
              setCrewId(event.target.value);
              setItemId("");
            }}
          >
            {crews.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          {crewId !== "" && programs.currentData && choices.length === 0 && (
            <Typography>No program of this crew has an item it fits.</Typography>
          )}
          {choices.length > 0 && (
            <TextField select label="Item" value={itemId} onChange={(event) => setItemId(event.target.value)}>
              {choices.map(({ entry, session, item }) => (
                <MenuItem key={item.id} value={item.id}>
                  {entry.program.name}, {session.name}: {words.movementName(item.movementId)}, {words.dose(item.dose)}
                  {item.loadKg !== null && `, ${item.loadKg} kg`}
                </MenuItem>
              ))}
            </TextField>
          )}
          {error && (
            <Alert severity="error" variant="outlined">
              {problemOf(error).message}
            </Alert>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not now</Button>
        <Button variant="contained" disabled={itemId === "" || isLoading} onClick={() => void send()}>
          Use it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
