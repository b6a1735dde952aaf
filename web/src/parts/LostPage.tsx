/** What shows where there is no page. */
import { Box, Button } from "@mui/material";
import { Link } from "react-router";
import { t } from "../base/words";
import { PageTitle } from "./PageTitle";

export function LostPage() {
  return (
    <Box sx={{ py: 6 }}>
      <PageTitle title={t("There is nothing at this address")} />
      <Button component={Link} to="/today" variant="contained">
        {t("Go to Today")}
      </Button>
    </Box>
  );
}
