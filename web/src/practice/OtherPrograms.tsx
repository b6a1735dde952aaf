/** The way to what other programs may do here. */
import { Box, Button, Typography } from "@mui/material";
import { BookOpen, KeyRound } from "lucide-react";
import { Link } from "react-router";
import { t } from "../base/words";

export function OtherPrograms() {
  return (
    <Box component="section" aria-label={t("Other programs")}>
      <Typography variant="h2">{t("Other programs")}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 1, maxWidth: "44em" }}>
        {t("A pay-roll, a wall display or a sheet of your own reads and changes here what you let it, each with a token of its own.")}
      </Typography>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
        <Button component={Link} to="/practice/tokens" variant="outlined" startIcon={<KeyRound size={20} />}>
          {t("API tokens")}
        </Button>
        <Button component={Link} to="/practice/api" startIcon={<BookOpen size={20} />}>
          {t("What can be called")}
        </Button>
      </Box>
    </Box>
  );
}
