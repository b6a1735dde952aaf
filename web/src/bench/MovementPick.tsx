/** One movement out of the library, by name, with its picture. */
import { Box, MenuItem, TextField } from "@mui/material";
import { type Movement } from "@kind-grip/core/library";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { PictureButton } from "../library/PictureButton";

interface MovementPickProps {
  value: string;
  only?: (movement: Movement) => boolean;
  onChange(movementId: string): void;
}

export function MovementPick({ value, only = () => true, onChange }: MovementPickProps) {
  const library = useLibrary();
  const words = useWords();
  const list = library.movements.filter(only).sort((a, b) => words.movementName(a.id).localeCompare(words.movementName(b.id)));
  return (
    <Box sx={{ display: "flex", gap: 2, alignItems: "center", minWidth: 0 }}>
      <Box sx={{ width: { xs: 84, sm: 130 }, flexShrink: 0 }}>
        <PictureButton movementId={value} />
      </Box>
      <TextField select label={t("Movement")} value={value} onChange={(event) => onChange(event.target.value)} sx={{ maxWidth: 320 }}>
        {list.map(({ id }) => (
          <MenuItem key={id} value={id}>
            {words.movementName(id)}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}
