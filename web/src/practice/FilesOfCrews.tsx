/** Where everything of a crew can be taken out, said where somebody who wants everything looks for it. */
import { Box, Typography } from "@mui/material";
import { Download } from "lucide-react";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { FileButton } from "../job/FileButton";

export function FilesOfCrews() {
  const crews = crewApi.useCrewsQuery().data ?? [];
  if (crews.length === 0) return null;
  return (
    <Box component="section" aria-label={t("Everything, as files")}>
      <Typography variant="h2">{t("Everything, as files")}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        {t("All that is kept of a crew, health answers included, in an open format. Each export is in the trail.")}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {crews.map(({ id, name }) => (
          <li key={id}>
            <FileButton wanted={{ kind: "crewExport", crewId: id }} what={name} startIcon={<Download size={20} />}>
              {t("{{name}} (JSON)", { name })}
            </FileButton>
          </li>
        ))}
      </Box>
    </Box>
  );
}
