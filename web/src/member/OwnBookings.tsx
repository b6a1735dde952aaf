/** A therapist's own treatments on their phone, and saying that one begins later: the resets between them move by themselves. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import type { MemberBooking } from "@kind-grip/core/api";
import { wallTime } from "@kind-grip/core/calendar";
import { useWords } from "../base/library";
import { memberApi } from "./api";
import { takeDay } from "./use-phone";

export function BookingLine({ booking, zone }: { booking: MemberBooking; zone: string }) {
  const words = useWords();
  return (
    <Box
      component="li"
      sx={{
        borderTop: "1px solid",
        borderColor: "line",
        display: "flex",
        gap: 1.5,
        alignItems: "center",
        minHeight: 48,
        color: "text.secondary",
      }}
    >
      <Typography sx={{ minWidth: 56, fontSize: "1.15rem" }}>{words.timeOfDay(wallTime(Date.parse(booking.startsAt), zone))}</Typography>
      <Typography sx={{ flex: 1, minWidth: 0, fontWeight: booking.deep ? 650 : 500 }} noWrap>
        {booking.name ?? words.member("treatment")}
      </Typography>
      <Typography>{words.member("minutesLong", { minutes: booking.lengthMin })}</Typography>
    </Box>
  );
}

const LATER_MIN = [5, 10, 15] as const;

/** Of the treatment that is next to begin. */
export function RunningLate({ bookings, now }: { bookings: readonly MemberBooking[]; now: number }) {
  const words = useWords();
  const [late, { isLoading, error }] = memberApi.useMemberLateMutation();
  const [open, setOpen] = useState(false);
  const next = bookings.find(({ startsAt, lengthMin }) => Date.parse(startsAt) + lengthMin * 60_000 > now);
  if (!next) return null;
  const move = async (byMin: number) => {
    const { data } = await late({ bookingId: next.id, version: next.version, byMin });
    if (!data) return;
    setOpen(false);
    await takeDay(data);
  };
  return (
    <Box sx={{ mb: 3 }}>
      {open ? (
        <Box role="group" aria-label={words.member("runningLate")} sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
          {LATER_MIN.map((minutes) => (
            <Button key={minutes} variant="outlined" disabled={isLoading} onClick={() => void move(minutes)} sx={{ minHeight: 48 }}>
              {words.member("lateBy", { minutes })}
            </Button>
          ))}
        </Box>
      ) : (
        <Button variant="outlined" onClick={() => setOpen(true)} sx={{ minHeight: 48 }}>
          {words.member("runningLate")}
        </Button>
      )}
      {error !== undefined && (
        <Typography role="alert" sx={{ mt: 1, fontWeight: 650 }}>
          {words.member("lateFailed")}
        </Typography>
      )}
    </Box>
  );
}
