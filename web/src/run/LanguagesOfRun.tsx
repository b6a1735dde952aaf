/** Before a run: what the screen speaks, and what it shows beside it for those who read something else. */
import { Box, Typography } from "@mui/material";
import { useState } from "react";
import type { PersonEntry } from "@kind-grip/core/api";
import { LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import { listText } from "../base/measures";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { Toggle } from "../parts/Toggle";
import type { RunLanguages } from "./run-languages";

interface LanguagesOfRunProps {
  people: readonly PersonEntry[];
  /** What whoever has no language of their own reads. */
  usual: Language;
  languages: RunLanguages;
  onLanguages(languages: RunLanguages): void;
}

const named = (language: Language) => ({ value: language, label: LANGUAGE_FACTS[language].ownName, lang: language });

export function LanguagesOfRun({ people, usual, languages: { first, second }, onLanguages }: LanguagesOfRunProps) {
  const counts = new Map<Language, number>();
  for (const person of people) {
    const theirs = person.language ?? usual;
    counts.set(theirs, (counts.get(theirs) ?? 0) + 1);
  }
  const read = [...counts].sort((a, b) => b[1] - a[1]).map(([language, count]) => `${LANGUAGE_FACTS[language].englishName} ${count}`);
  const [open, setOpen] = useState(read.length > 1 || second !== null || first !== usual);
  return (
    <Box sx={{ display: "grid", gap: 1, justifyItems: "start" }}>
      <Toggle label={t("Languages of this run")} pressed={open} onChange={setOpen} />
      {open && (
        <>
          <Typography sx={{ fontWeight: 650 }}>{t("Language of the screen and the voice")}</Typography>
          <Choice<Language>
            label={t("Language of the screen and the voice")}
            value={first}
            onChange={(language) => onLanguages({ first: language, second: second === language ? null : second })}
            options={LANGUAGES.map(named)}
          />
          <Typography sx={{ fontWeight: 650 }}>{t("Beside it")}</Typography>
          <Choice<Language | "none">
            label={t("Beside it")}
            value={second ?? "none"}
            onChange={(language) => onLanguages({ first, second: language === "none" ? null : language })}
            options={[{ value: "none", label: t("nothing") }, ...LANGUAGES.filter((language) => language !== first).map(named)]}
          />
        </>
      )}
      {read.length > 1 && <Typography sx={{ color: "text.secondary" }}>{t("Read here: {{read}}.", { read: listText(read) })}</Typography>}
    </Box>
  );
}
