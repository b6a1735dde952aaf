/** Something was told: what it paused, whom to turn to, what may still be done; the newest first and alone. */
import { Button, Typography } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import { useLibrary, useWords } from "../base/library";
import { Alerts } from "./Alerts";
import { phoneDay } from "./paused";
import { PhoneTitle, useDay } from "./PhoneFrame";
import type { Sending } from "./phone-store";

/** @param causeId of what was told: an alert of something else is not shown here */
export function Told({ causeId }: { causeId: string }) {
  const library = useLibrary();
  const words = useWords();
  const phone = useDay();
  const { alerts, out, sessions, anyTime, home } = phoneDay(library, phone.day, phone.waiting, phone.sent);
  const still = [
    ...new Set(
      [...sessions, ...anyTime, ...home].flatMap(({ session }) => session.items.map(({ movementId }) => words.movementName(movementId))),
    ),
  ];
  const shown = alerts.filter((alert) => alert.causeId === causeId);
  const { trainer } = phone.day;
  // Nobody is told before it has left the phone, and the page says so.
  const isIt = ({ body }: Sending) => body.id === causeId;
  const [seen, setSeen] = useState(false);
  // Just put away, it is not in what this page follows yet.
  if (!seen && [...phone.waiting, ...phone.sent].some(isIt)) setSeen(true);
  const waits = !seen || phone.waiting.some(isIt);
  const unsent = waits && phone.cannotSend;
  return (
    <>
      <PhoneTitle title={words.member(unsent ? "tellUnsent" : waits ? "tellSending" : "tellSent")} />
      {unsent && shown.length === 0 && <Typography sx={{ mb: 2.5 }}>{words.member("tellUnsentText", { trainer })}</Typography>}
      <Alerts alerts={shown} out={out} trainer={trainer} still={still} cannotSend={phone.cannotSend} />
      <Button component={Link} to="/me" variant="outlined" fullWidth sx={{ minHeight: 56 }}>
        {words.member("back")}
      </Button>
    </>
  );
}
