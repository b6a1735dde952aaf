/** The movements of a session in a row of small pictures, each with its name. */
import { Box } from "@mui/material";
import type { Session } from "@kind-grip/core/session";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { PictureButton } from "../library/PictureButton";

export function SessionFigures({ session }: { session: Session }) {
  const words = useWords();
  return (
    <Box
      component="ol"
      aria-label={t("Movements")}
      sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(84px, 1fr))", gap: 1 }}
    >
      {session.items.map((item) => (
        <Box component="li" key={item.id} sx={{ fontSize: "0.875rem", lineHeight: 1.2 }}>
          <PictureButton movementId={item.movementId} formId={item.formId} />
          {words.movementName(item.movementId)}
        </Box>
      ))}
    </Box>
  );
}
