import { Box, Button, Typography } from "@mui/material";
import { t } from "../base/words";

/** Turns the pages of a list that begins with the newest; nothing while there is one page. */
export function Pages({ page, pages, onChange }: { page: number; pages: number; onChange(page: number): void }) {
  if (pages <= 1) return null;
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "center", mt: 1 }}>
      <Button disabled={page === 0} onClick={() => onChange(page - 1)}>
        {t("Newer")}
      </Button>
      <Typography>{t("Page {{page}} of {{pages}}", { page: page + 1, pages })}</Typography>
      <Button disabled={page + 1 >= pages} onClick={() => onChange(page + 1)}>
        {t("Older")}
      </Button>
    </Box>
  );
}
