/** One question, two large answers; nothing is answered before it is tapped. */
import { Box, Typography } from "@mui/material";
import { useWords } from "../base/library";
import { Choice } from "../parts/Choice";

export function YesNo({ question, value, onChange }: { question: string; value: boolean | null; onChange(value: boolean): void }) {
  const words = useWords();
  return (
    <Box sx={{ mb: 2 }}>
      <Typography sx={{ fontWeight: 700, mb: 0.5 }}>{question}</Typography>
      <Choice<"yes" | "no">
        label={question}
        value={value === null ? null : value ? "yes" : "no"}
        onChange={(answer) => onChange(answer === "yes")}
        options={[
          { value: "yes", label: words.member("yes") },
          { value: "no", label: words.member("no") },
        ]}
      />
    </Box>
  );
}
