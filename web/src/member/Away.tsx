import { Typography } from "@mui/material";
import { useWords } from "../base/library";

/** Said where something was to be sent and no server is reached. */
export function Away() {
  const words = useWords();
  return (
    <Typography role="alert" sx={{ color: "error.main", mt: 1 }}>
      {words.member("away")}
    </Typography>
  );
}
