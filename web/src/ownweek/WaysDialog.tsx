/** How long it takes between the places of one's crews, entered once. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { OwnWeek } from "@kind-grip/core/api";
import { minutesBetween } from "@kind-grip/core/dayplan";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { ownWeekApi } from "./api";
import { pairsOfPlaces } from "./week-view";

export function WaysDialog({ week, onClose }: { week: OwnWeek; onClose(): void }) {
  const [change, changing] = ownWeekApi.useChangeWayMutation();
  const pairs = pairsOfPlaces(week.entries);
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="ways">
      <DialogTitle id="ways">{t("Ways between places")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Typography>
          {pairs.length === 0
            ? t("All sessions of this week are at one place.")
            : t("Door to door, with what you bring. The same in both directions, for everybody of the practice.")}
        </Typography>
        {pairs.map((places) => (
          <WayField
            key={places.join(" ")}
            places={places}
            minutes={minutesBetween(week.ways, ...places)}
            onChange={(minutes) => void change({ places, minutes })}
          />
        ))}
        {changing.error && (
          <Alert severity="error" variant="outlined">
            {problemOf(changing.error).message}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t("Done")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Kept when it is left; empty it is not known. */
function WayField({
  places,
  minutes,
  onChange,
}: {
  places: [string, string];
  minutes: number | null;
  onChange(minutes: number | null): void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? minutes?.toString() ?? "";
  const read = text.trim() === "" ? null : Number(text);
  const isWrong = read !== null && !(Number.isInteger(read) && read >= 0 && read <= 600);
  const keep = () => {
    if (isWrong) return;
    if (read !== minutes) onChange(read);
    setTyped(null);
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) 150px", gap: 2, alignItems: "center" }}>
      <Typography sx={{ overflowWrap: "anywhere" }}>
        {places[0]} – {places[1]}
      </Typography>
      <TextField
        label={t("Minutes")}
        value={text}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={keep}
        onKeyDown={(event) => event.key === "Enter" && keep()}
        error={isWrong}
        helperText={isWrong ? t("0 to 600 whole minutes") : undefined}
        slotProps={{ htmlInput: { inputMode: "numeric", "aria-label": t("Minutes from {{a}} to {{b}}", { a: places[0], b: places[1] }) } }}
      />
    </Box>
  );
}
