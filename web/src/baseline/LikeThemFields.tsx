/** Age and sex, only of whoever wants to be compared with people like them. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import { AGE_BANDS, canBeCompared, SEXES, type LikeThem } from "@kind-grip/core/baseline";
import type { Handedness } from "@kind-grip/core/units";
import { t } from "../base/words";
import { Toggle } from "../parts/Toggle";

export const SEX_NAMES: Readonly<Record<LikeThem["sex"], string>> = { woman: t("Women"), man: t("Men") };
const FIRST: LikeThem = { sex: "woman", age: "35–39" };

interface LikeThemFieldsProps {
  value: LikeThem | null;
  mainHand: Handedness | null;
  onChange(value: LikeThem | null): void;
}

export function LikeThemFields({ value, mainHand, onChange }: LikeThemFieldsProps) {
  if (!canBeCompared(mainHand) && !value)
    return (
      <Typography sx={{ color: "text.secondary", mt: 3 }}>
        {mainHand === null
          ? t("Comparing with people of their age and sex needs the main hand: the published figures are of right-handed people.")
          : t("The published figures are of right-handed people: a comparison by age and sex would not be fair here.")}
      </Typography>
    );
  return (
    <Box sx={{ mt: 3, display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}>
      <Toggle
        label={t("They want to be compared with people of their age and sex")}
        pressed={value !== null}
        onChange={(wanted) => onChange(wanted ? FIRST : null)}
      />
      {value && (
        <>
          <TextField
            select
            label={t("Compared with")}
            value={value.sex}
            onChange={({ target }) => onChange({ ...value, sex: SEXES.find((sex) => sex === target.value)! })}
            sx={{ width: 130 }}
          >
            {SEXES.map((sex) => (
              <MenuItem key={sex} value={sex}>
                {SEX_NAMES[sex]}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label={t("of age")}
            value={value.age}
            onChange={({ target }) => onChange({ ...value, age: AGE_BANDS.find((age) => age === target.value)! })}
            sx={{ width: 130 }}
          >
            {AGE_BANDS.map((age) => (
              <MenuItem key={age} value={age}>
                {age}
              </MenuItem>
            ))}
          </TextField>
        </>
      )}
    </Box>
  );
}
