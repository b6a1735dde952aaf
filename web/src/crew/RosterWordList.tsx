/** Words of a roster that are in no list: what each means is said once, for all of its rows. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import type { RosterWords, WordField } from "@kind-grip/core/crew";
import type { Handedness } from "@kind-grip/core/units";
import { LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import { t } from "../base/words";
import { HAND_NAMES } from "./main-hand";

const NOT_KNOWN = "-";
const OPTIONS: Record<WordField, readonly { value: string; label: string }[]> = {
  handedness: Object.entries(HAND_NAMES).map(([value, label]) => ({ value, label })),
  language: LANGUAGES.map((value) => ({ value, label: LANGUAGE_FACTS[value].ownName })),
};

interface RosterWordListProps {
  unknown: readonly { field: WordField; word: string; times: number }[];
  words: RosterWords;
  onWords(words: RosterWords): void;
}

export function RosterWordList({ unknown, words, onWords }: RosterWordListProps) {
  if (unknown.length === 0) return null;
  const set = (field: WordField, word: string, value: string) => {
    const means = value === NOT_KNOWN ? null : value;
    onWords(
      field === "handedness"
        ? { ...words, handedness: { ...words.handedness, [word]: means as Handedness | null } }
        : { ...words, language: { ...words.language, [word]: means as Language | null } },
    );
  };
  return (
    <Box
      role="group"
      aria-label={t("What words mean")}
      sx={{
        borderLeft: "5px solid",
        borderColor: "warm.main",
        pl: 2,
        py: 0.5,
        display: "flex",
        gap: 2,
        flexWrap: "wrap",
        alignItems: "end",
      }}
    >
      <Typography sx={{ width: "100%", fontWeight: 700 }}>{t("Words that are not known here: what do they mean?")}</Typography>
      {unknown.map(({ field, word, times }) => {
        const said = Object.hasOwn(words[field], word) ? words[field][word] : undefined;
        return (
          <TextField
            key={`${field} ${word}`}
            select
            label={t("“{{word}}”, {{count}} rows", { word, count: times, defaultValue_one: "“{{word}}”, {{count}} row" })}
            value={said === undefined ? "" : (said ?? NOT_KNOWN)}
            onChange={(event) => set(field, word, event.target.value)}
            slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
            sx={{ width: 190 }}
          >
            <MenuItem value="" disabled>
              {t("choose")}
            </MenuItem>
            {OPTIONS[field].map(({ value, label }) => (
              <MenuItem key={value} value={value}>
                {label}
              </MenuItem>
            ))}
            <MenuItem value={NOT_KNOWN}>{t("not known")}</MenuItem>
          </TextField>
        );
      })}
    </Box>
  );
}
