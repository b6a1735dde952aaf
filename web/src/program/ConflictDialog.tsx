/** Somebody else saved this program meanwhile: a clear choice, and whichever is not taken stays one undo away. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import type { Program } from "@kind-grip/core/program";
import { compilePerson } from "@kind-grip/core/session";
import { clockText } from "@kind-grip/core/units";
import { useLibrary } from "../base/library";
import { v7 as uuid } from "uuid";
import { serverApi } from "../app/api";
import { notify } from "../app/notices";
import { useAppDispatch, useAppSelector } from "../app/store";
import { mineKept, theirsTaken } from "./editor-state";

export function ConflictDialog() {
  const { conflict, program } = useAppSelector((state) => state.editor);
  const [create, { isLoading }] = serverApi.useCreateProgramMutation();
  const dispatch = useAppDispatch();
  if (!conflict || !program) return null;
  const saveCopy = async () => {
    const copied = await create({
      crewId: conflict.crewId,
      id: uuid(),
      program: withNewIds({ ...program, name: `${program.name} (my version)`.slice(0, 120) }),
    });
    if (!copied.data) return;
    dispatch(theirsTaken());
    dispatch(notify({ text: `Yours is kept as “${copied.data.program.name}”.` }));
  };
  return (
    <Dialog open aria-labelledby="conflict-title" maxWidth="sm" fullWidth>
      <DialogTitle id="conflict-title">Somebody else saved this program meanwhile</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>Nothing is lost: the version you do not take stays one step of undo away.</Typography>
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 3 }}>
          <Version title="Yours" program={program} />
          <Version title="Theirs" program={conflict.program} />
        </Box>
      </DialogContent>
      <DialogActions sx={{ flexWrap: "wrap", gap: 1 }}>
        <Button variant="outlined" disabled={isLoading} onClick={() => void saveCopy()}>
          Keep both
        </Button>
        <Button variant="outlined" onClick={() => dispatch(mineKept())}>
          Keep mine
        </Button>
        <Button variant="contained" onClick={() => dispatch(theirsTaken())}>
          Take theirs
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Version({ title, program }: { title: string; program: Program }) {
  const library = useLibrary();
  return (
    <Box>
      <Typography variant="h3">{title}</Typography>
      <Typography>{program.name}</Typography>
      {program.sessions.map((session) => (
        <Typography key={session.id} sx={{ color: "text.secondary" }}>
          {session.name}: {session.items.length} items, {clockText(compilePerson(session, library.timings).totalSec)}
        </Typography>
      ))}
    </Box>
  );
}

function withNewIds(program: Program): Program {
  return {
    ...program,
    sessions: program.sessions.map((session) => ({
      ...session,
      id: uuid(),
      items: session.items.map((item) => ({ ...item, id: uuid() })),
    })),
  };
}
