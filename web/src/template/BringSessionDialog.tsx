/** A session of another program of the crew, or of a template, brought into the program that is open. */
import { Alert, Box, Button, ButtonBase, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { v7 as uuid } from "uuid";
import type { CrewEntry } from "@kind-grip/core/api";
import type { Program } from "@kind-grip/core/program";
import { compilePerson, type Session } from "@kind-grip/core/session";
import { copyOf, SHIPPED_TEMPLATES, shippedProgram, type ShippedTemplateId } from "@kind-grip/core/template";
import { durationText } from "@kind-grip/core/units";
import { useLibrary } from "../base/library";
import { t } from "../base/words";
import { programApi } from "../program/api";
import { SESSION_NAMES } from "../program/session-names";
import { templateApi } from "./api";
import { BringInDialog } from "./BringInDialog";
import { SHIPPED_TEMPLATE_TEXTS } from "./template-text";

interface BringSessionDialogProps {
  crew: CrewEntry;
  /** The program that is open. */
  program: Program;
  programId: string;
  onBring(session: Session): void;
  onClose(): void;
}

interface Source {
  from: string;
  program: Program;
  sameCrew: boolean;
}

export function BringSessionDialog({ crew, program, programId, onBring, onClose }: BringSessionDialogProps) {
  const library = useLibrary();
  const programs = programApi.useProgramsQuery(crew.id);
  const templates = templateApi.useTemplatesQuery();
  const [chosen, setChosen] = useState<Program | null>(null);
  const sources = useMemo(
    (): Source[] => [
      ...(programs.data ?? [])
        .filter(({ id }) => id !== programId)
        .map((entry) => ({ from: entry.program.name, program: entry.program, sameCrew: true })),
      ...(templates.data ?? []).map((entry) => ({ from: entry.name, program: entry.program, sameCrew: false })),
      ...(Object.keys(SHIPPED_TEMPLATES) as ShippedTemplateId[]).map((id) => {
        const { name } = SHIPPED_TEMPLATE_TEXTS[id];
        return { from: name, program: shippedProgram(library, id, name, SESSION_NAMES, uuid), sameCrew: false };
      }),
    ],
    [library, programs.data, templates.data, programId],
  );
  const choose = (source: Source, session: Session) =>
    // In the style it was made in: its doses are what is brought.
    setChosen(
      copyOf(library, { ...program, style: source.program.style, sessions: [session] }, { sameCrew: source.sameCrew, kit: crew.kit }, uuid),
    );
  if (chosen)
    return (
      <BringInDialog
        title={t("Bring in {{name}}", { name: chosen.sessions[0]!.name })}
        program={chosen}
        crew={crew}
        action={t("Bring it in")}
        busy={false}
        error={null}
        named={false}
        onBringIn={({ sessions }) => {
          onBring(sessions[0]!);
          onClose();
        }}
        onClose={onClose}
      />
    );
  return (
    <Dialog open onClose={onClose} aria-labelledby="bring-session-title" maxWidth="sm" fullWidth>
      <DialogTitle id="bring-session-title">{t("Bring in a session")}</DialogTitle>
      <DialogContent>
        {[
          { query: programs, text: t("This crew's other programs could not be read.") },
          { query: templates, text: t("Your templates could not be read.") },
        ]
          .filter(({ query }) => query.error && query.data === undefined)
          .map(({ query, text }) => (
            <Alert
              key={text}
              severity="error"
              variant="outlined"
              sx={{ mb: 2 }}
              action={
                <Button color="inherit" onClick={() => void query.refetch()}>
                  {t("Try again")}
                </Button>
              }
            >
              {text}
            </Alert>
          ))}
        {sources.map((source) => (
          <Box component="section" key={`${source.from} ${source.program.sessions[0]?.id}`} aria-label={source.from} sx={{ mb: 2 }}>
            <Typography sx={{ fontWeight: 700 }}>{source.from}</Typography>
            {source.program.sessions
              .filter(({ items }) => items.length > 0)
              .map((session) => (
                <ButtonBase
                  key={session.id}
                  onClick={() => choose(source, session)}
                  sx={{
                    display: "flex",
                    justifyContent: "flex-start",
                    gap: 1.5,
                    width: "100%",
                    minHeight: 44,
                    px: 1,
                    borderBottom: "1px solid",
                    borderColor: "line",
                    fontSize: "1rem",
                    textAlign: "left",
                  }}
                >
                  <strong>{durationText(compilePerson(session, library.timings).totalSec)}</strong> {session.name}
                </ButtonBase>
              ))}
          </Box>
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Cancel")}</Button>
      </DialogActions>
    </Dialog>
  );
}
