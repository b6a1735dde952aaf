/** The school of stretching and the one of loading. */
import { MenuItem, TextField } from "@mui/material";
import { LOAD_SCHOOLS, STRETCH_SCHOOLS, type LoadSchool, type StretchSchool, type Style } from "@kind-grip/core/library";
import { t } from "../base/words";
import { useWords } from "../base/library";

export function StyleFields({ style, onChange }: { style: Style; onChange(style: Style): void }) {
  const words = useWords();
  return (
    <>
      <TextField
        select
        label={t("Stretching")}
        value={style.stretch}
        onChange={(event) => onChange({ ...style, stretch: event.target.value as StretchSchool })}
      >
        {STRETCH_SCHOOLS.map((school) => (
          <MenuItem key={school} value={school}>
            {words.label("stretchSchool", school)}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label={t("Loading")}
        value={style.load}
        onChange={(event) => onChange({ ...style, load: event.target.value as LoadSchool })}
      >
        {LOAD_SCHOOLS.map((school) => (
          <MenuItem key={school} value={school}>
            {words.label("loadSchool", school)}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}
