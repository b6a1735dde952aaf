/** Brings in a movement that another practice exported. Nothing is kept unless all of it is right. */
import { Box, Dialog, DialogActions, DialogContent, DialogTitle, Button, Typography } from "@mui/material";
import { FileUp } from "lucide-react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { CUSTOM_PREFIX } from "@kind-grip/core/library";
import { useSameId } from "../base/same-id";
import { t } from "../base/words";
import { libraryApi } from "./api";
import { problemOf, type ProblemBody } from "../base/api";
import { FilePick } from "../parts/FilePick";

export function MovementImport() {
  const [bring] = libraryApi.useImportMovementMutation();
  const [problem, setProblem] = useState<ProblemBody>();
  const navigate = useNavigate();
  const sameId = useSameId();
  const read = async (file: File) => {
    try {
      const text = await file.text();
      const { id } = await bring({ id: sameId(text), text }).unwrap();
      void navigate(`/library/${CUSTOM_PREFIX}${id}`);
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  return (
    <>
      <FilePick
        label={t("Movement file")}
        accept=".json,application/json"
        onPick={(file) => void read(file)}
        startIcon={<FileUp size={20} />}
      >
        {t("Import")}
      </FilePick>
      <Dialog open={problem !== undefined} onClose={() => setProblem(undefined)}>
        <DialogTitle>{problem?.message}</DialogTitle>
        <DialogContent>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {problem?.fields.map(({ path, message }) => (
              <Typography component="li" key={path + message}>
                {path && <strong>{path} </strong>}
                {message}
              </Typography>
            ))}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setProblem(undefined)}>{t("Close")}</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
