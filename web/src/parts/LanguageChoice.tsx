/** One of the languages, each as whoever speaks it calls it: found also by somebody who reads nothing else on the page. */
import { Box } from "@mui/material";
import { Languages } from "lucide-react";
import { LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import { useWords } from "../base/library";
import { Choice } from "./Choice";

interface LanguageChoiceProps {
  value: Language;
  onChange(language: Language): void;
}

export function LanguageChoice({ value, onChange }: LanguageChoiceProps) {
  const words = useWords();
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "auto 1fr", gap: 1.5, alignItems: "center" }}>
      <Languages size={24} aria-hidden />
      <Choice<Language>
        label={words.member("language")}
        value={value}
        onChange={onChange}
        options={LANGUAGES.map((language) => ({ value: language, label: LANGUAGE_FACTS[language].ownName, lang: language }))}
      />
    </Box>
  );
}
