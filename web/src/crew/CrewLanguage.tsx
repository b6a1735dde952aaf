/** What a crew or one person in it reads and hears. */
import { Box, Typography } from "@mui/material";
import { LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import { Choice } from "../parts/Choice";

interface CrewLanguageProps {
  label: string;
  /** Null: none of its own. */
  value: Language | null;
  /** What null is called: as the crew, as the practice. */
  none: string;
  onChange(language: Language | null): void;
}

export function CrewLanguage({ label, value, none, onChange }: CrewLanguageProps) {
  return (
    <Box>
      <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>{label}</Typography>
      <Choice<Language | "none">
        label={label}
        value={value ?? "none"}
        onChange={(language) => onChange(language === "none" ? null : language)}
        options={[
          { value: "none", label: none },
          ...LANGUAGES.map((language) => ({ value: language, label: LANGUAGE_FACTS[language].ownName, lang: language })),
        ]}
      />
    </Box>
  );
}
