/** What was reported and what it paused, whom to turn to, and what the trainer answered. */
import { Box, Typography } from "@mui/material";
import { MessageCircle, OctagonX } from "lucide-react";
import type { MemberAlert } from "@kind-grip/core/api";
import { useWords } from "../base/library";
import type { PhoneDay } from "./paused";

interface AlertsProps extends Pick<PhoneDay, "alerts" | "out"> {
  trainer: string;
  /** Names of what may still be done today. */
  still: readonly string[];
  /** What waits could not be sent: the trainer knows nothing of it. */
  cannotSend: boolean;
}

export function Alerts({ alerts, out, trainer, still, cannotSend }: AlertsProps) {
  const words = useWords();
  const pausing = alerts.filter(({ pauses, answer }) => pauses && answer === null);
  const answered = alerts.filter(({ answer }) => answer !== null);
  const places = [...new Set(pausing.flatMap(({ regions }) => regions))].map((region) => words.within(words.label("place", region)));
  return (
    <>
      {(pausing.length > 0 || out) && (
        <Box
          role="status"
          sx={{ border: "3px solid", borderColor: "error.main", borderRadius: 3, p: 2, mb: 2.5, bgcolor: "background.paper" }}
        >
          <Typography variant="h2" sx={{ display: "flex", gap: 1, color: "error.main", alignItems: "start" }}>
            <OctagonX size={26} aria-hidden style={{ flex: "none", marginTop: 2 }} />
            {out === "clinician"
              ? words.member("heldOut")
              : out
                ? words.member("pausedAll")
                : words.member("pausedPlaces", { places: words.list(places) })}
          </Typography>
          {cannotSend && pausing.some(({ unsent }) => unsent) && (
            <Typography sx={{ mt: 1, fontWeight: 650 }}>{words.member("tellUnsentText", { trainer })}</Typography>
          )}
          <Typography sx={{ mt: 1 }}>{words.member(out === "clinician" ? "pausedClinician" : "pausedUntil", { trainer })}</Typography>
          {!out && <Typography sx={{ mt: 1 }}>{words.member("pausedThere")}</Typography>}
          {!out && (
            <Typography sx={{ mt: 1 }}>
              {still.length > 0 ? words.member("mayStill", { items: words.list(still.map(words.within)) }) : words.member("mayNothing")}
            </Typography>
          )}
          <Typography sx={{ mt: 1, fontWeight: 650 }}>{words.member("turnTo", { trainer })}</Typography>
        </Box>
      )}
      {answered.map((alert) => (
        <Answer key={alert.id} alert={alert} trainer={trainer} />
      ))}
    </>
  );
}

function Answer({ alert, trainer }: { alert: MemberAlert; trainer: string }) {
  const words = useWords();
  return (
    <Box
      component="section"
      aria-label={words.member("answered", { trainer })}
      sx={{ borderLeft: "5px solid", borderColor: "primary.main", bgcolor: "background.paper", borderRadius: 2, px: 2, py: 1.5, mb: 2 }}
    >
      <Typography sx={{ display: "flex", gap: 1, alignItems: "center", color: "text.secondary" }}>
        <MessageCircle size={20} aria-hidden /> {words.member("answered", { trainer })} · {words.member(`reportKind.${alert.kind}`)}
      </Typography>
      <Typography sx={{ fontWeight: 700, fontSize: "1.15rem" }}>{words.member(`answerIs.${alert.answer!}`)}</Typography>
      {alert.reply && <Typography>“{alert.reply}”</Typography>}
    </Box>
  );
}
