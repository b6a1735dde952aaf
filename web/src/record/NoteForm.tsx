/** A note of a person, with a photo or a PDF beside it. What was typed stays until it is kept. */
import { Box, Button, IconButton, TextField, Typography } from "@mui/material";
import { Paperclip, X } from "lucide-react";
import { useRef, useState } from "react";
import { ATTACHMENT_TYPES, MOST_ATTACHMENT_BYTES, type NewNote } from "@kind-grip/core/api";
import { v7 as uuid } from "uuid";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { FilePick } from "../parts/FilePick";
import { recordApi } from "./api";
import { base64Of, shrinkPicture } from "./shrink-picture";

type Type = (typeof ATTACHMENT_TYPES)[number];

export function NoteForm({ crewId, personId, name }: { crewId: string; personId: string; name: string }) {
  const [add, { isLoading, error, reset }] = recordApi.useAddNoteMutation();
  const [text, setText] = useState("");
  const [file, setFile] = useState<File | null>(null);
  const [refused, setRefused] = useState("");
  // The same note however often it is sent; a new one begins with the next.
  const id = useRef(uuid());
  const problem = error ? problemOf(error) : undefined;
  const pick = async (picked: File) => {
    const made = await shrinkPicture(picked);
    const bad = !ATTACHMENT_TYPES.includes(made.type as Type)
      ? t("{{name}} is neither a photo nor a PDF.", { name: picked.name })
      : made.size > MOST_ATTACHMENT_BYTES
        ? t("{{name}} is larger than 5 MB.", { name: picked.name })
        : "";
    setRefused(bad);
    if (!bad) setFile(made);
  };
  const keep = async () => {
    const attachment: NewNote["attachment"] = file && {
      name: file.name.slice(-120),
      type: file.type as Type,
      content: await base64Of(file),
    };
    const kept = await add({ crewId, personId, id: id.current, text, attachment });
    if (kept.error) return;
    id.current = uuid();
    setText("");
    setFile(null);
    reset();
  };
  return (
    <Box component="section" aria-label={t("New note")} sx={{ display: "grid", gap: 1, maxWidth: 720 }}>
      <TextField
        label={t("Note about {{name}}", { name })}
        multiline
        minRows={2}
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={!!problem}
        helperText={problem && (problem.fields[0]?.message ?? problem.message)}
      />
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
        {file ? (
          <Typography sx={{ display: "inline-flex", alignItems: "center", gap: 0.5 }}>
            <Paperclip size={18} aria-hidden /> {file.name}, {t("{{kb}} kB", { kb: Math.ceil(file.size / 1000) })}
            <IconButton aria-label={t("Without this file")} onClick={() => setFile(null)}>
              <X size={18} />
            </IconButton>
          </Typography>
        ) : (
          <FilePick
            label={t("Photo or PDF")}
            accept={ATTACHMENT_TYPES.join(",")}
            startIcon={<Paperclip size={18} />}
            onPick={(picked) => void pick(picked)}
          >
            {t("Photo or PDF")}
          </FilePick>
        )}
        <Button variant="contained" disabled={isLoading || (text.trim() === "" && !file)} onClick={() => void keep()} sx={{ ml: "auto" }}>
          {isLoading ? t("Keeping …") : t("Keep the note")}
        </Button>
      </Box>
      {refused && (
        <Typography role="alert" color="error">
          {refused}
        </Typography>
      )}
    </Box>
  );
}
