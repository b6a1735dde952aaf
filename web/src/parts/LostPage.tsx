/** What shows where there is no page. */
import { Box, Button } from "@mui/material";
import { Link } from "react-router";
import { PageTitle } from "./PageTitle";

export function LostPage() {
  return (
    <Box sx={{ py: 6 }}>
      <PageTitle title="There is nothing at this address" />
      <Button component={Link} to="/today" variant="contained">
        Go to Today
      </Button>
    </Box>
  );
}
