/** The program on paper: in what the crew reads, or in another language for those who read that. */
import { Box, Button, IconButton, Menu, MenuItem } from "@mui/material";
import { FileText, Languages, Printer } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { LANGUAGE_FACTS, LANGUAGES, languageOf, type Language } from "@kind-grip/core/language";
import { serverApi } from "../base/api";
import { t } from "../base/words";
import { useCrew } from "../crew/CrewFrame";
import { FileButton } from "../job/FileButton";

export function HandOutButton({ programId }: { programId: string }) {
  const crew = useCrew();
  const { data: me } = serverApi.useMeQuery();
  const usual = languageOf(crew.language, me?.account?.language);
  const [language, setLanguage] = useState<Language>(usual);
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  const other = language !== usual;
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center" }}>
      <FileButton
        wanted={{ kind: "handOut", programId, ...(other && { language }) }}
        what={t("Hand-out")}
        startIcon={<Printer size={20} />}
      >
        {other ? t("Hand-out, {{language}}", { language: LANGUAGE_FACTS[language].ownName }) : t("Hand-out")}
      </FileButton>
      <IconButton aria-label={t("Language of the hand-out")} aria-haspopup="menu" onClick={(event) => setMenuAt(event.currentTarget)}>
        <Languages size={20} />
      </IconButton>
      <Button
        component={Link}
        to={`/crews/${crew.id}/program/${programId}/hand-out${other ? `?language=${language}` : ""}`}
        aria-label={t("The hand-out as a page")}
        startIcon={<FileText size={20} />}
      >
        {t("As a page")}
      </Button>
      <Menu anchorEl={menuAt} open={menuAt !== null} onClose={() => setMenuAt(null)}>
        {LANGUAGES.map((each) => (
          <MenuItem
            key={each}
            lang={each}
            selected={each === language}
            onClick={() => {
              setLanguage(each);
              setMenuAt(null);
            }}
          >
            {LANGUAGE_FACTS[each].ownName}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}
