/** A program copied to another crew, or to the next block of the same one. */
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { useState } from "react";
import { useNavigate } from "react-router";
import { v7 as uuid } from "uuid";
import type { CrewEntry } from "@kind-grip/core/api";
import type { Program } from "@kind-grip/core/program";
import { copyOf } from "@kind-grip/core/template";
import { problemOf } from "../base/api";
import { useLibrary } from "../base/library";
import { useSameId } from "../base/same-id";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { Choice } from "../parts/Choice";
import { Loaded } from "../parts/Loaded";
import { programApi } from "../program/api";
import { BringInDialog } from "./BringInDialog";

export function CopyDialog({ crew, program, onClose }: { crew: CrewEntry; program: Program; onClose(): void }) {
  const library = useLibrary();
  const navigate = useNavigate();
  const crews = crewApi.useCrewsQuery();
  const [create, { isLoading, error }] = programApi.useCreateProgramMutation();
  const [crewId, setCrewId] = useState(crew.id);
  const [copied, setCopied] = useState<{ to: CrewEntry; program: Program } | null>(null);
  const go = (to: CrewEntry) => {
    const sameCrew = to.id === crew.id;
    const copy = copyOf(library, program, { sameCrew, kit: to.kit }, uuid);
    setCopied({ to, program: sameCrew ? { ...copy, name: t("{{name}}, next block", { name: program.name }).slice(0, 120) } : copy });
  };
  const sameId = useSameId();
  const make = async (made: Program) => {
    const answer = await create({ crewId: copied!.to.id, id: sameId([copied!.to.id, made]), program: made });
    if (!answer.data) return;
    onClose();
    await navigate(`/crews/${copied!.to.id}/program/${answer.data.id}`);
  };
  if (copied)
    return (
      <BringInDialog
        title={t("{{name}} for {{crew}}", { name: program.name, crew: copied.to.name })}
        program={copied.program}
        crew={copied.to}
        action={t("Copy it")}
        busy={isLoading}
        error={error === undefined ? null : problemOf(error).message}
        onBringIn={(made) => void make(made)}
        onClose={onClose}
      />
    );
  return (
    <Dialog open onClose={onClose} aria-labelledby="copy-title" maxWidth="sm" fullWidth>
      <DialogTitle id="copy-title">{t("Copy {{name}}", { name: program.name })}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Loaded query={crews}>
          {(list) => (
            <>
              <Choice
                label={t("Copy to")}
                value={crewId}
                onChange={setCrewId}
                options={[
                  { value: crew.id, label: t("A new block of {{crew}}", { crew: crew.name }) },
                  ...list.filter(({ id }) => id !== crew.id).map(({ id, name }) => ({ value: id, label: name })),
                ]}
              />
              <Typography>
                {crewId === crew.id
                  ? t("People keep their own forms and loads; the first day is set anew.")
                  : t("People's own forms stay behind, and loads begin again with the first there is.")}
              </Typography>
              <DialogActions sx={{ p: 0 }}>
                <Button onClick={onClose}>{t("Cancel")}</Button>
                <Button variant="contained" onClick={() => go(list.find(({ id }) => id === crewId) ?? crew)}>
                  {t("Go on")}
                </Button>
              </DialogActions>
            </>
          )}
        </Loaded>
      </DialogContent>
    </Dialog>
  );
}
