/** Something was told: what it paused, whom to turn to, what may still be done; the newest first and alone. */
import { Button } from "@mui/material";
import { Link } from "react-router";
import { useLibrary, useWords } from "../base/library";
import { Alerts } from "./Alerts";
import { phoneDay } from "./paused";
import { PhoneTitle, useDay } from "./PhoneFrame";

/** @param causeId of what was told: an alert of something else is not shown here */
export function Told({ causeId }: { causeId?: string }) {
  const library = useLibrary();
  const words = useWords();
  const phone = useDay();
  const { alerts, out, sessions, anyTime, home } = phoneDay(library, phone.day, phone.waiting);
  const still = [
    ...new Set(
      [...sessions, ...anyTime, ...home].flatMap(({ session }) => session.items.map(({ movementId }) => words.movementName(movementId))),
    ),
  ];
  const shown = causeId === undefined ? alerts.slice(0, 1) : alerts.filter((alert) => alert.causeId === causeId);
  return (
    <>
      <PhoneTitle title={words.member("tellSent")} />
      <Alerts alerts={shown} out={out} trainer={phone.day.trainer} still={still} />
      <Button component={Link} to="/me" variant="outlined" fullWidth sx={{ minHeight: 56 }}>
        {words.member("back")}
      </Button>
    </>
  );
}
