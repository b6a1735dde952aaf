/** Asks for a file that takes a while, shows how far it is, and saves it when it is made. It can be taken back until then. */
import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  Typography,
  type ButtonProps,
} from "@mui/material";
import { useEffect, useEffectEvent, useState } from "react";
import type { Job } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { jobApi, type WantedFile } from "./api";

/** Between two looks at how far it is. */
const LOOK_MS = 700;

interface FileButtonProps extends Pick<ButtonProps, "startIcon" | "variant" | "children"> {
  wanted: WantedFile;
  /** What it is, in its dialog: "Personal sheets". */
  what: string;
}

export function FileButton({ wanted, what, ...button }: FileButtonProps) {
  const [ask, { isLoading }] = jobApi.useAskForFileMutation();
  const [asked, setAsked] = useState<Job | { problem: string } | null>(null);
  const dispatch = useAppDispatch();
  const save = (id: string) => {
    setAsked(null);
    saveFrom(`/api/jobs/${id}/file`);
    dispatch(notify({ text: t("{{what}}: saved by your browser.", { what }) }));
  };
  const begin = async () => {
    const { data, error } = await ask(wanted);
    if (error) setAsked({ problem: problemOf(error).message });
    else if (data.state === "made") save(data.id);
    else setAsked(data);
  };
  return (
    <>
      <Button {...button} disabled={isLoading} onClick={() => void begin()} />
      {asked && (
        <FileDialog
          key={"id" in asked ? asked.id : ""}
          asked={asked}
          what={what}
          onMade={save}
          onAgain={() => void begin()}
          onClose={() => setAsked(null)}
        />
      )}
    </>
  );
}

interface FileDialogProps {
  asked: Job | { problem: string };
  what: string;
  onMade(id: string): void;
  onAgain(): void;
  onClose(): void;
}

function FileDialog({ asked, what, onMade, onAgain, onClose }: FileDialogProps) {
  const id = "id" in asked ? asked.id : null;
  const { data, error } = jobApi.useJobQuery(id ?? "", { skip: id === null, pollingInterval: LOOK_MS });
  const [leave] = jobApi.useLeaveJobMutation();
  const job = data ?? (id === null ? null : (asked as Job));
  const made = useEffectEvent(onMade);
  useEffect(() => {
    if (data?.state === "made") made(data.id);
  }, [data]);
  const problem =
    id === null
      ? (asked as { problem: string }).problem
      : job?.state === "failed"
        ? (job.problem ?? t("It could not be made."))
        : job?.state === "cancelled"
          ? t("It was taken back.")
          : null;
  const share = job?.progress ?? null;
  const takeBack = () => {
    if (id !== null) void leave(id);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="file-title" fullWidth maxWidth="xs">
      <DialogTitle id="file-title">{what}</DialogTitle>
      <DialogContent>
        {problem === null ? (
          <Box sx={{ display: "grid", gap: 1.5 }}>
            <LinearProgress
              variant={share === null ? "indeterminate" : "determinate"}
              value={share === null ? undefined : share * 100}
              aria-label={t("How far it is")}
              sx={{ height: 10, borderRadius: 5 }}
            />
            <Typography role="status">
              {error
                ? t("The server cannot be reached at the moment; it goes on making it.")
                : job?.state === "waiting"
                  ? t("Waits for its turn …")
                  : share === null
                    ? t("Being made …")
                    : t("Being made: {{percent}} %", { percent: Math.round(share * 100) })}
            </Typography>
            <Typography sx={{ color: "text.secondary" }}>{t("Go on meanwhile: when you ask for it again, it is there.")}</Typography>
          </Box>
        ) : (
          <Typography role="alert" sx={{ color: "error.main" }}>
            {problem}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        {problem === null ? (
          <>
            <Button onClick={takeBack}>{t("Cancel")}</Button>
            <Button onClick={onClose}>{t("Go on meanwhile")}</Button>
          </>
        ) : (
          <>
            <Button onClick={onClose}>{t("Close")}</Button>
            <Button variant="contained" onClick={onAgain}>
              {t("Try again")}
            </Button>
          </>
        )}
      </DialogActions>
    </Dialog>
  );
}

/** As if a link were pressed: the browser saves what the server sends as a file. */
function saveFrom(address: string): void {
  const link = document.createElement("a");
  link.href = address;
  link.download = "";
  link.click();
}
