/** What went wrong with a form as a whole; what is wrong with a field stands at the field. */
import { Alert } from "@mui/material";
import type { problemOf } from "../base/api";

export function WholeProblem({ problem }: { problem: ReturnType<typeof problemOf> | undefined }) {
  if (!problem || problem.fields.length > 0) return null;
  return (
    <Alert severity="error" variant="outlined">
      {problem.message}
    </Alert>
  );
}
