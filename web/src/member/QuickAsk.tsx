/** The quick test on one's own phone: before what is followed alone, and after it with what it was before. Never a must. */
import { Box, Button, Typography } from "@mui/material";
import { OctagonX } from "lucide-react";
import { Link } from "react-router";
import type { QuickTest } from "@kind-grip/core/quicktest";
import { useWords } from "../base/library";
import { ZeroToTen } from "../parts/ZeroToTen";

interface QuickAskProps {
  when: "before" | "after";
  test: QuickTest;
  /** What it was before; null while that is asked. */
  before: number | null;
  value: number | null;
  onChange(value: number): void;
}

export function QuickAsk({ when, test, before, value, onChange }: QuickAskProps) {
  const words = useWords();
  const name = words.member(`quick.${test}`);
  const difference = before !== null && value !== null ? before - value : null;
  return (
    <Box component="section" aria-label={name} sx={{ mt: 3, p: 1.5, border: "2px solid", borderColor: "line", borderRadius: 2 }}>
      <Typography variant="h3" component="h2">
        {words.member(when === "before" ? "quickBefore" : "quickAfter", { test: name })}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        {words.member(`quickHow.${test}`)}{" "}
        {before === null ? words.member("quickFree") : words.member("quickWas", { before: words.digits(before) })}
      </Typography>
      <ZeroToTen label={name} nameOf={words.digits} written={words.digits} value={value} onChange={onChange} size="thumb" />
      {difference !== null && (
        <Typography role="status" sx={{ mt: 1, fontWeight: 700 }}>
          {difference > 0
            ? words.member("quickLess", { points: words.digits(difference) })
            : difference < 0
              ? words.member("quickMore", { points: words.digits(-difference) })
              : words.member("quickSame")}
        </Typography>
      )}
      {test === "tingling" && difference !== null && difference < 0 && (
        <Button component={Link} to="/me/tell" color="error" startIcon={<OctagonX size={22} />} sx={{ mt: 0.5, minHeight: 48 }}>
          {words.member("tell")}
        </Button>
      )}
    </Box>
  );
}
