/** What a phone asks, as cards: a question that has a page of its own, and one that is answered with one tap. */
import { Box, Typography } from "@mui/material";
import type { LucideIcon } from "lucide-react";
import { Link } from "react-router";
import { v7 as uuid } from "uuid";
import { useWords } from "../base/library";
import { ZeroToTen } from "../parts/ZeroToTen";
import type { AskedEffort } from "./asked";
import { putAway } from "./phone-store";

interface QuestionCardProps {
  to: string;
  icon: LucideIcon;
  title: string;
  text: string;
  /** Of two that are asked, the one that can wait. */
  quiet?: boolean;
}

export function QuestionCard({ to, icon: Icon, title, text, quiet = false }: QuestionCardProps) {
  return (
    <Box
      component={Link}
      to={to}
      sx={{
        display: "flex",
        gap: 2,
        alignItems: "center",
        textDecoration: "none",
        borderRadius: 3,
        mb: 3,
        ...(quiet
          ? { color: "text.primary", border: "2px solid", borderColor: "edge", p: 1.75, minHeight: 76 }
          : { bgcolor: "primary.main", color: "primary.contrastText", p: 2.5, minHeight: 120 }),
      }}
    >
      <Icon size={quiet ? 30 : 44} aria-hidden style={{ flexShrink: 0 }} />
      <Box>
        <Typography sx={{ fontWeight: 750, fontSize: quiet ? "1.15rem" : "1.5rem", lineHeight: 1.2, mb: 0.5 }}>{title}</Typography>
        <Typography>{text}</Typography>
      </Box>
    </Box>
  );
}

export function EffortCard({ asked, now }: { asked: AskedEffort; now(): number }) {
  const words = useWords();
  const question = words.member("howHardWas", { session: words.sessionName(asked) });
  const answer = (effort: number) =>
    void putAway({
      kind: "efforts",
      body: { id: uuid(), placementId: asked.placementId, runId: asked.runId, effort, at: new Date(now()).toISOString() },
    });
  return (
    <Box
      component="section"
      aria-label={question}
      sx={{ border: "3px solid", borderColor: "primary.main", borderRadius: 3, p: 2, mb: 3, bgcolor: "background.paper" }}
    >
      <Typography variant="h2" sx={{ fontSize: "1.4rem", lineHeight: 1.25 }}>
        {question}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5 }}>{words.member("howHardText")}</Typography>
      <ZeroToTen label={question} nameOf={words.digits} written={words.digits} value={null} onChange={answer} size="thumb" />
    </Box>
  );
}
